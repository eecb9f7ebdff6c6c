package abbex.core.clearance;

import abbex.core.motion.Gain;
import abbex.core.motion.Known;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.wheels.Fitment;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/**
 * How open a place's least gap is: whatever was told by eye or taken as usual is moved by its standard deviation either way, the
 * least gap is sought again, and the greater change counts.
 *
 * @param wheel that must clear
 * @param lowered how far the body is to come down from where it was first measured, mm
 */
record Doubts(Against.Wheel wheel, Fitment planned, Motion motion, double lowered) {
    /** How far the planned tyre may differ from its nominal size, one standard deviation in mm (common practice). */
    private static final double TYRE = 1.5;

    /** The same where it is the very tyre that was measured from. */
    private static final double SAME_TYRE = 0.3;

    /** A feeler between calliper and wheel, one standard deviation in mm (ours). */
    private static final double FEELER = 0.2;

    /** Barrels and spokes of one size differ so between wheels, the same (ours). */
    private static final double OTHER_BARREL = 5;

    /** How two wheels of one size differ in where their spokes stand, the same (ours). */
    private static final double OTHER_SPOKES = 8;

    /** How far a tube or a link that was read at one spot leans against the wheel, one standard deviation in radians (ours). */
    private static final double LEAN = Math.toRadians(3);

    Doubt of(LocatedGap probed) {
        Map<Doubt.Of, Double> parts = new EnumMap<>(Doubt.Of.class);
        parts.put(Doubt.Of.READ, Math.hypot(read(probed), probed.probe().place().bends()));
        if (probed.probe().place().inside()) {
            return inside(probed, parts);
        }
        Sweep.Least at = at(probed, probed.at(lowered, motion), motion);
        double gap = at.gap();
        GapReading.Spot spot = probed.probe().spot();
        double across = spot.acrossStandard(probed.probe().face());
        parts.put(
                Doubt.Of.ACROSS,
                Math.hypot(
                        Math.max(across(probed, gap, across), across(probed, gap, 2 * across) / 2),
                        leans(probed, gap)));
        if (probed.probe().place().carrier() != ProbePlace.Carrier.KNUCKLE) {
            parts.put(
                    Doubt.Of.HOUR,
                    greater(gap, least(probed, motion, -spot.hour(), 0), least(probed, motion, spot.hour(), 0)));
            moves(probed, gap, parts);
            gains(probed, at, parts);
        }
        return new Doubt(parts, open(probed.probe(), parts.keySet()));
    }

    /** Where the rim begins the gap falls at once: so it is looked twice as far too. */
    private double across(LocatedGap probed, double gap, double off) {
        return greater(gap, least(probed, motion, 0, -off), least(probed, motion, 0, off));
    }

    /** What stands before the spokes clears those of another wheel as that wheel is made, which a trial fit tells. */
    private Doubt inside(LocatedGap probed, Map<Doubt.Of, Double> parts) {
        boolean spokes = probed.probe().place() == ProbePlace.SPOKES;
        if (!spokes || same(probed)) {
            return new Doubt(parts, Set.of());
        }
        parts.put(Doubt.Of.SPOKES, OTHER_SPOKES);
        return new Doubt(parts, Set.of(Doubt.Of.SPOKES));
    }

    /** The very wheel, be it with another spacer. */
    private boolean same(LocatedGap probed) {
        return probed.from().wheel().withSpacer(planned.wheel().spacer()).equals(planned.wheel());
    }

    private double leans(LocatedGap probed, double gap) {
        if (!probed.upright()) {
            return 0;
        }
        double[] point = probed.at(lowered, motion);
        return greater(gap, leaning(probed, point, -LEAN), leaning(probed, point, LEAN));
    }

    private double leaning(LocatedGap probed, double[] point, double lean) {
        ProbePlace place = probed.probe().place();
        return Against.least(Against.of(place, point, true, lean, wheel), place.carrier(), motion, WITHIN)
                .gap();
    }

    /** Of the reading, and of what stands there then instead of what it was read from. */
    private double read(LocatedGap probed) {
        if (probed.probe().place().inside()) {
            boolean other = probed.probe().place() == ProbePlace.CALLIPER
                    && !probed.from().wheel().equals(planned.wheel());
            return other ? Math.hypot(FEELER, OTHER_BARREL) : FEELER;
        }
        double tyre = probed.from().tyre().equals(planned.tyre()) ? SAME_TYRE : TYRE;
        return Math.hypot(probed.standard(), tyre);
    }

