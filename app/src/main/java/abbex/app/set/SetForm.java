package abbex.app.set;

import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.kit.StackSizes;
import abbex.app.kit.TurnsText;
import abbex.core.kit.Stacks;
import abbex.core.setting.Adjuster;
import abbex.core.setting.How;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** The fields of the setup, and what they say. */
final class SetForm {
    static final String LINKS = "links";
    static final String POLICY = "policy";
    private static final Length HIGHEST = Length.ofMm(1500);
    private static final Length COARSEST = Length.ofMm(20);
    private static final double MOST_TURNS = 60;
    private static final double LEAST_RATIO = 0.3;
    private static final double MOST_RATIO = 2;
    /** Turns that are taken to be left each way while nobody has said (ours). */
    private static final double USUAL_TURNS = 10;

    private static final String USUAL_PARTS = "4";
    private static final List<String> PARTS = List.of("1", "2", "4", "8");

    private static final List<String> FIELDS =
            List.of("kind", "wanted", "pitch", "parts", "up", "down", "ratio", "sizes", "there");

    /** What the rear's target follows. */
    enum Policy {
        /** Its own height. */
        GIVEN,
        /** The rake that the vehicle came with. */
        RAKE,
        /** As much room over the tyre as in front. */
        GAPS,
        /** A frame as high behind as in front. */
        LEVEL
    }

    /** What an end is set by. */
    enum Kind {
        NONE,
        THREAD,
        STACK
    }

    private SetForm() {}

    static String field(String name, End end) {
        return name + end.name();
    }

    /** Reads what was typed; the texts as they are kept, problems at their fields. */
    static Map<String, String> read(Form form) {
        Map<String, String> kept = new LinkedHashMap<>();
        kept.put(LINKS, form.has(LINKS) ? "apart" : "");
        Policy policy = form.choice(POLICY, Policy.values(), Policy.GIVEN);
        kept.put(POLICY, policy == Policy.GIVEN ? "" : policy.name());
        for (End end : End.values()) {
            Kind kind = form.choice(field("kind", end), Kind.values(), Kind.NONE);
            kept.put(field("kind", end), kind.name());
            boolean asked = end == End.FRONT
                    ? kind != Kind.NONE || policy != Policy.GIVEN
                    : kind != Kind.NONE && policy == Policy.GIVEN;
            kept.put(field("wanted", end), length(form, field("wanted", end), HIGHEST, asked));
            kept.put(
                    field("pitch", end),
                    kind == Kind.THREAD
                            ? length(form, field("pitch", end), COARSEST, true)
                            : readable(form.text(field("pitch", end))));
            String parts = form.text(field("parts", end), USUAL_PARTS);
            kept.put(field("parts", end), PARTS.contains(parts) ? parts : USUAL_PARTS);
            kept.put(field("up", end), turns(form, field("up", end), kind));
            kept.put(field("down", end), turns(form, field("down", end), kind));
            kept.put(field("ratio", end), ratio(form, field("ratio", end), kind));
            kept.put(field("sizes", end), pieces(form, field("sizes", end), kind, true));
            kept.put(field("there", end), pieces(form, field("there", end), kind, false));
        }
        return kept;
    }

