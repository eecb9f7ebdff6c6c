package abbex.core.heights;

import static abbex.core.heights.PointMethod.AX;
import static abbex.core.heights.PointMethod.BODY;
import static abbex.core.heights.PointMethod.FR;
import static abbex.core.heights.PointMethod.FREE;
import static abbex.core.heights.PointMethod.FT;
import static abbex.core.heights.PointMethod.RIDER;
import static abbex.core.heights.PointMethod.SEAT;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Seat;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A motorcycle's two ends and its seat: the best drop of each, how the ways agree, what the chassis does.
 *
 * <p>The chassis turns by asin((front drop − rear drop) / wheelbase), and the head angle from the vertical with it: the rear
 * lowered adds to it (Foale, Motorcycle Handling and Chassis Design, from memory; trigonometry).
 */
final class Motorcycle {
    /** Two ways at one end may honestly differ by this: they are not read at the same place along the machine (ours). */
    private static final Length APART = Length.ofMm(3);

    /** Below about this lean a machine on its side stand may topple (common practice, no published source). */
    private static final Angle STEEP = Angle.ofDegrees(8);

    /** A change of lean smaller than an inclinometer tells (ours). */
    private static final double LEAN_TOLD = 0.5;

    private static final List<PointMethod> HARD = List.of(AX, FR, FT);

    private Motorcycle() {}

    /** An end that rose by so much while the other came down, mm (ours): half an inch. */
    private static final double ROSE = 12.7;

    /** With the ends exchanged neither rises by more than a reading is off, mm (ours), and neither comes down by more than is built. */
    private static final double NOT_RISEN = 3;

    static PerEnd<EndDrop> ends(Comparison c, Map<MeasuringPoint, Figure<Estimate>> points) {
        boolean exchanged = exchanged(c);
        PerEnd<EndDrop> ends = PerEnd.of(end -> end(c, end, points, exchanged));
        if (slid(c) && c.vehicle().headAngle().isEmpty()) {
            c.say(new HeightFinding.HeadAngleNeeded());
        }
        if (!exchanged) {
            seat(c, ends, points);
            turned(c, ends);
        }
        lean(c);
        return ends;
    }

    /** Front and rear of one way written into each other's places: as written one end rose, undone both came down. */
    private static boolean exchanged(Comparison c) {
        boolean any = false;
        for (PointMethod way : List.of(AX, FR, BODY)) {
            Optional<Length> front = down(c, way, End.FRONT, End.FRONT);
            Optional<Length> rear = down(c, way, End.REAR, End.REAR);
            Optional<Length> frontIs = down(c, way, End.FRONT, End.REAR);
            Optional<Length> rearIs = down(c, way, End.REAR, End.FRONT);
            if (front.isPresent()
                    && rear.isPresent()
                    && frontIs.filter(Motorcycle::built).isPresent()
                    && rearIs.filter(Motorcycle::built).isPresent()
                    && Math.min(front.get().mm(), rear.get().mm()) < -ROSE) {
                c.say(new HeightFinding.MachineEndsExchanged(
                        MeasuringPoint.of(End.FRONT, way), way, frontIs.get(), rearIs.get()));
                any = true;
            }
        }
        return any;
    }

    private static boolean built(Length down) {
        return down.mm() > -NOT_RISEN && down.compareTo(ReadingCheck.BUILT) <= 0;
    }

    private static Optional<Length> down(Comparison c, PointMethod way, End was, End is) {
        Height before = c.before().points().get(MeasuringPoint.of(was, way));
        Height after = c.after().points().get(MeasuringPoint.of(is, way));
        return before == null || after == null
                ? Optional.empty()
                : Optional.of(before.value().minus(after.value()));
    }

    private static boolean slid(Comparison c) {
        return c.before().points().containsKey(MeasuringPoint.of(End.FRONT, FT))
                && c.after().points().containsKey(MeasuringPoint.of(End.FRONT, FT));
    }

    private static EndDrop end(Comparison c, End end, Map<MeasuringPoint, Figure<Estimate>> points, boolean exchanged) {
        Optional<PointMethod> best = best(c, end, points);
        Optional<Figure<Estimate>> drop = best.map(way -> points.get(MeasuringPoint.of(end, way)));
        best.filter(PointMethod::tyreInIt).ifPresent(way -> c.say(new HeightFinding.TyreInDrop(end, List.of(end))));
        drop.map(Figure::value)
                .filter(d -> !exchanged && d.value().sign() < 0 && d.differsFromZero())
                .ifPresent(d -> c.say(new HeightFinding.CornerRose(end, d.negate())));
        if (!exchanged) {
            agree(c, end, points);
        }
        return new EndDrop(end, drop, false, Map.of());
    }

    /**
     * From axle or rim to the body first, then what the tubes were moved by, then what has the tyre in it. The move of the
     * tubes says nothing of springs and preload, so it comes after what was measured to the body.
     */
    private static Optional<PointMethod> best(Comparison c, End end, Map<MeasuringPoint, Figure<Estimate>> points) {
        return java.util.stream.Stream.of(AX, FR, FT, BODY)
                .filter(way -> c.sameWheels() || way != FR)
                .filter(way -> points.containsKey(MeasuringPoint.of(end, way)))
                .findFirst();
    }

