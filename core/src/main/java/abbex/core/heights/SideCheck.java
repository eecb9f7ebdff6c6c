package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.figure.Severity;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import java.util.Optional;

/** Left against right of each axle, by the most trustworthy method that was read on both sides. */
final class SideCheck {
    private static final List<Method> ORDER = List.of(Method.RIM, Method.HF, Method.GF, Method.FG, Method.TG);

    private SideCheck() {}

    /** Points of a truck that stand alike on both sides when springs and hangers do. */
    private static final List<PointMethod> POINTS =
            List.of(PointMethod.HANGF, PointMethod.HANGR, PointMethod.AXLE, PointMethod.CAB, PointMethod.BED);

    static void run(Comparison c, PerEnd<EndDrop> ends) {
        for (EndDrop end : ends.values()) {
            for (PointMethod way : POINTS) {
                end.sides(way).filter(sides -> uneven(c, sides)).ifPresent(sides -> {
                    if (sides.after().isPresent()) {
                        after(c, end.end(), way, sides);
                    } else if (c.after().isEmpty()) {
                        before(c, end.end(), way, sides);
                    }
                });
            }
            Optional<Method> now = ORDER.stream()
                    .filter(m -> end.sides(m).flatMap(BeforeAfter::after).isPresent())
                    .filter(m -> tells(c, end, m))
                    .findFirst();
            if (now.isPresent()) {
                end.sides(now.get()).ifPresent(sides -> after(c, end.end(), now.get(), sides));
            } else if (c.after().isEmpty()) {
                ORDER.stream()
                        .filter(m -> end.sides(m).isPresent())
                        .findFirst()
                        .ifPresent(m -> end.sides(m).ifPresent(sides -> before(c, end.end(), m, sides)));
            }
        }
    }

    /** On other wheels rim and tread stand elsewhere: another way goes first where both sheets have one. */
    private static boolean tells(Comparison c, EndDrop end, Method method) {
        boolean ofWheel = method == Method.RIM || method == Method.TG;
        return !ofWheel
                || c.sameWheels()
                || ORDER.stream()
                        .filter(m -> m != Method.RIM && m != Method.TG)
                        .noneMatch(
                                m -> end.sides(m).flatMap(BeforeAfter::change).isPresent());
    }

    private static boolean uneven(Comparison c, BeforeAfter sides) {
        Estimate is = sides.after().or(sides::before).orElseThrow().value();
        return is.differsFromZero() && is.value().abs().compareTo(c.limits().of(Limit.SIDES_GOOD)) > 0;
    }

    /** No vehicle that came on its wheels leans so far at one end without another way of measuring that shows it, mm (ours): 3/4 in. */
    private static final double FAR = 19;

    /** Two ways that show one lean agree within this, mm (ours). */
    private static final double AGREE = 8;

    /** One height misread by an inch at arrival is asked at once, while nothing but its other side says so. */
    private static boolean alone(Comparison c, End end, Way way, Estimate is) {
        return way instanceof Method
                && is.value().abs().mm() > FAR
                && ORDER.stream()
                        .filter(m -> m != way)
                        .flatMap(m -> apart(c, end, m).stream())
                        .noneMatch(other -> Math.abs(other - is.value().mm()) < AGREE);
    }

    private static Optional<Double> apart(Comparison c, End end, Method method) {
        Height left = c.before().get(end.left(), method);
        Height right = c.before().get(end.right(), method);
        return left == null || right == null
                ? Optional.empty()
                : Optional.of(left.value().minus(right.value()).mm());
    }

    private static void before(Comparison c, End end, Way method, BeforeAfter sides) {
        Estimate is = sides.before().orElseThrow().value();
        if (alone(c, end, method, is)) {
            c.say(new HeightFinding.SidesFarApart(
                    end,
                    (Method) method,
                    c.before().at(end.left(), (Method) method).orElseThrow().read(),
                    c.before().at(end.right(), (Method) method).orElseThrow().read()));
            return;
        }
        if (is.differsFromZero() && is.value().abs().compareTo(c.limits().of(Limit.SIDES_GOOD)) > 0) {
            c.say(new HeightFinding.LeftRightBefore(at(end, method), lower(end, is), abs(is), method));
        }
    }

    private static void after(Comparison c, End end, Way method, BeforeAfter sides) {
        Estimate is = sides.after().orElseThrow().value();
        if (is.value().abs().compareTo(c.limits().of(Limit.SIDES_GOOD)) <= 0 || !is.differsFromZero()) {
            // Merely not apart is no match: what could not have been seen is not said to be good.
            if (abs(is).value().plus(is.expanded()).compareTo(c.limits().of(Limit.SIDES_ACCEPT)) <= 0) {
                c.say(new HeightFinding.LeftRightGood(at(end, method), abs(is), method));
            }
            return;
        }
        boolean accepted = is.value().abs().compareTo(c.limits().of(Limit.SIDES_ACCEPT)) <= 0;
        Estimate turned = turned(c, end, method);
        Optional<Estimate> change = sides.change().map(Figure::value).map(d -> d.minus(turned));
        boolean asBefore = change.filter(d -> !c.sidesMoved(d)).isPresent();
        if (asBefore && c.known().turned()) {
            c.say(new HeightFinding.LeftRightTurned(at(end, method), lower(end, is), abs(is), method));
        } else if (asBefore) {
            c.say(new HeightFinding.LeftRightAsBefore(
                    accepted ? Severity.NOTE : Severity.LOOK,
                    at(end, method),
                    lower(end, is),
                    abs(is),
                    abs(sides.before().orElseThrow().value()),
                    method));
        } else {
            c.say(new HeightFinding.LeftRightNew(at(end, method), lower(end, is), abs(is), method));
        }
    }

    /** What turning on purpose did to left minus right. */
    private static Estimate turned(Comparison c, End end, Way method) {
        return method instanceof Method at && c.known().turned()
                ? c.known().turnedApart(end, at)
                : new Estimate(Length.ZERO, Uncertainty.NONE);
    }

    private static Corner lower(End end, Estimate leftMinusRight) {
        return leftMinusRight.value().sign() > 0 ? end.right() : end.left();
    }

    private static Estimate abs(Estimate e) {
        return e.value().sign() < 0 ? e.negate() : e;
    }

    /** The end, and which of its points where several are judged. */
    private static Place at(End end, Way method) {
        return method instanceof Method ? end : MeasuringPoint.of((Place) end, method);
    }
}
