package abbex.app.page;

import abbex.app.words.Bundles;
import abbex.core.figure.Finding;
import abbex.core.figure.Reason;
import abbex.core.figure.Severity;
import abbex.core.heights.Height;
import abbex.core.heights.Reading;
import abbex.core.units.TapeParse;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Words for people, formed from the core's data with the bundles; values are worded by their type. */
@Component
public class Words {
    /**
     * A finding as it is shown.
     *
     * @param mark clear, look, stop, open or note: the shape beside it
     * @param word the severity in a word
     * @param place the core's code of the place
     */
    public record Said(String mark, String word, String title, String text, String place) {
        public String titleHtml() {
            return Numerals.html(title);
        }

        public String textHtml() {
            return Numerals.html(text);
        }
    }

    /** Numbers and texts are said as they are; anything else has words of its own, or a program's text would be said. */
    private static final Wording.Teller<Object> PLAIN = (value, words, reader) -> {
        if (value instanceof CharSequence || value instanceof Number) {
            return value.toString();
        }
        throw new IllegalArgumentException(value.getClass() + " has no words: " + value);
    };

    private final Bundles bundles;
    private final Map<Class<?>, Wording.Teller<?>> tellers = new HashMap<>();
    private final Map<Class<?>, Wording.Teller<?>> found = new ConcurrentHashMap<>();

    Words(Bundles bundles, List<Wording> wordings) {
        this.bundles = bundles;
        wordings.forEach(wording -> tellers.putAll(wording.tellers()));
    }

    public String say(String key) {
        return bundles.pattern(key);
    }

    /**
     * A message with its arguments.
     *
     * @param named name and value of each argument by turns
     */
    public String say(String key, Reader reader, Object... named) {
        Map<String, Object> values = new HashMap<>();
        for (int i = 0; i < named.length; i += 2) {
            values.put((String) named[i], named[i + 1]);
        }
        return say(key, values, reader);
    }

    private String say(String key, Map<String, Object> values, Reader reader) {
        return bundles.say(
                key,
                name -> word(
                        Optional.ofNullable(values.get(name))
                                .orElseThrow(() -> new IllegalArgumentException(key + " needs " + name)),
                        reader));
    }

    public Said finding(Finding finding, Reader reader) {
        String key = "finding." + finding.code();
        Map<String, Object> values = new HashMap<>(finding.named());
        values.putIfAbsent("place", finding.place());
        String mark = finding.open() && finding.severity() == Severity.NOTE
                ? "open"
                : finding.severity().name().toLowerCase(Locale.ROOT);
        return new Said(
                mark,
                say("severity."
                        + (mark.equals("open") ? "OPEN" : finding.severity().name())),
                capital(say(key + ".title", values, reader)),
                capital(say(key + ".text", values, reader)),
                finding.place().code());
    }

    /** What a customer is told of it, where there is something to be told: never what the shop has to do. */
    public Optional<String> customer(Finding finding, Reader reader) {
        String key = "finding." + finding.code() + ".customer";
        if (!bundles.keys().contains(key)) {
            return Optional.empty();
        }
        Map<String, Object> values = new HashMap<>(finding.named());
        values.putIfAbsent("place", finding.place());
        return Optional.of(capital(say(key, values, reader)));
    }

    public List<Said> findings(Collection<? extends Finding> findings, Reader reader) {
        return findings.stream().map(f -> finding(f, reader)).toList();
    }

    /** A refused reading as a sentence: what was read and what to enter. */
    public String refusal(TapeParse.Refused refused, Reader reader) {
        List<Object> values = new ArrayList<>(refused.values());
        return say(
                "refusal." + refused.why().name(),
                reader,
                "read",
                values.isEmpty() ? "" : values.get(0),
                "most",
                values.size() < 2 ? "" : values.get(1));
    }

    /** How a figure came about, a sentence a line. */
    public List<String> reason(Reason reason, Reader reader) {
        List<String> lines = new ArrayList<>();
        lines.add(say("reason." + reason.formula().name(), new HashMap<>(reason.named()), reader));
        for (Object input : reason.inputs()) {
            if (input instanceof Height height) {
                lines.add(capital(height(height, reader)));
            }
        }
        lines.add(say("reason.source", reader, "source", reason.formula().source()));
        return lines;
    }

    private String height(Height height, Reader reader) {
        String standard = micro(height.estimate().uncertainty().standard());
        String adds = height.adds().sign() == 0
                ? ""
                : " "
                        + say(
                                "reason.height.adds",
                                reader,
                                "adds",
                                micro(height.adds().mm()));
        Reading one = height.readings().get(0);
        return say(
                        height.readings().size() > 1 ? "reason.height.repeat" : "reason.height",
                        reader,
                        "spot",
                        height.spot(),
                        "readings",
                        readings(height, reader),
                        "standard",
                        standard,
                        "mark",
                        micro(one.tape().standardMm()),
                        "point",
                        micro(height.point().standard()))
                + adds;
    }

    private String readings(Height height, Reader reader) {
        return height.readings().stream()
                .map(r -> Numerals.reading(r.tape())
                        + (r.who().isEmpty() ? "" : " (" + r.who() + " " + reader.day(r.takenAt()) + ")"))
                .collect(Collectors.joining(" " + say("and") + " "));
    }

    private static String micro(double mm) {
        return BigDecimal.valueOf(mm)
                        .setScale(3, RoundingMode.HALF_UP)
                        .toPlainString()
                        .replace('-', '−') + " mm";
    }

    /** A value as it is said. */
    @SuppressWarnings("unchecked")
    public String word(Object value, Reader reader) {
        Wording.Teller<Object> teller = (Wording.Teller<Object>) found.computeIfAbsent(value.getClass(), this::teller);
        return teller.tell(value, this, reader);
    }

    /** Several values: commas, and a word before the last. */
    public String list(Collection<?> values, Reader reader) {
        List<String> words = values.stream().map(v -> word(v, reader)).toList();
        return words.size() < 2
                ? String.join("", words)
                : String.join(", ", words.subList(0, words.size() - 1)) + " " + say("and") + " "
                        + words.get(words.size() - 1);
    }

    /** The words of the type itself, else those of a type that it is one of. */
    private Wording.Teller<?> teller(Class<?> type) {
        Wording.Teller<?> own = tellers.get(type);
        if (own != null) {
            return own;
        }
        return tellers.entrySet().stream()
                .filter(t -> t.getKey().isAssignableFrom(type))
                .<Wording.Teller<?>>map(Map.Entry::getValue)
                .findFirst()
                .orElse(PLAIN);
    }

    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ENGLISH) + text.substring(1);
    }

    /** A sentence's first letter small, for use within another. */
    public static String small(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toLowerCase(Locale.ENGLISH) + text.substring(1);
    }
}
