package abbex.app.form;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.store.PlainText;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.web.servlet.ModelAndView;

/** A form as somebody sent it. A field's first problem counts. */
public final class Form {
    private static final HttpStatusCode UNFIT = HttpStatus.valueOf(422);

    /** The hidden field that says which edition of a thing was on the page. */
    public static final String EDITION = "edition";

    /**
     * Why a text cannot be taken.
     *
     * @param text a sentence, safe for a page
     * @param offer a text that can be taken instead; empty when there is none
     */
    public record Problem(String text, String offer) {}

    private final Words words;
    private final Reader reader;
    private final LengthUnit unit;
    private final Graduation tape;
    private final Map<String, String> typed = new LinkedHashMap<>();
    private final Map<String, Problem> problems = new LinkedHashMap<>();
    private final Map<String, String> meanwhile = new LinkedHashMap<>();
    private boolean stale;

    public Form(Person me, Words words, Map<String, String> parameters) {
        this.words = words;
        this.reader = Reader.of(me);
        this.unit = me.likes().unit();
        this.tape = me.likes().tape();
        parameters.forEach((field, text) -> typed.put(field, text.strip()));
    }

    /** A form that nobody sent yet. */
    public static Form blank(Person me, Words words) {
        return new Form(me, words, Map.of());
    }

    public Reader reader() {
        return reader;
    }

    /** The text of a field without blanks around it; empty when it was not sent. */
    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    /** The same, or what stands there while nothing was sent. */
    public String text(String field, String standing) {
        return typed.getOrDefault(field, standing);
    }

    /** The field was left alone: it shows what stands there by now. */
    public void keep(String field, String standing) {
        typed.put(field, standing);
    }

    public boolean has(String field) {
        return typed.containsKey(field);
    }

    /** Every text that was sent, by field. */
    public Map<String, String> texts() {
        return Collections.unmodifiableMap(typed);
    }

    public boolean fits() {
        return problems.isEmpty() && !stale;
    }

    public Map<String, Problem> problems() {
        return Collections.unmodifiableMap(problems);
    }

    /** Why the text of a field cannot be taken; null when it can. */
    public @Nullable Problem at(String field) {
        return problems.get(field);
    }

    /** Something is to be said under a field. */
    public boolean speaks(String field) {
        return problems.containsKey(field) || meanwhile.containsKey(field);
    }

    /** What marks a field that cannot be taken for a browser: true, or null for no mark. */
    public @Nullable String invalid(String field) {
        return problems.containsKey(field) ? "true" : null;
    }

    /**
     * A field cannot be taken.
     *
     * @param key of the sentence
     * @param named name and value of each of its arguments by turns
     */
    public void problem(String field, String key, Object... named) {
        tell(field, words.say(key, reader, named), "");
    }

    /** The same with a text that can be taken instead; empty when there is none. */
    public void offering(String field, String offer, String key, Object... named) {
        tell(field, words.say(key, reader, named), offer);
    }

    /** A length that was refused. */
    public void refused(String field, TapeParse.Refused refused) {
        tell(field, words.refusal(refused, reader), first(refused.offers()));
    }

    private void tell(String field, String text, String offer) {
        problems.putIfAbsent(field, new Problem(Numerals.html(text), offer));
    }

    /** The first of some offers; empty when there is none. */
    public static String first(List<String> offers) {
        return offers.isEmpty() ? "" : offers.get(0);
    }

    /** A line of text: it may be empty, but not too long, and every character is one that can be shown. */
    public String line(String field, int longest) {
        return within(
                field, longest, text(field).chars().anyMatch(c -> Character.isISOControl(c) || c == PlainText.INSTEAD));
    }

