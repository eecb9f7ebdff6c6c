package abbex.app.set;

import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.kit.BagText;
import abbex.app.kit.StackSizes;
import abbex.app.kit.TurnsText;
import abbex.core.heights.Method;
import abbex.core.kit.EndNow;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The fields of the setup, and what they say. */
final class SetForm {
    static final String LINKS = "links";
    static final String POLICY = "policy";
    static final String BY = "by";
    static final String SETTLED = "settled";
    private static final Length HIGHEST = Length.ofMm(1500);
    private static final Length COARSEST = Length.ofMm(20);
    private static final Length MOST_LIFT = Length.ofMm(100);
    private static final double MOST_TURNS = 60;
    private static final double LEAST_RATIO = EndNow.LEAST_RATIO;
    private static final double MOST_RATIO = EndNow.MOST_RATIO;
    private static final String USUAL_PARTS = "4";
    private static final List<String> PARTS = List.of("1", "2", "4", "8");

    private static final List<String> FIELDS = List.of(
            "kind",
            "wanted",
            "pitch",
            "parts",
            "up",
            "down",
            "ratio",
            "sizes",
            "there",
            "air",
            "airLeast",
            "airMost",
            "lift");

    /** What the right side of an end may have otherwise. */
    static final List<String> SIDES = List.of("wanted", "up", "down", "there", "air");

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

    /** What the targets are told in. */
    enum By {
        /** What the vehicle is set by. */
        LIP(null),
        FRAME(Method.FG),
        GAP(Method.TG);

        private final @Nullable Method way;

        By(@Nullable Method way) {
            this.way = way;
        }

        /** Empty for what the vehicle is set by. */
        Optional<Method> way() {
            return Optional.ofNullable(way);
        }
    }

    /** What an end is set by. */
    enum Kind {
        NONE,
        /** A ring on a threaded body. */
        THREAD,
        STACK,
        /** A jack bolt at a seat. */
        BOLT,
        /** A rod of adjustable length. */
        LINK,
        /** Air, each bag by a valve of its own. */
        BAG;

        boolean turned() {
            return this == THREAD || this == BOLT || this == LINK;
        }
    }

    private SetForm() {}

    static String field(String name, End end) {
        return name + end.name();
    }

    static String right(String name, End end) {
        return field(name + "Right", end);
    }

    /** What is told of a corner: of its end, or of its right side where that differs. */
    static String text(StayValues.Told told, String name, Corner corner) {
        String own = corner == corner.end().right() ? told.text(right(name, corner.end())) : "";
        return own.isEmpty() ? told.text(field(name, corner.end())) : own;
    }

    /** Reads what was typed; the texts as they are kept, problems at their fields. */
    static Map<String, String> read(Form form) {
        Map<String, String> kept = new LinkedHashMap<>();
        kept.put(LINKS, form.has(LINKS) ? "apart" : "");
        Policy policy = form.choice(POLICY, Policy.values(), Policy.GIVEN);
        kept.put(POLICY, policy == Policy.GIVEN ? "" : policy.name());
        By by = form.choice(BY, By.values(), By.LIP);
        kept.put(BY, by == By.LIP ? "" : by.name());
        kept.put(SETTLED, form.has(SETTLED) ? "yes" : "");
        for (End end : End.values()) {
            Kind kind = form.choice(field("kind", end), Kind.values(), Kind.NONE);
            kept.put(field("kind", end), kind.name());
            boolean asked = end == End.FRONT
                    ? kind != Kind.NONE || policy != Policy.GIVEN
                    : kind != Kind.NONE && policy == Policy.GIVEN;
            kept.put(field("wanted", end), length(form, field("wanted", end), HIGHEST, asked));
            kept.put(right("wanted", end), length(form, right("wanted", end), HIGHEST, false));
            kept.put(
                    field("pitch", end),
                    kind.turned()
                            ? length(form, field("pitch", end), COARSEST, true)
                            : readable(form.text(field("pitch", end))));
            String parts = form.text(field("parts", end), USUAL_PARTS);
            kept.put(field("parts", end), PARTS.contains(parts) ? parts : USUAL_PARTS);
            for (String field : List.of(field("up", end), field("down", end), right("up", end), right("down", end))) {
                kept.put(field, turns(form, field, kind));
            }
            kept.put(field("ratio", end), ratio(form, field("ratio", end), kind));
            kept.put(field("sizes", end), pieces(form, field("sizes", end), kind, true));
            kept.put(field("there", end), pieces(form, field("there", end), kind, false));
            kept.put(right("there", end), pieces(form, right("there", end), kind, false));
            bag(form, end, kind, kept);
        }
        return kept;
    }

