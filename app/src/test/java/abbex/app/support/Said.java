package abbex.app.support;

import abbex.app.words.Bundles;
import java.io.IOException;
import java.util.Comparator;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.web.util.HtmlUtils;

/** What the application says, by key: tests ask for keys, so that a better wording breaks none of them. */
public final class Said {
    private static final Bundles BUNDLES = read();
    private static final Pattern ARGUMENT = Pattern.compile("\\{[A-Za-z]\\w*}");

    private Said() {}

    private static Bundles read() {
        try {
            return Bundles.of(new PathMatchingResourcePatternResolver().getResources("classpath:words/*.properties"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    public static Bundles bundles() {
        return BUNDLES;
    }

    /** A message without arguments. */
    public static String by(String key) {
        return BUNDLES.pattern(key);
    }

    /** A message with its arguments, by turns name and text. */
    public static String by(String key, String... named) {
        return BUNDLES.say(key, name -> {
            for (int i = 0; i < named.length; i += 2) {
                if (named[i].equals(name)) {
                    return named[i + 1];
                }
            }
            throw new IllegalArgumentException(key + " needs " + name);
        });
    }

    /** The longest part of a message that no argument changes. */
    public static String part(String key) {
        return Stream.of(ARGUMENT.split(BUNDLES.pattern(key), -1))
                .max(Comparator.comparingInt(String::length))
                .orElseThrow()
                .strip();
    }

    /** A message with anything for its arguments, upper or lower case at its beginning. */
    public static Pattern any(String key) {
        StringBuilder regex = new StringBuilder();
        for (String part : ARGUMENT.split(BUNDLES.pattern(key), -1)) {
            regex.append(regex.isEmpty() ? "" : ".+?").append(part.isEmpty() ? "" : Pattern.quote(part));
        }
        return Pattern.compile(regex.toString(), Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** A page without the blanks that only make its source readable. */
    public static String flat(String html) {
        return html.replaceAll("\\s+", " ").replaceAll(" >", ">").replaceAll(" ?(<[^>]*>) ?", "$1");
    }

    /** Whether a page says a message, whatever its arguments and the markup of its numbers. */
    public static boolean in(String html, String key) {
        String text = HtmlUtils.htmlUnescape(html.replaceAll("<span class=\"frac\">([^<]*)</span>", "$1"));
        return any(key).matcher(text).find();
    }
}