    /** Lines of text. */
    public String lines(String field, int longest) {
        return within(
                field,
                longest,
                text(field)
                        .chars()
                        .anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t'
                                || c == PlainText.INSTEAD));
    }

    private String within(String field, int longest, boolean unprintable) {
        if (text(field).length() > longest) {
            problem(field, "problem.long", "most", Integer.toString(longest));
        } else if (unprintable) {
            problem(field, "problem.unprintable");
        }
        return text(field);
    }

    /**
     * A line that must not be empty.
     *
     * @param missing key of what is said when it is
     */
    public String named(String field, int longest, String missing) {
        if (text(field).isEmpty()) {
            problem(field, missing);
        }
        return line(field, longest);
    }

    /** A length in the person's unit where none is typed; empty when nothing or nothing that can be taken was typed. */
    public Optional<TapeReading> length(String field, TapeText.Allowed allowed, Length largest) {
        return text(field).isEmpty() ? Optional.empty() : needed(field, allowed, largest);
    }

    /** A length that must be there. */
    public Optional<TapeReading> needed(String field, TapeText.Allowed allowed, Length largest) {
        return needed(field, text(field), allowed, largest);
    }

    /** The same, of what is left of a field's text. */
    public Optional<TapeReading> needed(String field, String figure, TapeText.Allowed allowed, Length largest) {
        TapeParse parse = TapeText.parse(figure, unit, tape, allowed, largest);
        if (parse instanceof TapeParse.Refused refused) {
            refused(field, refused);
        }
        return parse.asReading();
    }

    /** A length as it is kept: as typed, with the unit it was taken in. */
    public String raw(TapeReading reading) {
        return reading.rawIn(unit);
    }

    /** A plain number in a range. */
    public OptionalDouble number(String field, double least, double most) {
        return number(field, text(field), least, most);
    }

    /** The same, of what is left of a field's text. */
    public OptionalDouble number(String field, String figure, double least, double most) {
        String text = figure.replace('−', '-');
        if (text.matches("-?\\d{1,4}([.]\\d{1,3})?")) {
            double value = Double.parseDouble(text);
            if (value >= least && value <= most) {
                return OptionalDouble.of(value);
            }
        }
        problem(field, "problem.range", "read", text, "least", plain(least), "most", plain(most));
        return OptionalDouble.empty();
    }

    /** A length in a range of millimetres, in the person's unit where none is typed. */
    public OptionalDouble millimetres(String field, double least, double most) {
        String text = text(field).replace('−', '-');
        Optional<Double> mm = TapeText.parse(text, unit, tape, TapeText.Allowed.ANY)
                .asReading()
                .map(reading -> reading.value().mm());
        if (mm.isPresent() && mm.get() >= least && mm.get() <= most) {
            return OptionalDouble.of(mm.get());
        }
        // A bare number that only fits in the other unit was most likely meant in it.
        String other = text.matches("\\d{1,3}([.]\\d{1,2})?") && !unit.metric() && Double.parseDouble(text) <= most
                ? text + " mm"
                : "";
        offering(
                field,
                other,
                "problem.range.length",
                "read",
                text(field),
                "least",
                Length.ofRoundedMm(least),
                "most",
                Length.ofRoundedMm(most));
        return OptionalDouble.empty();
    }

    private static String plain(double number) {
        return java.math.BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    /** A day; null when nothing was typed. */
    public @Nullable LocalDate day(String field) {
        try {
            LocalDate day = text(field).isEmpty() ? null : LocalDate.parse(text(field));
            if (day == null || day.getYear() >= 1900 && day.getYear() <= 2200) {
                return day;
            }
        } catch (DateTimeParseException none) {
            // Said below, as for a year that nobody means.
        }
        problem(field, "problem.day", "read", text(field));
        return null;
    }

    /** A time of the day, such as 8:30; empty when nothing or nothing that can be taken was typed. */
    public Optional<LocalTime> time(String field) {
        try {
            String text = text(field);
            return text.isEmpty()
                    ? Optional.empty()
                    : Optional.of(LocalTime.parse(text.matches("\\d:.*") ? "0" + text : text));
        } catch (DateTimeParseException none) {
            problem(field, "problem.time", "read", text(field));
            return Optional.empty();
        }
    }

    /** A day with a time; empty when nothing or nothing that can be taken was typed. */
    public Optional<LocalDateTime> moment(String field) {
        try {
            LocalDateTime at = text(field).isEmpty()
                    ? null
                    : LocalDateTime.parse(text(field).replace(' ', 'T'));
            if (at == null || at.getYear() >= 1900 && at.getYear() <= 2200) {
                return Optional.ofNullable(at);
            }
        } catch (DateTimeParseException none) {
            // Said below, as for a year that is not meant.
        }
        problem(field, "problem.moment", "read", text(field));
        return Optional.empty();
    }

    /** One of a list; the usual one when nothing was chosen. */
    public <E extends Enum<E>> E choice(String field, E[] all, E usual) {
        for (E one : all) {
            if (one.name().equals(text(field))) {
                return one;
            }
        }
        if (!text(field).isEmpty()) {
            problem(field, "problem.choice.unknown", "read", text(field));
        }
        return usual;
    }

    /** The edition that was on the page; empty when the form did not say. */
    public Optional<Integer> edition() {
        return text(EDITION).matches("\\d{1,9}") ? Optional.of(Integer.valueOf(text(EDITION))) : Optional.empty();
    }

    /**
     * Somebody else saved meanwhile: what was typed stays, what stands is told field by field, and the next save counts from
     * there.
     *
     * @param edition that stands now
     * @param standing text of each field as it stands now
     * @return false when all that was typed stands already
     */
    public boolean meanwhile(int edition, Map<String, String> standing) {
        standing.forEach((field, text) -> {
            if (!field.equals(EDITION) && has(field) && !text(field).equals(text)) {
                meanwhile.put(field, text);
            }
        });
        stale = !meanwhile.isEmpty();
        typed.put(EDITION, Integer.toString(edition));
        return stale;
    }

    /** What stands in a choice that was made otherwise is called by its words. */
    public void called(String field, String name) {
        meanwhile.computeIfPresent(field, (f, code) -> name);
    }

    /** True when somebody else saved meanwhile. */
    public boolean stale() {
        return stale;
    }

    /** What stands in a field that was typed otherwise, where somebody else saved meanwhile; null for other fields. */
    public @Nullable String stands(String field) {
        return meanwhile.get(field);
    }

    /** The page with what was typed, and the status that fits. */
    public ModelAndView on(ModelAndView page) {
        page.addObject("form", this);
        if (!fits()) {
            page.setStatus(stale && problems.isEmpty() ? HttpStatus.CONFLICT : UNFIT);
        }
        return page;
    }
}