    private static void agree(Comparison c, End end, Map<MeasuringPoint, Figure<Estimate>> points) {
        List<PointMethod> read = HARD.stream()
                .filter(way -> points.containsKey(MeasuringPoint.of(end, way)))
                .toList();
        for (PointMethod other : read.subList(Math.min(1, read.size()), read.size())) {
            Estimate one = drop(points, end, read.get(0));
            Estimate two = drop(points, end, other);
            if (one.minus(two).differsFromZero(APART)) {
                c.say(
                        other == FT
                                ? new HeightFinding.ForkAgainstAxle(end, read.get(0), one, other, two)
                                : new HeightFinding.WaysDisagree(end, read.get(0), one, other, two));
            }
        }
    }

    private static Estimate drop(Map<MeasuringPoint, Figure<Estimate>> points, End end, PointMethod way) {
        return Objects.requireNonNull(points.get(MeasuringPoint.of(end, way))).value();
    }

    /** The seat lies between the axles, so its drop lies between theirs; the tyres may add a little. */
    private static void seat(Comparison c, PerEnd<EndDrop> ends, Map<MeasuringPoint, Figure<Estimate>> points) {
        Figure<Estimate> seat = points.get(MeasuringPoint.of(Seat.SEAT, SEAT));
        Optional<Estimate> front = ends.get(End.FRONT).drop().map(Figure::value);
        Optional<Estimate> rear = ends.get(End.REAR).drop().map(Figure::value);
        // Other wheels that nobody told of lift the seat and no axle.
        if (seat == null
                || front.isEmpty()
                || rear.isEmpty()
                || c.known().tyresUnder(Seat.SEAT).isEmpty()) {
            return;
        }
        boolean frontMore = front.get().value().compareTo(rear.get().value()) > 0;
        Estimate most = frontMore ? front.get() : rear.get();
        Estimate least = frontMore ? rear.get() : front.get();
        Estimate over = seat.value().minus(most);
        Estimate under = least.minus(seat.value());
        boolean outside = over.value().sign() > 0 && over.differsFromZero(APART)
                || under.value().sign() > 0 && under.differsFromZero(APART);
        if (outside) {
            c.say(new HeightFinding.SeatOutside(seat.value(), front.get(), rear.get()));
        }
    }

    private static void turned(Comparison c, PerEnd<EndDrop> ends) {
        Optional<Estimate> front = ends.get(End.FRONT).drop().map(Figure::value);
        Optional<Estimate> rear = ends.get(End.REAR).drop().map(Figure::value);
        // A fork that slid was measured: there the head angle itself is asked for.
        if (front.isEmpty() != rear.isEmpty() && !(front.isEmpty() && slid(c))) {
            End moved = front.isPresent() ? End.FRONT : End.REAR;
            front.or(() -> rear)
                    .filter(Estimate::differsFromZero)
                    .ifPresent(drop -> c.say(new HeightFinding.HeadAngleUnknown(
                            moved == End.FRONT ? End.REAR : End.FRONT, moved, drop)));
            return;
        }
        if (front.isEmpty() || rear.isEmpty() || c.vehicle().wheelbase().isEmpty()) {
            return;
        }
        Estimate more = rear.get().minus(front.get());
        double ratio = more.value().mm() / c.vehicle().wheelbase().get().mm();
        if (!more.differsFromZero() || Math.abs(ratio) >= 1) {
            return;
        }
        Angle by = new Angle(Math.asin(Math.abs(ratio)));
        End lower = more.value().sign() > 0 ? End.REAR : End.FRONT;
        Optional<Angle> head = c.vehicle().headAngle();
        if (head.isPresent()) {
            Angle now = new Angle(head.get().rad() + Math.asin(ratio));
            c.say(new HeightFinding.HeadTurned(lower, by, head.get(), now));
        } else {
            c.say(new HeightFinding.ChassisTurned(lower, by));
        }
    }

    /** The lean on the side stand, positive, from the vertical. */
    private static void lean(Comparison c) {
        Optional<Angle> was = c.before().state().standLean();
        Optional<Angle> is = c.after().state().standLean();
        is.or(() -> was)
                .filter(lean -> lean.rad() < STEEP.rad())
                .ifPresent(lean -> c.say(new HeightFinding.StandSteep(lean, STEEP)));
        if (was.isPresent()
                && is.isPresent()
                && Math.abs(is.get().degrees() - was.get().degrees()) > LEAN_TOLD) {
            c.say(new HeightFinding.StandMoved(was.get(), is.get()));
        }
    }

    /** Per end, where it was measured. */
    static Map<End, Sag> sag(Comparison c) {
        Map<End, Sag> sags = new EnumMap<>(End.class);
        for (End end : End.values()) {
            Sag sag = new Sag(end, sag(c, end, AX), sag(c, end, RIDER));
            if (!sag.isEmpty()) {
                sags.put(end, sag);
            }
        }
        return Collections.unmodifiableMap(sags);
    }

    private static BeforeAfter sag(Comparison c, End end, PointMethod under) {
        return BeforeAfter.of(sag(c.before(), end, under), sag(c.after(), end, under));
    }

    private static Optional<Figure<Estimate>> sag(HeightSheet sheet, End end, PointMethod under) {
        Height free = sheet.points().get(MeasuringPoint.of(end, FREE));
        Height loaded = sheet.points().get(MeasuringPoint.of(end, under));
        return free == null || loaded == null
                ? Optional.empty()
                : Optional.of(new Figure<>(
                        free.estimate().minus(loaded.estimate()), Reason.of(HeightFormula.SAG, free, loaded)));
    }
}
