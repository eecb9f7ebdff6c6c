package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The diagonal difference d = (LF + RR) − (RF + LR): four heights of a stiff body have three freedoms, and this is what is
 * left. It says that something is wrong, never at which corner.
 */
final class Diagonals {
    private Diagonals() {}

    static Map<Method, BeforeAfter> run(Comparison c, PerEnd<EndDrop> ends) {
        Map<Method, BeforeAfter> diagonals = new EnumMap<>(Method.class);
        for (Method method : Method.values()) {
            BeforeAfter both = BeforeAfter.of(of(c.before(), method), of(c.after(), method));
            // A gap has the tyres' free radii in it; it says nothing that hub to lip does not.
            if (method != Method.TG && !both.isEmpty()) {
                diagonals.put(method, both);
            }
        }
        say(c, diagonals, ends);
        return Collections.unmodifiableMap(diagonals);
    }

    private static Optional<Figure<Estimate>> of(HeightSheet sheet, Method method) {
        if (!sheet.complete(method)) {
            return Optional.empty();
        }
        Length d = Length.ZERO;
        double variance = 0;
        Object[] inputs = new Object[4];
        for (Corner corner : Corner.WALK) {
            Height height = sheet.at(corner, method).orElseThrow();
            d = d.plus(height.value().times(corner.diagonalSign()));
            double u = height.estimate().uncertainty().standard();
            variance += u * u;
            inputs[corner.ordinal()] = height;
        }
        return Optional.of(new Figure<>(
                new Estimate(d, Uncertainty.known(Math.sqrt(variance))), Reason.of(HeightFormula.DIAGONAL, inputs)));
    }

    private static void say(Comparison c, Map<Method, BeforeAfter> diagonals, PerEnd<EndDrop> ends) {
        List<Change> all = new ArrayList<>();
        diagonals.forEach((method, d) -> d.change()
                .map(Figure::value)
                .ifPresent(change -> all.add(new Change(
                        method, change.minus(turned(c, method)), c.twist().plus(roll(c, ends, method))))));
        List<Change> out = all.stream().filter(Change::moved).toList();
        List<Change> in = all.stream().filter(change -> !change.moved()).toList();
        // Only methods that are apart beyond chance blame a reading; else all of them say one thing together.
        if (!out.isEmpty() && !in.isEmpty() && !apart(out, in)) {
            boolean jointly = together(all).differsFromZero(out.get(0).free());
            out = jointly ? all : List.of();
            in = jointly ? List.of() : all;
        }
        List<Method> moved = out.stream().map(Change::method).toList();
        List<Method> held = in.stream().map(Change::method).toList();
        List<Estimate> changes = out.stream().map(Change::by).toList();
        if (!moved.isEmpty()) {
            Method worst = moved.get(0);
            Estimate change = changes.get(0);
            if (c.otherBay() && !c.floorsKnown()) {
                c.say(new HeightFinding.DiagonalOtherBay(List.copyOf(moved), change));
            } else if (held.isEmpty()) {
                c.say(new HeightFinding.DiagonalMoved(List.copyOf(moved), change));
            } else {
                c.say(new HeightFinding.DiagonalOneMethod(
                        MeasuringPoint.of(Corner.LF, worst), List.copyOf(moved), change, List.copyOf(held)));
            }
        } else if (!held.isEmpty()) {
            c.say(new HeightFinding.DiagonalHeld(List.copyOf(held)));
        }
        before(c, diagonals);
    }

    /**
     * What one method says.
     *
     * @param by the change beside what was turned on purpose
     * @param free what body and floor may twist by
     */
    private record Change(Method method, Estimate by, Length free) {
        boolean moved() {
            return by.differsFromZero(free);
        }
    }

    private static boolean apart(List<Change> moved, List<Change> held) {
        int pairs = moved.size() * held.size();
        return moved.stream()
                .anyMatch(m -> held.stream()
                        .anyMatch(h -> m.by().minus(h.by()).differsFromZero(Length.ZERO, pairs, Comparison.READ_SURE)));
    }

    /** The mean of what each method says of one change. */
    private static Estimate together(List<Change> each) {
        double mean =
                each.stream().mapToDouble(c -> c.by().value().mm()).average().orElse(0);
        double variance = each.stream()
                .mapToDouble(c ->
                        c.by().uncertainty().standard() * c.by().uncertainty().standard())
                .sum();
        return new Estimate(Length.ofRoundedMm(mean), Uncertainty.known(Math.sqrt(variance) / each.size()));
    }

    /** What turning on purpose did to it: over hubs the tyres give way to other loads. */
    private static Estimate turned(Comparison c, Method method) {
        return c.known().turned()
                ? c.known().turnedApart(End.FRONT, method).minus(c.known().turnedApart(End.REAR, method))
                : new Estimate(Length.ZERO, Uncertainty.NONE);
    }

    /** A diagonal that was there before: the body's, the frame's or the floor's own. */
    private static void before(Comparison c, Map<Method, BeforeAfter> diagonals) {
        for (Method method : List.of(Method.GF, Method.RIM, Method.HF)) {
            BeforeAfter d = diagonals.get(method);
            Optional<Estimate> was = d == null ? Optional.empty() : d.before().map(Figure::value);
            if (was.isPresent() && was.get().differsFromZero(c.twist())) {
                c.say(new HeightFinding.DiagonalBefore(method, was.get()));
                return;
            }
        }
    }

    /** Roll times the difference of the widths front and rear, with the tracks standing in for the lips' widths. */
    private static Length roll(Comparison c, PerEnd<EndDrop> ends, Method method) {
        Optional<Length> front = c.vehicle().track().front();
        Optional<Length> rear = c.vehicle().track().rear();
        BeforeAfter sides = ends.get(End.FRONT).leftRight().get(method);
        if (front.isEmpty() || rear.isEmpty() || sides == null || sides.change().isEmpty()) {
            return Length.ZERO;
        }
        double rolled = sides.change().get().value().value().mm() / front.get().mm();
        return Length.ofRoundedMm(
                Math.abs(rolled) * front.get().minus(rear.get()).abs().mm());
    }
}
