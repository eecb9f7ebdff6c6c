package abbex.core.heights;

import abbex.core.stance.Stance;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/**
 * A floor survey: the height of each wheel pad over the lowest. What the floor brings to a height follows from the statics of
 * a stiff body on usual springs and tyres; neither wheelbase nor track enters, since only the four corners' heights do.
 */
public final class Floor {
    /** How well a pad's height is known, one standard deviation (ours). */
    static final double PAD_MM = 0.5;

    /** How well the difference of two surveyed floors' diagonals is known: eight pads. */
    static final double SURVEYED_DIAGONAL = Math.sqrt(8) * PAD_MM;

    /** What the frame points are apart, in wheelbases and tracks, until somebody measures it (ours). */
    static final double FRAME_PITCH = 0.65;

    static final double FRAME_ROLL = 0.85;

    private final Map<Corner, Length> pads;
    private final double[] ground;
    private final double[] hub;

    private Floor(Map<Corner, Length> pads) {
        this.pads = pads;
        double[] rise = new double[Corner.WALK.size()];
        pads.forEach((corner, height) -> rise[corner.ordinal()] = height.mm());
        Stance.Response response = Stance.usual(2, 2).move(new double[rise.length], rise);
        this.ground = response.ground();
        this.hub = response.hub();
    }

    /**
     * A survey of all four pads, over any one level.
     *
     * @throws IllegalArgumentException when a pad is missing: three pads always lie in a plane and say nothing
     */
    public static Floor of(Map<Corner, Length> pads) {
        if (pads.size() != Corner.WALK.size()) {
            throw new IllegalArgumentException("floor: read " + pads.size() + " pads; four");
        }
        Length lowest = pads.values().stream().min(Length::compareTo).orElseThrow();
        Map<Corner, Length> over = new EnumMap<>(Corner.class);
        pads.forEach((corner, height) -> over.put(corner, height.minus(lowest)));
        return new Floor(over);
    }

    /** The height of a pad over the lowest. */
    public Length pad(Corner corner) {
        return Objects.requireNonNull(pads.get(corner));
    }

    /** What this floor brings to the diagonal difference of a method's heights. */
    public Length diagonal(Method method) {
        Length d = Length.ZERO;
        for (Corner corner : Corner.WALK) {
            d = d.plus(adds(MeasuringPoint.of(corner, method)).times(corner.diagonalSign()));
        }
        return d;
    }

    /** What this floor adds to a height; a level one adds nothing. */
    public Length adds(MeasuringPoint spot) {
        if (spot.way() instanceof PointMethod point) {
            return point.floorInIt() && spot.place() instanceof Corner corner
                    ? Length.ofRoundedMm(ground[corner.ordinal()])
                    : Length.ZERO;
        }
        if (spot.method() == Method.FG) {
            return Length.ofRoundedMm(atFrame(spot.corner()));
        }
        double[] response = spot.method().hubReferenced() || spot.method() == Method.TG ? hub : ground;
        return Length.ofRoundedMm(response[spot.corner().ordinal()]);
    }

    /** The frame point lies between the wheels; so do the body over it and the floor under it. */
    private double atFrame(Corner corner) {
        double sum = 0;
        for (Corner other : Corner.WALK) {
            double along = other.end() == corner.end() ? 1 + FRAME_PITCH : 1 - FRAME_PITCH;
            double across = other.isLeft() == corner.isLeft() ? 1 + FRAME_ROLL : 1 - FRAME_ROLL;
            sum += ground[other.ordinal()] * along * across / 4;
        }
        return sum;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Floor floor && floor.pads.equals(pads);
    }

    @Override
    public int hashCode() {
        return pads.hashCode();
    }
}
