package abbex.app.align;

import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.core.alignment.AlignFinding;
import abbex.core.alignment.Alignment;
import abbex.core.alignment.AngleText;
import abbex.core.alignment.Limits;
import abbex.core.alignment.WheelAngles;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The fields of the alignment, and what they say. */
final class AlignForm {
    static final String EACH = "each";
    static final String DIAMETER = "diameter";
    static final List<String> WHEN = List.of("Before", "After");
    private static final Length LARGEST = Length.ofMm(1500);
    /** Both wheels' toe together. */
    private static final String TOTAL = "TOTAL";

    private AlignForm() {}

    static String field(String name, String when, Corner corner) {
        return name + when + corner.code();
    }

    static String field(String name, End end) {
        return name + end.name();
    }

    /** Angles that are read at a wheel; caster where it steers. */
    static List<String> angles(End end) {
        return end == End.FRONT ? List.of("camber", "toe", "caster") : List.of("camber", "toe");
    }

    /** Every field there is. */
    static List<String> all() {
        List<String> all = new ArrayList<>(List.of(DIAMETER, EACH));
        for (Corner corner : Corner.WALK) {
            WHEN.forEach(when -> angles(corner.end()).forEach(name -> all.add(field(name, when, corner))));
        }
        for (End end : End.values()) {
            for (String name : List.of("camberLeast", "camberMost", "toeLeast", "toeMost", "expected", "reach")) {
                all.add(field(name, end));
            }
        }
        all.addAll(SystemsForm.all());
        return all;
    }

    /** Reads what was typed; the texts as they are kept, problems at their fields. */
    static Map<String, String> read(Form form) {
        Map<String, String> kept = new LinkedHashMap<>();
        Optional<TapeReading> diameter = form.length(DIAMETER, TapeText.Allowed.POSITIVE, LARGEST);
        kept.put(DIAMETER, diameter.map(form::raw).orElse(""));
        kept.put(EACH, form.text(EACH).equals(TOTAL) ? TOTAL : "");
        Optional<Length> across = diameter.map(TapeReading::value);
        for (String field : all()) {
            if (field.startsWith("toe")) {
                toe(form, field, across);
            } else if (field.startsWith("camber") || field.startsWith("caster") || field.startsWith("expected")) {
                degrees(form, field);
            } else if (field.startsWith("reach")) {
                form.choice(field, AlignFinding.Reach.values(), AlignFinding.Reach.UNKNOWN);
            }
            kept.putIfAbsent(field, form.text(field));
        }
        kept.putAll(SystemsForm.read(form));
        for (End end : End.values()) {
            for (String name : List.of("camber", "toe")) {
                inOrder(form, name, end, across);
            }
        }
        return kept;
    }

    private static void degrees(Form form, String field) {
        if (!form.text(field).isEmpty() && AngleText.degrees(form.text(field)).isEmpty()) {
            form.problem(field, "problem.angle", "read", form.text(field));
        }
    }

    private static void toe(Form form, String field, Optional<Length> diameter) {
        if (form.text(field).isEmpty()) {
            return;
        }
        AngleText.Read read = AngleText.toe(form.text(field), diameter);
        if (read instanceof AngleText.Read.NeedsDiameter) {
            form.problem(field, "problem.toe.diameter", "read", form.text(field));
        } else if (read instanceof AngleText.Read.Not) {
            form.problem(field, "problem.toe", "read", form.text(field));
        }
    }

    /** A limit is from the lower to the higher, both or none. */
    private static void inOrder(Form form, String name, End end, Optional<Length> diameter) {
        String least = field(name + "Least", end);
        String most = field(name + "Most", end);
        if (form.text(least).isEmpty() != form.text(most).isEmpty()) {
            form.problem(form.text(least).isEmpty() ? least : most, "problem.angles.both");
            return;
        }
        Optional<Double> from = angle(name, form.text(least), diameter);
        Optional<Double> to = angle(name, form.text(most), diameter);
        if (from.isPresent() && to.isPresent() && from.get() > to.get()) {
            form.problem(most, "problem.angles.order");
        }
    }

    private static Optional<Double> angle(String name, String text, Optional<Length> diameter) {
        if (!name.equals("toe")) {
            return AngleText.degrees(text);
        }
        return AngleText.toe(text, diameter) instanceof AngleText.Read.Angle read
                ? Optional.of(read.toe().degrees())
                : Optional.empty();
    }

    /** What is kept, as angles. */
    static Alignment alignment(StayValues.Told told) {
        Optional<Length> diameter = TapeText.parse(
                        told.text(DIAMETER), LengthUnit.INCH, Graduation.SIXTEENTH_INCH, TapeText.Allowed.ANY, LARGEST)
                .asReading()
                .map(TapeReading::value);
        return new Alignment(
                angles(told, WHEN.get(0), diameter),
                angles(told, WHEN.get(1), diameter),
                PerEnd.of(end -> new Limits(
                        range(told, "camber", end, diameter),
                        range(told, "toe", end, diameter)
                                .map(range -> told.text(EACH).equals(TOTAL) ? range.each() : range))),
                PerEnd.of(end -> AngleText.degrees(told.text(field("expected", end)))),
                PerEnd.of(end -> reach(told.text(field("reach", end)))));
    }

    private static AlignFinding.Reach reach(String text) {
        return text.isEmpty() ? AlignFinding.Reach.UNKNOWN : AlignFinding.Reach.valueOf(text);
    }

    private static PerCorner<WheelAngles> angles(StayValues.Told told, String when, Optional<Length> diameter) {
        return PerCorner.of(corner -> new WheelAngles(
                AngleText.degrees(told.text(field("camber", when, corner))),
                angle("toe", told.text(field("toe", when, corner)), diameter),
                AngleText.degrees(told.text(field("caster", when, corner)))));
    }

    private static Optional<Limits.Range> range(StayValues.Told told, String name, End end, Optional<Length> diameter) {
        Optional<Double> from = angle(name, told.text(field(name + "Least", end)), diameter);
        Optional<Double> to = angle(name, told.text(field(name + "Most", end)), diameter);
        return from.isPresent() && to.isPresent() && from.get() <= to.get()
                ? Optional.of(new Limits.Range(from.get(), to.get()))
                : Optional.empty();
    }
}
