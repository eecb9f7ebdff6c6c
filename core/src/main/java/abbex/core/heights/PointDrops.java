package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What the points beyond the four-corner methods did between two sheets. */
final class PointDrops {
    private PointDrops() {}

    /** The ways other than the four-corner methods that were read on one of two sheets, in order. */
    static List<PointMethod> ways(HeightSheet before, HeightSheet after) {
        Set<PointMethod> ways = new LinkedHashSet<>();
        Stream.of(before, after)
                .flatMap(sheet -> sheet.points().keySet().stream())
                .forEach(spot -> ways.add((PointMethod) spot.way()));
        return PointMethod.inOrder(ways);
    }

    /** Positive is down, of what lies across the vehicle to the right; where a fork's head angle is not known its drop cannot be told. */
    static Map<MeasuringPoint, Figure<Estimate>> run(Comparison c) {
        Map<MeasuringPoint, Figure<Estimate>> drops = new LinkedHashMap<>();
        for (PointMethod way : ways(c.before(), c.after())) {
            way.places().stream()
                    .map(place -> MeasuringPoint.of(place, way))
                    .forEach(spot -> drop(c, spot, way).ifPresent(drop -> drops.put(spot, drop)));
        }
        return Collections.unmodifiableMap(drops);
    }

    private static Optional<Figure<Estimate>> drop(Comparison c, MeasuringPoint spot, PointMethod way) {
        Height before = c.before().points().get(spot);
        Height after = c.after().points().get(spot);
        if (before == null || after == null) {
            return Optional.empty();
        }
        if (way.across()) {
            Estimate grown = after.estimate().minus(before.estimate());
            boolean left = spot.place() instanceof Corner corner && corner.isLeft();
            return Optional.of(
                    new Figure<>(left ? grown.negate() : grown, Reason.of(HeightFormula.SIDEWAYS, after, before)));
        }
        if (way.sense() == PointMethod.Sense.FALLS) {
            Estimate drop = before.estimate().minus(after.estimate());
            Figure<Estimate> seen = new Figure<>(drop, Reason.of(HeightFormula.DROP, before, after));
            return Optional.of(way.tyreInIt() ? overWheels(c, spot.place(), seen) : seen);
        }
        Estimate slide = after.estimate().minus(before.estimate());
        Optional<Angle> head = c.vehicle().headAngle();
        return head.map(angle ->
                new Figure<>(slide.times(Math.cos(angle.rad())), Reason.of(HeightFormula.FORK, before, after, angle)));
    }

    /** Other tyres and pressures that were told are taken off. */
    private static Figure<Estimate> overWheels(Comparison c, Place place, Figure<Estimate> drop) {
        return c.known()
                .tyresUnder(place)
                .filter(rose -> rose.value().sign() != 0)
                .map(rose -> new Figure<>(
                        drop.value().plus(rose), Reason.of(HeightFormula.DROP_LESS_TYRE, drop.value(), rose)))
                .orElse(drop);
    }

    /** Rear minus front of every way that is read at both ends, by the sides that both sheets have. */
    static Map<PointMethod, BeforeAfter> rakes(Comparison c) {
        Map<PointMethod, BeforeAfter> rakes = new LinkedHashMap<>();
        for (PointMethod way : ways(c.before(), c.after())) {
            if (!way.across() && way.floorInIt()) {
                // The bed's rail is read over the axle and, by a way of its own, at its front end.
                PointMethod front = way.equals(PointMethod.BED) ? PointMethod.BEDF : way;
                BeforeAfter rake = Rakes.of(
                        c,
                        (sheet, corner) -> sheet.points()
                                .get(MeasuringPoint.of((Place) corner, corner.end() == End.FRONT ? front : way)));
                if (!rake.isEmpty()) {
                    rakes.put(way, rake);
                }
            }
        }
        return Collections.unmodifiableMap(rakes);
    }

    /** An axle that went sideways by more than sides may differ, by a way that is read across the vehicle at its end. */
    static void sideways(Comparison c, Map<MeasuringPoint, Figure<Estimate>> points) {
        for (PointMethod way : ways(c.before(), c.after())) {
            for (End end : way.across() ? End.values() : new End[0]) {
                way.places().stream()
                        .filter(place -> place == end || place == end.left() || place == end.right())
                        .flatMap(place -> Optional.ofNullable(points.get(MeasuringPoint.of(place, way))).stream())
                        .map(Figure::value)
                        .reduce(Estimate::mean)
                        .filter(moved -> moved.differsFromZero()
                                && moved.value().abs().compareTo(c.limits().of(Limit.SIDES_GOOD)) > 0)
                        .ifPresent(moved -> c.say(new HeightFinding.AxleSideways(
                                end,
                                way,
                                moved.value().sign() < 0 ? moved.negate() : moved,
                                moved.value().sign() > 0 ? HeightFinding.Side.RIGHT : HeightFinding.Side.LEFT)));
            }
        }
    }

    /** Left minus right per way that is read on both sides of an end, after the four-corner methods. */
    static PerEnd<EndDrop> sides(Comparison c, PerEnd<EndDrop> ends) {
        List<PointMethod> ways = new ArrayList<>(ways(c.before(), c.after()));
        if (ways.isEmpty()) {
            return ends;
        }
        return ends.map(drop -> {
            End end = drop.end();
            Map<Way, BeforeAfter> sides = new LinkedHashMap<>(drop.leftRight());
            for (PointMethod way : ways) {
                BeforeAfter both = BeforeAfter.of(leftRight(c.before(), end, way), leftRight(c.after(), end, way));
                if (!both.isEmpty()) {
                    sides.put(way, both);
                }
            }
            return new EndDrop(end, drop.drop(), drop.uneven(), Collections.unmodifiableMap(sides));
        });
    }

    private static Optional<Figure<Estimate>> leftRight(HeightSheet sheet, End end, PointMethod way) {
        Height left = sheet.points().get(MeasuringPoint.of((Corner) end.left(), way));
        Height right = sheet.points().get(MeasuringPoint.of((Corner) end.right(), way));
        return left == null || right == null
                ? Optional.empty()
                : Optional.of(new Figure<>(
                        left.estimate().minus(right.estimate()),
                        Reason.of(HeightFormula.LEFT_MINUS_RIGHT, left, right)));
    }
}
