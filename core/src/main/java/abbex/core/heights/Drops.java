package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.figure.Severity;
import abbex.core.units.Estimate;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Tyre;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/** Drops per corner, method and end. */
final class Drops {
    /** Where no wheel-referenced method was read on both sheets; frame heights are read elsewhere on the body. */
    private static final List<Method> WITH_TYRE = List.of(Method.GF, Method.TG);

    private Drops() {}

    static PerCorner<CornerDrop> corners(Comparison c) {
        PerCorner<CornerDrop> drops = PerCorner.of(corner -> corner(c, corner));
        say(c, drops);
        return drops;
    }

    private static CornerDrop corner(Comparison c, Corner corner) {
        Map<Method, Figure<Estimate>> byMethod = new EnumMap<>(Method.class);
        for (Method method : Method.values()) {
            Height before = c.before().get(corner, method);
            Height after = c.after().get(corner, method);
            if (before != null && after != null) {
                byMethod.put(
                        method,
                        new Figure<>(
                                before.estimate().minus(after.estimate()),
                                Reason.of(HeightFormula.DROP, before, after)));
            }
        }
        Optional<Method> best = best(c, byMethod);
        return new CornerDrop(
                corner,
                best.map(method -> overHub(c, corner, method, Objects.requireNonNull(byMethod.get(method)))),
                best,
                Collections.unmodifiableMap(byMethod),
                gap(c, corner),
                difference(c, corner, Method.GF, Method.HF, HeightFormula.LOADED_RADIUS),
                difference(c, corner, Method.HF, Method.TG, HeightFormula.FREE_RADIUS),
                difference(c, corner, Method.RIM, Method.HF, HeightFormula.RIM_RADIUS));
    }

    /**
     * The hub-referenced method of least uncertainty: averaging it with a method that has the tyre in it claims too much. On
     * other wheels rim and tread stand elsewhere on them, so neither tells what the body did.
     */
    private static Optional<Method> best(Comparison c, Map<Method, Figure<Estimate>> byMethod) {
        return byMethod.entrySet().stream()
                .filter(entry -> entry.getKey().hubReferenced())
                .filter(entry -> tells(c, entry.getKey()))
                .min(Comparator.comparingDouble(entry -> standard(entry.getValue())))
                .map(Map.Entry::getKey)
                .or(() -> WITH_TYRE.stream()
                        .filter(byMethod::containsKey)
                        .filter(method -> tells(c, method))
                        .findFirst());
    }

    /** What the suspension did: of a height that has the tyre in it, other tyres and pressures that were told are taken off. */
    private static Figure<Estimate> overHub(Comparison c, Corner corner, Method method, Figure<Estimate> drop) {
        Optional<Estimate> tyre = method == Method.GF ? c.known().tyre(corner) : Optional.empty();
        return tyre.filter(rose -> rose.value().sign() != 0)
                .map(rose -> new Figure<>(
                        new Estimate(
                                drop.value().value().plus(rose.value()),
                                drop.value().uncertainty().and(rose.uncertainty())),
                        Reason.of(HeightFormula.DROP_LESS_TYRE, drop.value(), rose)))
                .orElse(drop);
    }

    private static boolean tells(Comparison c, Method method) {
        return c.sameWheels() || method != Method.RIM && method != Method.TG;
    }

    private static double standard(Figure<Estimate> figure) {
        return figure.value().uncertainty().standard();
    }

    private static BeforeAfter gap(Comparison c, Corner corner) {
        return BeforeAfter.of(
                gap(c.before(), corner, c.tyre(c.before(), corner.end())),
                gap(c.after(), corner, c.tyre(c.after(), corner.end())));
    }

    private static Optional<Figure<Estimate>> gap(HeightSheet sheet, Corner corner, Optional<Tyre> tyre) {
        Height hub = sheet.get(corner, Method.HF);
        return hub == null
                ? Optional.empty()
                : tyre.map(t -> new Figure<>(
                        new Estimate(
                                hub.value().minus(t.freeRadius()),
                                hub.estimate().uncertainty()),
                        Reason.of(HeightFormula.GAP, hub, t.freeRadius())));
    }

    private static BeforeAfter difference(
            Comparison c, Corner corner, Method greater, Method lesser, HeightFormula formula) {
        return BeforeAfter.of(
                difference(c.before(), corner, greater, lesser, formula),
                difference(c.after(), corner, greater, lesser, formula));
    }

    private static Optional<Figure<Estimate>> difference(
            HeightSheet sheet, Corner corner, Method greater, Method lesser, HeightFormula formula) {
        Height a = sheet.get(corner, greater);
        Height b = sheet.get(corner, lesser);
        return a == null || b == null
                ? Optional.empty()
                : Optional.of(new Figure<>(a.estimate().minus(b.estimate()), Reason.of(formula, a, b)));
    }

