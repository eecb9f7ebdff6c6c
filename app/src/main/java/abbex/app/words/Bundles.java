package abbex.app.words;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.support.AbstractMessageSource;
import org.springframework.core.io.Resource;

/**
 * All wording: one bundle a station, each key in one of them only. An argument stands in braces by its name, such as
 * {@code {place}}; nothing else is special, so that a text reads as it is shown.
 */
public class Bundles extends AbstractMessageSource {
    private static final Pattern ARGUMENT = Pattern.compile("\\{([A-Za-z]\\w*)}");

    private final Map<String, String> texts;
    /** Each text cut at its arguments: what stands before, an argument's name, what stands before the next, and so on. */
    private final Map<String, List<String>> parts;

    private Bundles(Map<String, String> texts) {
        this.texts = Map.copyOf(texts);
        this.parts = texts.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, text -> parts(text.getValue())));
    }

    private static List<String> parts(String text) {
        List<String> parts = new ArrayList<>();
        Matcher argument = ARGUMENT.matcher(text);
        int from = 0;
        while (argument.find()) {
            parts.add(text.substring(from, argument.start()));
            parts.add(argument.group(1));
            from = argument.end();
        }
        parts.add(text.substring(from));
        return List.copyOf(parts);
    }

    /**
     * Reads the bundles.
     *
     * @throws IllegalStateException when two of them hold the same key
     */
    public static Bundles of(Resource... bundles) {
        Map<String, String> texts = new HashMap<>();
        for (Resource bundle : bundles) {
            Properties words = new Properties();
            try (Reader in = new InputStreamReader(bundle.getInputStream(), StandardCharsets.UTF_8)) {
                words.load(in);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            words.stringPropertyNames().forEach(key -> {
                if (texts.put(key, words.getProperty(key)) != null) {
                    throw new IllegalStateException(key + " stands in two bundles, " + bundle);
                }
            });
        }
        return new Bundles(texts);
    }

    public Set<String> keys() {
        return texts.keySet();
    }

    /** The text as it stands in its bundle. */
    public String pattern(String key) {
        String text = texts.get(key);
        if (text == null) {
            throw new IllegalArgumentException("no words for " + key);
        }
        return text;
    }

    /** The text with each argument put in its place. */
    public String say(String key, Function<String, String> arguments) {
        List<String> known = parts.get(key);
        if (known == null || known.size() == 1) {
            return pattern(key);
        }
        StringBuilder said = new StringBuilder();
        for (int i = 0; i < known.size(); i++) {
            said.append(i % 2 == 0 ? known.get(i) : arguments.apply(known.get(i)));
        }
        return said.toString();
    }

    /** For templates, where the arguments are name and value by turns. */
    @Override
    protected @Nullable String getMessageInternal(
            @Nullable String key, Object @Nullable [] arguments, @Nullable Locale locale) {
        if (key == null || !texts.containsKey(key)) {
            return null;
        }
        Map<String, String> named = new HashMap<>();
        for (int i = 0; arguments != null && i + 1 < arguments.length; i += 2) {
            named.put(String.valueOf(arguments[i]), String.valueOf(arguments[i + 1]));
        }
        return say(key, name -> {
            if (!named.containsKey(name)) {
                throw new IllegalArgumentException(key + " needs " + name);
            }
            return named.get(name);
        });
    }

    @Override
    protected @Nullable MessageFormat resolveCode(String code, Locale locale) {
        return null;
    }
}