    /** Of what counts, that which was told by eye or taken as usual. */
    private Set<Doubt.Of> open(GapReading probe, Set<Doubt.Of> counts) {
        Set<Doubt.Of> open = EnumSet.noneOf(Doubt.Of.class);
        if (probe.spot().hour() > GapReading.Spot.TAPED) {
            open.add(Doubt.Of.HOUR);
        }
        if (probe.spot().mayTape(probe.face())) {
            open.add(Doubt.Of.ACROSS);
        }
        if (!motion.known().equals(motion.known().withLock())) {
            open.add(Doubt.Of.LOCK);
        }
        if (!motion.known().equals(motion.known().withAxis())) {
            open.add(Doubt.Of.AXIS);
        }
        if (motion.known().gain().camber()
                > motion.known().gain().measured(true, true).camber()) {
            open.add(Doubt.Of.CAMBER);
        }
        open.retainAll(counts);
        return open;
    }

    /** A further stop or lock never leaves more, so only that way is looked. */
    private void moves(LocatedGap probed, double gap, Map<Doubt.Of, Double> parts) {
        Known known = motion.known();
        if (known.bump() > 0) {
            Motion more = motion.withRange(motion.range().bumped(known.bump()));
            parts.put(Doubt.Of.BUMP, greater(gap, least(probed, more, 0, 0), gap));
        }
        if (motion.range().left() + motion.range().right() > 0) {
            Motion more = motion.withRange(motion.range().locked(known.lock()));
            parts.put(Doubt.Of.LOCK, greater(gap, least(probed, more, 0, 0), gap));
            parts.put(
                    Doubt.Of.AXIS,
                    greater(
                            gap,
                            least(probed, motion.steeredAbout(-known.axis()), 0, 0),
                            least(probed, motion.steeredAbout(known.axis()), 0, 0)));
        }
    }

    /** Camber by itself, for it can be measured; toe and the hub's own way together. */
    private void gains(LocatedGap probed, Sweep.Least at, Map<Doubt.Of, Double> parts) {
        Gain width = motion.known().gain();
        if (width.equals(Gain.NONE)) {
            return;
        }
        parts.put(Doubt.Of.CAMBER, gains(probed, at, new Gain(width.camber(), 0, 0, 0)));
        double steer = gains(probed, at, new Gain(0, width.steer(), 0, 0));
        double out = gains(probed, at, new Gain(0, 0, width.outboard(), 0));
        double ahead = gains(probed, at, new Gain(0, 0, 0, width.ahead()));
        parts.put(Doubt.Of.PATH, Math.hypot(steer, Math.hypot(out, ahead)));
    }

    /** Swept again only the way that takes from the gap where it is least: it does so nearly in proportion. */
    private double gains(LocatedGap probed, Sweep.Least at, Gain more) {
        if (more.equals(Gain.NONE)) {
            return 0;
        }
        Motion one = motion.gaining(more);
        Motion other = motion.gaining(more.negated());
        boolean first = there(probed, one, at.at()) <= there(probed, other, at.at());
        Motion worse = first ? one : other;
        return Math.abs(at.gap() - least(probed, probed.at(lowered, worse), worse));
    }

    private double there(LocatedGap probed, Motion by, Pose pose) {
        ProbePlace place = probed.probe().place();
        return Against.gap(
                Against.of(place, probed.at(lowered, by), probed.upright(), 0, wheel), place.carrier(), by, pose);
    }

    private double least(LocatedGap probed, Motion by, double hours, double off) {
        return least(probed, probed.at(lowered, motion, hours, off), by);
    }

    private double least(LocatedGap probed, double[] point, Motion by) {
        return at(probed, point, by).gap();
    }

    /** How open a gap is nobody asks to a tenth. */
    private static final double WITHIN = 0.5;

    private Sweep.Least at(LocatedGap probed, double[] point, Motion by) {
        ProbePlace place = probed.probe().place();
        return Against.least(Against.of(place, point, probed.upright(), 0, wheel), place.carrier(), by, WITHIN);
    }

    /**
     * The greater change. Where either way takes from the gap, what is 5 % for one way is so for both only at 1.96 deviations: it
     * counts as so much wider.
     */
    private static double greater(double gap, double one, double other) {
        double greater = Math.max(Math.abs(gap - one), Math.abs(gap - other));
        boolean folded = Math.min(gap - one, gap - other) > greater / 2;
        return folded ? greater * BOTH_WAYS : greater;
    }

    private static final double BOTH_WAYS = 1.96 / Verdict.SURE;
}
