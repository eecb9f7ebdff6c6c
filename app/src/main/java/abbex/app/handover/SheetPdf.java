package abbex.app.handover;

import abbex.app.page.Numerals;
import abbex.app.store.PlainText;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** The drop sheet on paper, its face embedded, safe in black and white. */
@Component
class SheetPdf {
    /** Paper that shops have. */
    enum Size {
        A4,
        LETTER
    }

    private static final String FACE = "IBM Plex Sans";

    private static final Pattern NAME = Pattern.compile("(<svg\\b[^>]*?)aria-label=\"([^\"]*)\"");

    private final String style;

    SheetPdf() throws IOException {
        style = new ClassPathResource("sheet-pdf.css").getContentAsString(StandardCharsets.UTF_8);
    }

    /**
     * @param body the sheet's fragment, well-formed
     * @param foot a line at the foot of each page: version, time, person
     */
    byte[] make(String title, String body, String foot, Size size) {
        String page = "@page{size:" + (size == Size.A4 ? "A4" : "letter")
                + ";@bottom-left{content:\"" + css(foot) + "\";font-family:'" + FACE + "';font-size:8pt}"
                + "@bottom-right{content:counter(page) \" / \" counter(pages);font-family:'" + FACE
                + "';font-size:8pt}}";
        // Tagged for those who listen: its language, its title, headings, tables and the drawing's name come along.
        String html = "<html lang=\"en\"><head><title>" + HtmlUtils.htmlEscape(title, "UTF-8")
                + "</title><meta name=\"subject\" content=\"" + HtmlUtils.htmlEscape(foot, "UTF-8") + "\"/><style>"
                + page + style
                + "</style></head><body>" + named(Numerals.printable(PlainText.of(body))) + "</body></html>";
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFont(() -> font("IBMPlexSans_400Regular.ttf"), FACE, 400, FontStyle.NORMAL, true);
            builder.useFont(() -> font("IBMPlexSans_600SemiBold.ttf"), FACE, 600, FontStyle.NORMAL, true);
            builder.useSVGDrawer(new BatikSVGDrawer());
            builder.withHtmlContent(html, null);
            builder.usePdfUaAccessibility(true);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A drawing is called by its name: the paper knows it as an alternative text. */
    private static String named(String body) {
        return NAME.matcher(body).replaceAll("$1alt=\"$2\" ");
    }

    private static String css(String text) {
        return Numerals.printable(PlainText.of(text)).replaceAll("[\"\\\\\\p{Cntrl}<&]", " ");
    }

    private static InputStream font(String name) {
        try {
            return new ClassPathResource("fonts/" + name).getInputStream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
