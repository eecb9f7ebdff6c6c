package abbex.core.kit;

import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.Optional;

/**
 * A rod that holds an axle sideways, one end on the frame and one on the axle.
 *
 * @param length from eye to eye, mm
 * @param rise of its frame end over its axle end as it stands, mm; negative where it lies lower
 * @param frameLeft true where its frame end is on the left
 */
public record LateralRod(double length, double rise, boolean frameLeft) {
    /** Less is not seen between wheel and arch, mm (ours). */
    private static final double SEEN = 1;

    public LateralRod {
        if (!(length > 0 && Math.abs(rise) < length)) {
            throw new IllegalArgumentException("rod: " + length + " mm long, its ends " + rise + " apart in height");
        }
    }

    /** Between its ends from the side, mm. */
    private double span(double height) {
        return Math.sqrt(length * length - height * height);
    }

    /**
     * How far the axle goes away from the rod's frame end as the body comes down by so much, mm; negative towards it: L·cos α
     * after less before. A rod that comes nearer to level pushes away, one that leaves it pulls.
     */
    public double away(double drop) {
        return span(rise - drop) - span(rise);
    }

    /** How much longer the rod has to be so that the axle stays where it was, mm; negative for shorter. */
    public double longer(double drop) {
        return Math.hypot(span(rise), rise - drop) - length;
    }

    /** What a drop does with the axle; empty where it is hardly seen. */
    Optional<KitFinding> shift(End end, double drop) {
        if (!reaches(drop) || Math.abs(away(drop)) < SEEN) {
            return Optional.empty();
        }
        boolean right = away(drop) > 0 == frameLeft;
        return Optional.of(new KitFinding.AxleShifts(
                end,
                right ? KitFinding.Side.RIGHT : KitFinding.Side.LEFT,
                Length.ofRoundedMm(Math.abs(away(drop))),
                Length.ofRoundedMm(longer(drop))));
    }

    /** True while its ends can be so far apart in height. */
    public boolean reaches(double drop) {
        return Math.abs(rise - drop) < length;
    }
}
