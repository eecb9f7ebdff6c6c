package abbex.app.rules;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.units.Length;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeText;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A form of lengths: what was typed is kept, whatever becomes of it. */
public final class LengthForm {
    /** Nothing that is set here is longer (ours, against slips of the unit). */
    private static final Length LARGEST = Length.ofInches(12, 0, 1);

    private final Person me;
    private final Words words;
    private final Map<String, String> typed;
    private final Map<String, String> problems = new LinkedHashMap<>();

    LengthForm(Person me, Words words, Map<String, String> typed) {
        this.me = me;
        this.words = words;
        this.typed = typed;
    }

    boolean has(String field) {
        return typed.containsKey(field);
    }

    public String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }

    void problem(String field, String why) {
        problems.putIfAbsent(field, why);
    }

    public boolean fits() {
        return problems.isEmpty();
    }

    /** The length of a field; empty when nothing, or nothing that can be taken, was typed. */
    Optional<Typed> read(String field) {
        String text = text(field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        TapeParse parse = TapeText.parse(text, me.likes().unit(), me.likes().tape(), TapeText.Allowed.ANY, LARGEST);
        if (parse instanceof TapeParse.Refused refused) {
            problem(field, words.refusal(refused, Reader.of(me)));
        }
        return parse.asReading().map(read -> new Typed(read.rawIn(me.likes().unit()), read.value()));
    }

    /** The day of a field; null when nothing was typed. */
    @Nullable
    LocalDate day(String field) {
        try {
            LocalDate day = text(field).isEmpty() ? null : LocalDate.parse(text(field));
            if (day == null || day.getYear() >= 1900 && day.getYear() <= 2200) {
                return day;
            }
        } catch (DateTimeParseException none) {
            // Said below, as for a year that nobody means.
        }
        problem(field, words.say("problem.day", Reader.of(me), "read", text(field)));
        return null;
    }
}