    /** Every field as it stands, empty ones too. */
    static Map<String, String> all(StayValues.Told told) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put(LINKS, told.text(LINKS));
        all.put(POLICY, told.text(POLICY));
        for (End end : End.values()) {
            FIELDS.forEach(name -> all.put(field(name, end), told.text(field(name, end))));
        }
        return all;
    }

    private static String length(Form form, String field, Length most, boolean needed) {
        return form.text(field).isEmpty() && !needed
                ? ""
                : form.needed(field, TapeText.Allowed.POSITIVE, most)
                        .map(form::raw)
                        .orElse("");
    }

    /** What is not asked of an end is kept when it can be read, and is no problem when it cannot. */
    private static String turns(Form form, String field, Kind kind) {
        String text = form.text(field);
        OptionalDouble turns = TurnsText.read(text);
        boolean read = turns.isPresent() && turns.getAsDouble() >= 0 && turns.getAsDouble() <= MOST_TURNS;
        if (!text.isEmpty() && !read && kind == Kind.THREAD) {
            form.problem(field, "problem.kit.turns", "read", text);
        }
        return read ? text : "";
    }

    private static String ratio(Form form, String field, Kind kind) {
        String text = form.text(field);
        if (text.isEmpty() || kind == Kind.NONE) {
            return "";
        }
        form.number(field, LEAST_RATIO, MOST_RATIO);
        return text;
    }

    private static String readable(String length) {
        return mm(length).sign() > 0 ? length : "";
    }

    private static String pieces(Form form, String field, Kind kind, boolean needed) {
        String text = form.text(field);
        if (text.isEmpty() && !(needed && kind == Kind.STACK)) {
            return "";
        }
        String kept = StackSizes.withUnits(text, form.reader().unit().metric());
        boolean read = StackSizes.read(kept).isPresent();
        if (!read && kind == Kind.STACK) {
            form.problem(field, "problem.set.sizes", "read", text);
        }
        return read ? kept : "";
    }

    /** What there is for a corner, after what was done there. */
    static Adjuster adjuster(StayValues.Told told, End end, List<How> done) {
        double ratio = number(told.text(field("ratio", end)), 1);
        return switch (kind(told, end)) {
            case NONE -> Adjuster.fixed();
            case THREAD -> thread(told, end, done, ratio);
            case STACK ->
                Adjuster.stack(
                        StackSizes.read(told.text(field("sizes", end))).orElse(List.of()),
                        there(told, end, done),
                        ratio);
        };
    }

    private static Adjuster thread(StayValues.Told told, End end, List<How> done, double ratio) {
        int per = (int) number(told.text(field("parts", end)), 4);
        int net = done.stream()
                .mapToInt(h -> h instanceof How.Turns t ? t.parts() * per / t.perTurn() : 0)
                .sum();
        return Adjuster.thread(
                mm(told.text(field("pitch", end))),
                per,
                left(told.text(field("down", end)), per, net),
                left(told.text(field("up", end)), per, -net),
                ratio);
    }

    static Policy policy(StayValues.Told told) {
        String policy = told.text(POLICY);
        return policy.isEmpty() ? Policy.GIVEN : Policy.valueOf(policy);
    }

    static Kind kind(StayValues.Told told, End end) {
        String kind = told.text(field("kind", end));
        return kind.isEmpty() ? Kind.NONE : Kind.valueOf(kind);
    }

    private static int left(String turns, int perTurn, int net) {
        double all = TurnsText.read(turns).orElse(USUAL_TURNS);
        return Math.max(0, (int) Math.floor(all * perTurn + 1e-9) + net);
    }

    private static double number(String text, double usual) {
        return text.isEmpty() ? usual : Double.parseDouble(text.replace('−', '-'));
    }

    /** A length as it is kept, with its unit. */
    static Length mm(String raw) {
        return TapeText.parse(raw, LengthUnit.INCH, Graduation.SIXTEENTH_INCH, TapeText.Allowed.ANY, HIGHEST)
                .asReading()
                .map(TapeReading::value)
                .orElse(Length.ZERO);
    }

    private static List<Length> there(StayValues.Told told, End end, List<How> done) {
        List<Length> there = new ArrayList<>();
        for (Stacks.Size size : StackSizes.read(told.text(field("there", end))).orElse(List.of())) {
            for (int n = 0; n < size.pieces(); n++) {
                there.add(size.thickness());
            }
        }
        for (How how : done) {
            if (how instanceof How.Swap swap) {
                swap.out().forEach(there::remove);
                there.addAll(swap.in());
            }
        }
        return there;
    }
}
