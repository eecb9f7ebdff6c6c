package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import abbex.app.support.EveryPage;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.FutureTask;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nu.validator.client.EmbeddedValidator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.xml.sax.SAXException;

/** The Nu HTML checker (the reference implementation of HTML conformance) finds no error on any page, htmx's attributes aside. */
@ExtendWith(Shop.class)
class MarkupTest {
    /** Its patterns go deep: a stack of its own. */
    private static List<String> errors(String html) throws Exception {
        FutureTask<List<String>> check = new FutureTask<>(() -> check(html));
        new Thread(null, check, "markup", 256L << 20).start();
        return check.get();
    }

    private static List<String> check(String html) throws IOException, SAXException {
        EmbeddedValidator checker = new EmbeddedValidator();
        checker.setOutputFormat(EmbeddedValidator.OutputFormat.GNU);
        String said = checker.validate(new ByteArrayInputStream(html.getBytes(StandardCharsets.UTF_8)));
        return Stream.of(said.split("\\n"))
                .filter(line -> line.contains(": error: "))
                .filter(line -> !line.matches(".*Attribute .hx-[a-z-]+. not allowed.*"))
                .map(line -> line + " " + place(html, line))
                .toList();
    }

    /** The text at the place that a line of the checker names. */
    private static String place(String html, String line) {
        Matcher at = Pattern.compile(":(\\d+)\\.(\\d+)-(\\d+)\\.(\\d+):").matcher(line);
        if (!at.find()) {
            return "";
        }
        String[] lines = html.split("\n", -1);
        int row = Integer.parseInt(at.group(3)) - 1;
        int end = Math.min(lines[row].length(), Integer.parseInt(at.group(4)));
        return lines[row].substring(Math.max(0, end - 160), end);
    }

    @Test
    void every_page_is_what_html_says() throws Exception {
        assertFalse(
                errors("<!doctype html><html lang=en><title>x</title><p><div></p>")
                        .isEmpty(),
                "the checker checks");
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
