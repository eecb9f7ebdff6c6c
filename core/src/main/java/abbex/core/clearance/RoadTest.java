package abbex.core.clearance;

import abbex.core.clearance.ProbePlace.Carrier;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a drive says of a corner. A place that left a mark was just reached by the pose that comes nearest to it among all that
 * were driven: that fixes the place, and names the pose. A place that left none lies at least that far away.
 *
 * <p>What is told of a drive is how far bump, lock and lean went, not that they came together. So nothing is taken for driven but
 * each by itself; only a mark that none of them explains is read by all together.
 *
 * @param on the wheel and tyre that were driven
 * @param lowered how far the body had come down by then from where it was first measured, in mm
 * @param motion with the range that was driven
 */
public record RoadTest(Fitment on, double lowered, Motion motion) {
    /** How well a mark or its absence places a part, one standard deviation in mm (ours). */
    public static final double MARK = 2.0;

    /** Nothing further from a tyre at ride leaves a mark on it, in mm. */
    private static final double FARTHEST = 400;

    private static final double STEP = 5;

    /** What of a pose made the mark: that without which the most air would be left. */
    public enum Cause {
        STANDING,
        BUMP,
        DROOP,
        LOCK,
        LEAN
    }

    /**
     * A mark read.
     *
     * @param probed the place that it fixes
     * @param pose that made it
     * @param cause what of the pose made it
     * @param without so much air would be left without that, in mm
     */
    public record Mark(LocatedGap probed, Pose pose, Cause cause, double without) {}

    /**
     * A mark where nobody had probed.
     *
     * @param clock where it lies on the wheel as seen from outside, standing
     * @return empty when nothing that was driven reaches there
     */
    public Optional<Mark> mark(ProbePlace place, double clock, TyreBody.Face face) {
        GapReading at = new GapReading(place, clock, face, Length.ZERO, Length.ZERO);
        return mark(new LocatedGap(at, on, lowered, MARK));
    }

    /** A mark at a place that had been probed: its gap is what the mark says. */
    public Optional<Mark> mark(LocatedGap known) {
        if (known.probe().place().inside()) {
            return Optional.of(new Mark(at(known, 0), Pose.RIDE, Cause.STANDING, 0));
        }
        return reached(known, apart()).or(() -> reached(known, List.of(motion)));
    }

    /** A probed place that left no mark: its gap is at least so large that nothing driven reached it. */
    public LocatedGap unmarked(LocatedGap known) {
        return known.probe().place().inside() || least(known, apart()).gap() >= 0
                ? known
                : reached(known, apart()).map(Mark::probed).orElse(known);
    }

    /**
     * So far in bump is an end proven: as far as the wheel that went least. A wheel that went nowhere proves nothing.
     *
     * @param bumps of the end's wheels, mm
     */
    public static OptionalDouble proven(Collection<Double> bumps) {
        return bumps.stream().mapToDouble(Double::doubleValue).min().stream()
                .filter(least -> least > 0)
                .findFirst();
    }

    /** True when all of a range was driven, on these wheels and as low: none of it lies where two things come together. */
    public boolean proves(Fitment planned, double lower, Range range) {
        int moves = (range.bump() + range.droop() > 0 ? 1 : 0)
                + (range.left() + range.right() > 0 ? 1 : 0)
                + (range.roll() > 0 ? 1 : 0);
        return moves == 1
                && on.equals(planned)
                && lowered >= lower
                && motion.range().holds(range);
    }

    /** Bump and droop, the locks and the lean, each by itself. */
    private List<Motion> apart() {
        Range r = motion.range();
        return List.of(
                motion.withRange(new Range(r.droop(), r.bump(), 0, 0, 0)),
                motion.withRange(new Range(0, 0, r.left(), r.right(), 0)),
                motion.withRange(new Range(0, 0, 0, 0, r.roll())));
    }

    private Sweep.Least least(LocatedGap probed, List<Motion> driven) {
        return driven.stream()
                .map(m -> Sweep.run(
                        TyreBody.of(on),
                        probed.at(lowered, motion),
                        probed.probe().place().carrier(),
                        m))
                .min(Comparator.comparingDouble(Sweep.Least::gap))
                .orElseThrow();
    }

    /** The gap at which the nearest pose driven just touches, sought from far away inwards. */
    private Optional<Mark> reached(LocatedGap known, List<Motion> driven) {
        double out = FARTHEST;
        while (out > 0 && gapAt(known, out - STEP, driven) > 0) {
            out -= STEP;
        }
        if (out <= 0 || out == FARTHEST) {
            return Optional.empty();
        }
        double in = out - STEP;
        for (int i = 0; i < 20; i++) {
            double middle = (in + out) / 2;
            if (gapAt(known, middle, driven) > 0) {
                out = middle;
            } else {
                in = middle;
            }
        }
        LocatedGap fixed = at(known, out);
        return Optional.of(read(fixed, least(fixed, driven).at()));
    }

    private double gapAt(LocatedGap known, double gap, List<Motion> driven) {
        return gap < 0 ? 0 : least(at(known, gap), driven).gap();
    }

    private static LocatedGap at(LocatedGap known, double gap) {
        return new LocatedGap(known.probe().withGap(gap), known.from(), known.stood(), MARK);
    }

    private Mark read(LocatedGap probed, Pose pose) {
        double[] point = probed.at(lowered, motion);
        Carrier carrier = probed.probe().place().carrier();
        TyreBody tyre = TyreBody.of(on);
        double noBump = Sweep.gap(tyre, point, carrier, motion, new Pose(0, pose.steer(), pose.roll()));
        double noSteer = Sweep.gap(tyre, point, carrier, motion, new Pose(pose.bump(), 0, pose.roll()));
        double noRoll = Sweep.gap(tyre, point, carrier, motion, new Pose(pose.bump(), pose.steer(), 0));
        double most = Math.max(noBump, Math.max(noSteer, noRoll));
        Cause cause = most < 1
                ? Cause.STANDING
                : most == noSteer
                        ? Cause.LOCK
                        : most == noRoll ? Cause.LEAN : pose.bump() < 0 ? Cause.DROOP : Cause.BUMP;
        return new Mark(probed, pose, cause, most);
    }
}
