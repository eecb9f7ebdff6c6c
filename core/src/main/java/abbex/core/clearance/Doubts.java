package abbex.core.clearance;

import abbex.core.motion.Known;
import abbex.core.motion.Motion;
import abbex.core.wheels.Fitment;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/**
 * How open a place's least gap is: whatever was told by eye or taken as usual is moved by its standard deviation either way, the
 * least gap is sought again, and the greater change counts.
 *
 * @param body that must clear
 * @param lowered how far the body is to come down from where it was first measured, mm
 */
record Doubts(TyreBody body, Fitment planned, Motion motion, double lowered) {
    /** How far the planned tyre may differ from its nominal size, one standard deviation in mm (common practice). */
    private static final double TYRE = 1.5;

    /** The same where it is the very tyre that was measured from. */
    private static final double SAME_TYRE = 0.3;

    /** A feeler between calliper and wheel, one standard deviation in mm (ours). */
    private static final double FEELER = 0.2;

    /** Barrels and spokes of one size differ so between wheels, the same (ours). */
    private static final double OTHER_BARREL = 5;

    Doubt of(LocatedGap probed) {
        Map<Doubt.Of, Double> parts = new EnumMap<>(Doubt.Of.class);
        parts.put(Doubt.Of.READ, Math.hypot(read(probed), probed.probe().place().bends()));
        if (probed.probe().place().inside()) {
            return new Doubt(parts, Set.of());
        }
        double gap = least(probed, motion, 0, 0);
        GapReading.Spot spot = probed.probe().spot();
        double across = spot.acrossStandard(probed.probe().face());
        parts.put(Doubt.Of.ACROSS, greater(gap, least(probed, motion, 0, -across), least(probed, motion, 0, across)));
        if (probed.probe().place().carrier() != ProbePlace.Carrier.KNUCKLE) {
            parts.put(
                    Doubt.Of.HOUR,
                    greater(gap, least(probed, motion, -spot.hour(), 0), least(probed, motion, spot.hour(), 0)));
            moves(probed, gap, parts);
        }
        return new Doubt(parts, open(probed.probe(), parts.keySet()));
    }

    /** Of the reading, and of what stands there then instead of what it was read from. */
    private double read(LocatedGap probed) {
        if (probed.probe().place().inside()) {
            return probed.from().wheel().equals(planned.wheel()) ? FEELER : Math.hypot(FEELER, OTHER_BARREL);
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

    private double least(LocatedGap probed, Motion by, double hours, double off) {
        return Sweep.run(
                        body,
                        probed.at(lowered, motion, hours, off),
                        probed.probe().place().carrier(),
                        by)
                .gap();
    }

    private static double greater(double gap, double one, double other) {
        return Math.max(Math.abs(gap - one), Math.abs(gap - other));
    }
}