    private static void say(Comparison c, PerCorner<CornerDrop> drops) {
        List<Corner> tyre = new ArrayList<>();
        List<Corner> frame = new ArrayList<>();
        List<Corner> wheels = new ArrayList<>();
        drops.forEach((corner, drop) -> {
            if (drop.best().isEmpty() && drop.byMethod().keySet().stream().anyMatch(m -> !tells(c, m))) {
                wheels.add(corner);
            }
            drop.bestMethod().filter(m -> !m.hubReferenced()).ifPresent(m -> tyre.add(corner));
            if (drop.best().isEmpty() && drop.byMethod().containsKey(Method.FG)) {
                frame.add(corner);
            }
            drop.best()
                    .map(Figure::value)
                    .filter(d -> d.value().sign() < 0 && d.differsFromZero())
                    .filter(d -> !raised(c, drop, d))
                    .ifPresent(d -> c.say(new HeightFinding.CornerRose(corner, d.negate())));
        });
        boolean said = c.before().state().differs(c.after().state(), SheetState.Item.WHEEL_SET);
        if (!wheels.isEmpty() && said) {
            c.say(new HeightFinding.WheelsChanged(wheels.get(0), List.copyOf(wheels)));
        }
        if (!tyre.isEmpty()) {
            c.say(new HeightFinding.TyreInDrop(tyre.get(0), List.copyOf(tyre)));
        }
        if (!frame.isEmpty()) {
            c.say(new HeightFinding.OnlyFrame(frame.get(0), List.copyOf(frame)));
        }
    }

    /** As far as it was turned up on purpose. */
    private static boolean raised(Comparison c, CornerDrop corner, Estimate drop) {
        Estimate turned = turned(c, corner.corner(), corner.bestMethod());
        return turned.value().sign() > 0
                && !(drop.plus(turned).value().sign() < 0 && drop.plus(turned).differsFromZero());
    }

    private static Estimate turned(Comparison c, Corner corner, Optional<Method> method) {
        return c.known().turned(corner, method.orElse(Method.HF));
    }

    static PerEnd<EndDrop> ends(Comparison c, PerCorner<CornerDrop> corners) {
        return PerEnd.of(end -> end(c, corners, end));
    }

    private static EndDrop end(Comparison c, PerCorner<CornerDrop> corners, End end) {
        Optional<Figure<Estimate>> left = corners.get(end.left()).best();
        Optional<Figure<Estimate>> right = corners.get(end.right()).best();
        boolean both = left.isPresent() && right.isPresent();
        boolean uneven = both
                && uneven(
                        c,
                        end,
                        left.get().value(),
                        right.get().value(),
                        c.known()
                                .turnedApart(
                                        end,
                                        corners.get(end.left()).bestMethod().orElse(Method.HF)));
        Map<Way, BeforeAfter> sides = new LinkedHashMap<>();
        for (Method method : Method.values()) {
            BeforeAfter of = BeforeAfter.of(leftRight(c.before(), end, method), leftRight(c.after(), end, method));
            if (!of.isEmpty()) {
                sides.put(method, of);
            }
        }
        Optional<Figure<Estimate>> drop = both
                ? Optional.of(mean(c, left.get(), right.get()))
                : left.or(() -> right).map(side -> oneSide(c, end, left.isPresent(), side));
        return new EndDrop(end, drop, uneven, Collections.unmodifiableMap(sides));
    }

    /** Further apart than the shop calls good and than tape and new springs explain. */
    private static boolean uneven(Comparison c, End end, Estimate left, Estimate right, Estimate turned) {
        // A side that was raised on purpose came down by so much less.
        Estimate apart = c.known().turned() ? left.minus(right).plus(turned) : left.minus(right);
        boolean uneven = apart.value().abs().compareTo(c.limits().of(Limit.SIDES_GOOD)) > 0 && c.sidesMoved(apart);
        if (uneven) {
            c.say(new HeightFinding.UnevenDrop(level(c, end) ? Severity.NOTE : Severity.LOOK, end, left, right));
        }
        return uneven;
    }

    /** The sides stand alike now: one of them had sagged, and nothing is to be looked for. */
    private static boolean level(Comparison c, End end) {
        return Stream.of(Method.RIM, Method.HF, Method.GF)
                .flatMap(method -> leftRight(c.after(), end, method).stream())
                .findFirst()
                .map(apart -> apart.value().value().abs().compareTo(c.limits().of(Limit.SIDES_GOOD)) <= 0)
                .orElse(false);
    }

    /** What stands in for both sides is off for both alike, so that their mean is no better in that. */
    private static Figure<Estimate> mean(Comparison c, Figure<Estimate> left, Figure<Estimate> right) {
        Estimate mean = Estimate.mean(left.value(), right.value());
        Uncertainty whole = mean.uncertainty().and(c.standIns().times(Math.sqrt(0.5)));
        return new Figure<>(
                new Estimate(mean.value(), whole), Reason.of(HeightFormula.MEAN_OF_SIDES, left.value(), right.value()));
    }

    /** What one side says of its end: the other may have come down otherwise. */
    private static Figure<Estimate> oneSide(Comparison c, End end, boolean left, Figure<Estimate> side) {
        Estimate drop = new Estimate(
                side.value().value(),
                side.value().uncertainty().and(Uncertainty.known(SubstituteBaseline.OTHER_SIDE.standardMm())));
        c.say(new HeightFinding.OneSideOnly(end, left ? end.left() : end.right(), drop));
        return new Figure<>(drop, Reason.of(HeightFormula.ONE_SIDE, side.value()));
    }

    private static Optional<Figure<Estimate>> leftRight(HeightSheet sheet, End end, Method method) {
        Height left = sheet.get(end.left(), method);
        Height right = sheet.get(end.right(), method);
        return left == null || right == null
                ? Optional.empty()
                : Optional.of(new Figure<>(
                        left.estimate().minus(right.estimate()),
                        Reason.of(HeightFormula.LEFT_MINUS_RIGHT, left, right)));
    }
}
