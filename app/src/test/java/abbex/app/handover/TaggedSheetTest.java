package abbex.app.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkedContentReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDMarkedContent;
import org.apache.pdfbox.text.PDFMarkedContentExtractor;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The sheet for those who listen to it: its tags (PDF 32000-1, 14.8) as a reader would follow them, read back by PDFBox. */
@ExtendWith(Shop.class)
class TaggedSheetTest {
    /** What is read one after the other: a tag with the text or the name that belongs to it. */
    private record Heard(String tag, String text) {}

    private final List<Heard> heard = new ArrayList<>();

    private void hear(String plate) throws IOException {
        Visitor orla = Visitor.signedIn("orla");
        byte[] pdf = orla.bytes("/jobs/" + Jobs.id(plate) + "/sheet.pdf").body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertTrue(document.getDocumentCatalog().getMarkInfo().isMarked());
            assertEquals("en", document.getDocumentCatalog().getLanguage());
            assertTrue(document.getDocumentInformation().getTitle().contains(plate));
            Map<PDPage, Map<Integer, String>> texts = new HashMap<>();
            for (PDPage page : document.getPages()) {
                PDFMarkedContentExtractor extractor = new PDFMarkedContentExtractor();
                extractor.processPage(page);
                Map<Integer, String> byId = new HashMap<>();
                extractor.getMarkedContents().forEach(content -> keep(content, byId));
                texts.put(page, byId);
            }
            follow(document.getDocumentCatalog().getStructureTreeRoot(), texts);
            int pages = document.getNumberOfPages();
            assertTrue(pages <= 2 || !plate.equals("GN 2-118"), "a car with four methods has " + pages + " sides");
        }
    }

    private static void keep(PDMarkedContent content, Map<Integer, String> byId) {
        String text = content.getContents().stream()
                .filter(TextPosition.class::isInstance)
                .map(t -> ((TextPosition) t).getUnicode())
                .collect(Collectors.joining());
        byId.merge(content.getMCID(), text, String::concat);
        content.getContents().stream()
                .filter(PDMarkedContent.class::isInstance)
                .forEach(inner -> keep((PDMarkedContent) inner, byId));
    }

    private void follow(PDStructureNode node, Map<PDPage, Map<Integer, String>> texts) {
        for (Object kid : node.getKids()) {
            if (kid instanceof PDStructureElement element) {
                heard.add(new Heard(
                        element.getStructureType(),
                        element.getAlternateDescription() == null ? "" : element.getAlternateDescription()));
                follow(element, texts);
            } else if (node instanceof PDStructureElement element) {
                Integer id = kid instanceof Integer number
                        ? number
                        : kid instanceof PDMarkedContentReference reference
                                ? Integer.valueOf(reference.getMCID())
                                : null;
                PDPage page = kid instanceof PDMarkedContentReference reference && reference.getPage() != null
                        ? reference.getPage()
                        : element.getPage();
                if (id != null) {
                    heard.add(new Heard(
                            element.getStructureType(),
                            texts.getOrDefault(page, Map.of()).getOrDefault(id, "")));
                }
            }
        }
    }

    /** The place in the reading where a pattern is heard first. */
    private int at(String text) {
        StringBuilder all = new StringBuilder();
        for (Heard h : heard) {
            all.append(h.text()).append(' ');
        }
        Matcher found = Pattern.compile(text).matcher(all.toString().replaceAll("\\s+", " "));
        assertTrue(found.find(), () -> text + " is not in " + all);
        return found.start();
    }

    @Test
    void title_figures_drawing_verdict_what_to_watch_and_only_then_the_tables() throws IOException {
        hear("GN 2-118");
        List<String> order = List.of(
                "GN 2-118",
                "Front",
                Pattern.quote(Said.by("sheet.sideview")),
                Pattern.quote(Said.by("sheet.watch")),
                Pattern.quote(Said.by("sheet.back")),
                Pattern.quote(Said.by("sheet.looked")),
                Pattern.quote(Said.part("sheet.caution").substring(0, 30)),
                Pattern.quote(Said.by("sheet.shop")),
                Pattern.quote(Said.by("sheet.says")),
                Pattern.quote(Said.by("sheet.corners")),
                Pattern.quote(Said.by("sheet.sides")));
        for (int i = 1; i < order.size(); i++) {
            assertTrue(
                    at(order.get(i - 1)) < at(order.get(i)),
                    order.get(i - 1) + " before " + order.get(i) + " in " + heard);
        }
        List<String> tags = heard.stream().map(Heard::tag).distinct().toList();
        assertTrue(tags.containsAll(List.of("H1", "H2", "P", "Table", "TR", "TH", "TD", "Figure")), tags::toString);
        assertTrue(heard.stream()
                .anyMatch(h -> h.tag().equals("Figure") && h.text().equals(Said.by("sheet.sideview"))));
    }

    @Test
    void a_motorcycle_is_heard_with_its_seat() throws IOException {
        hear("MQ 381");
        assertTrue(at("Seat") < at(Pattern.quote(Said.by("sheet.watch"))));
    }
}
