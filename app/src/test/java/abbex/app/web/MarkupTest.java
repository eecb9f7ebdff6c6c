package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import abbex.app.support.EveryPage;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.FutureTask;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nu.validator.validation.SimpleDocumentValidator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.xml.sax.InputSource;
import org.xml.sax.SAXParseException;
import org.xml.sax.helpers.DefaultHandler;

/** The Nu HTML checker (the reference implementation of HTML conformance) finds no error on any page, htmx's attributes aside. */
@ExtendWith(Shop.class)
class MarkupTest {
    /** Its patterns go deep: a stack of its own. */
    private static List<String> errors(String html) throws Exception {
        FutureTask<List<String>> check = new FutureTask<>(() -> check(html));
        new Thread(null, check, "markup", 256L << 20).start();
        return check.get();
    }

    /** What is asked of a page is read once. */
    private static SimpleDocumentValidator checker;

    private static synchronized List<String> check(String html) throws Exception {
        List<SAXParseException> errors = new ArrayList<>();
        DefaultHandler hears = new DefaultHandler() {
            @Override
            public void error(SAXParseException e) {
                errors.add(e);
            }

            @Override
            public void fatalError(SAXParseException e) {
                errors.add(e);
            }
        };
        if (checker == null) {
            checker = new SimpleDocumentValidator(true, false, false);
            checker.setUpMainSchema("http://s.validator.nu/html5-all.rnc", hears);
        }
        checker.setUpValidatorAndParsers(hears, true, false);
        InputSource source = new InputSource(new ByteArrayInputStream(html.getBytes(StandardCharsets.UTF_8)));
        source.setEncoding("UTF-8");
        checker.checkHtmlInputSource(source);
        return errors.stream()
                .filter(e -> !e.getMessage().matches(".*Attribute .hx-[a-z-]+. not allowed.*"))
                .map(e -> e.getMessage() + " " + place(html, e))
                .toList();
    }

    /** The text before the place that the checker names. */
    private static String place(String html, SAXParseException e) {
        String[] lines = html.split("\n", -1);
        if (e.getLineNumber() < 1 || e.getLineNumber() > lines.length) {
            return "";
        }
        String line = lines[e.getLineNumber() - 1];
        int end = Math.max(0, Math.min(line.length(), e.getColumnNumber()));
        return line.substring(Math.max(0, end - 160), end);
    }

    @Test
    void every_page_is_what_html_says() throws Exception {
        assertFalse(
                errors("<!doctype html><html lang=en><title>x</title><p><div></p>")
                        .isEmpty(),
                "the parser checks");
        assertFalse(
                errors("<!doctype html><html lang=en><title>x</title><ul><p>x</p></ul>")
                        .isEmpty(),
                "the schema checks");
        assertEquals(List.of(), errors("<!doctype html><html lang=en><title>x</title><p hx-get=x>x</p>"));
        Visitor tamsin = Visitor.signedIn("tamsin");
        TreeSet<String> found = new TreeSet<>();
        for (String path : EveryPage.kinds()) {
            HttpResponse<String> answer = tamsin.get(path);
            String at = answer.headers().firstValue("Location").orElse(path).replaceFirst("https?://[^/]+", "");
            String html = at.equals(path) ? answer.body() : tamsin.get(at).body();
            Matcher unsaid = Pattern.compile("\\?\\?[a-z.]+_\\w*\\?\\?").matcher(html);
            if (unsaid.find()) {
                found.add(path + " has no words for " + unsaid.group());
            }
            for (String error : errors(html)) {
                found.add((path + " " + error).replaceAll("[0-9a-f-]{36}", "…"));
            }
        }
        assertEquals("", String.join("\n", found));
    }
}
