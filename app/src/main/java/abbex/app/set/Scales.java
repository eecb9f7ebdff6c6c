package abbex.app.set;

import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.core.balance.WheelLoads;
import abbex.core.units.ForceText;
import abbex.core.units.ForceUnit;
import abbex.core.vehicle.Corner;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What scales under the wheels showed, typed wheel by wheel; bars apart, ballast in. */
final class Scales {
    static final List<String> WEIGHTS =
            Corner.WALK.stream().map(corner -> "weight" + corner.code()).toList();
    static final String CROSS = "cross";
    /** How much was turned when it was weighed: after more turns the scales are asked again. */
    static final String WEIGHED = "weighed";
    /** The whole as it was weighed before that, N. */
    private static final String BEFORE = "weighedBefore";

    /** A wheel of a road car or a truck, N. */
    private static final double LEAST = 300;

    private static final double MOST = 60_000;
    private static final double LEAST_CROSS = 40;
    private static final double MOST_CROSS = 60;

    private Scales() {}

    static Map<String, String> read(Form form, StayValues.Told standing, int turned) {
        Map<String, String> kept = new LinkedHashMap<>();
        boolean any = WEIGHTS.stream().anyMatch(field -> !form.text(field).isEmpty());
        for (String field : WEIGHTS) {
            kept.put(field, any ? weight(form, field) : "");
        }
        String cross = form.text(CROSS);
        if (!cross.isEmpty()) {
            form.number(CROSS, LEAST_CROSS, MOST_CROSS);
        }
        kept.put(CROSS, cross);
        boolean again = WEIGHTS.stream().anyMatch(field -> !standing.text(field).equals(kept.get(field)));
        // What is typed anew without a turn between corrects; it is no other weighing.
        boolean other = again && !stands(standing, turned);
        kept.put(
                BEFORE,
                other
                        ? loads(standing)
                                .map(was -> Long.toString(Math.round(was.total())))
                                .orElse("")
                        : standing.text(BEFORE));
        kept.put(WEIGHED, again ? Integer.toString(turned) : standing.text(WEIGHED));
        return kept;
    }

    private static String weight(Form form, String field) {
        String text = form.text(field);
        boolean metric = form.reader().unit().metric();
        OptionalDouble newtons = ForceText.force(text, metric ? ForceUnit.KILOGRAM : ForceUnit.POUND);
        if (newtons.isEmpty() || newtons.getAsDouble() < LEAST || newtons.getAsDouble() > MOST) {
            form.problem(field, "problem.set.weight", "read", text);
            return "";
        }
        return text.matches(".*[A-Za-z].*") ? text : text + (metric ? " kg" : " lb");
    }

    /** In N; empty until all four were weighed. */
    static Optional<WheelLoads> loads(StayValues.Told told) {
        double[] newtons = WEIGHTS.stream()
                .mapToDouble(field ->
                        ForceText.force(told.text(field), ForceUnit.POUND).orElse(0))
                .toArray();
        for (double one : newtons) {
            if (one <= 0) {
                return Optional.empty();
            }
        }
        return Optional.of(new WheelLoads(newtons[0], newtons[1], newtons[2], newtons[3]));
    }

    /** The whole when it was weighed the time before, N; empty where it was not. */
    static OptionalDouble before(StayValues.Told told) {
        String text = told.text(BEFORE);
        return text.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(text));
    }

    /** Nothing was turned since it was weighed. */
    static boolean stands(StayValues.Told told, int turned) {
        return told.text(WEIGHED).equals(Integer.toString(turned));
    }

    /** The cross that is asked for, per cent; half of the whole while nobody said. */
    static double cross(StayValues.Told told) {
        String text = told.text(CROSS);
        return text.isEmpty() ? 50 : Double.parseDouble(text);
    }
}