    /** No adjuster reaches further, mm (ours): what is as far from where it stands is no height, a drop most likely. */
    private static final double REACH = 127;

    /** @param now where the corners stand in the way that the targets are told in, LF RF RR LR, mm */
    static void near(Form form, Map<String, String> kept, double[] now) {
        for (Corner corner : Corner.WALK) {
            String own = right("wanted", corner.end());
            boolean apart = corner == corner.end().right()
                    && !kept.getOrDefault(own, "").isEmpty();
            String field = apart ? own : field("wanted", corner.end());
            String wanted = kept.getOrDefault(field, "");
            double stands = now[Corner.WALK.indexOf(corner)];
            if (!wanted.isEmpty() && Math.abs(mm(wanted).mm() - stands) > REACH) {
                form.problem(
                        field, "problem.set.target", "read", form.text(field), "stands", Length.ofRoundedMm(stands));
            }
        }
    }

    private static void bag(Form form, End end, Kind kind, Map<String, String> kept) {
        kept.put(field("air", end), air(form, field("air", end), kind, true));
        for (String field : List.of(right("air", end), field("airLeast", end), field("airMost", end))) {
            kept.put(field, air(form, field, kind, false));
        }
        kept.put(
                field("lift", end),
                kind == Kind.BAG
                        ? length(form, field("lift", end), MOST_LIFT, true)
                        : readable(form.text(field("lift", end))));
    }

    /** A pressure as it is kept, with its unit. */
    private static String air(Form form, String field, Kind kind, boolean needed) {
        String text = form.text(field);
        if (text.isEmpty() && !(needed && kind == Kind.BAG)) {
            return "";
        }
        boolean metric = form.reader().unit().metric();
        if (BagText.pressure(text, metric).isEmpty()) {
            if (kind == Kind.BAG) {
                form.problem(field, "problem.set.air", "read", text);
            }
            return "";
        }
        return text.matches(".*[A-Za-z].*") ? text : text + (metric ? " bar" : " psi");
    }

    /** Every field as it stands, empty ones too. */
    static Map<String, String> all(StayValues.Told told) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put(LINKS, told.text(LINKS));
        all.put(POLICY, told.text(POLICY));
        all.put(BY, told.text(BY));
        all.put(SETTLED, told.text(SETTLED));
        for (End end : End.values()) {
            FIELDS.forEach(name -> all.put(field(name, end), told.text(field(name, end))));
            SIDES.forEach(name -> all.put(right(name, end), told.text(right(name, end))));
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
        if (!text.isEmpty() && !read && kind.turned()) {
            form.problem(field, "problem.kit.turns", "read", text);
        }
        return read ? text : "";
    }

    private static String ratio(Form form, String field, Kind kind) {
        String text = form.text(field);
        if (text.isEmpty() || kind == Kind.NONE || kind == Kind.BAG) {
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
        } else if (read && needed && StackSizes.uncounted(kept)) {
            form.problem(field, "problem.kit.sizes.count", "read", text);
        }
        return read ? kept : "";
    }

    static Policy policy(StayValues.Told told) {
        String policy = told.text(POLICY);
        return policy.isEmpty() ? Policy.GIVEN : Policy.valueOf(policy);
    }

    static By by(StayValues.Told told) {
        return by(told.text(BY));
    }

    static By by(String kept) {
        return kept.isEmpty() ? By.LIP : By.valueOf(kept);
    }

    /** Heights are wanted of the vehicle once it has settled. */
    static boolean settled(StayValues.Told told) {
        return !told.text(SETTLED).isEmpty();
    }

    static Kind kind(StayValues.Told told, End end) {
        String kind = told.text(field("kind", end));
        return kind.isEmpty() ? Kind.NONE : Kind.valueOf(kind);
    }

    /** A length as it is kept, with its unit. */
    static Length mm(String raw) {
        return TapeText.parse(raw, LengthUnit.INCH, Graduation.SIXTEENTH_INCH, TapeText.Allowed.ANY, HIGHEST)
                .asReading()
                .map(TapeReading::value)
                .orElse(Length.ZERO);
    }
}
