package abbex.core.kit;

import java.util.Optional;

/**
 * An end as it stands, both sides alike.
 *
 * @param load sprung load at a wheel, N
 * @param ratio how far the spring moves for a millimetre of the wheel
 * @param rodRatio the same of the damper's rod
 * @param wheelRate N/mm at the wheel, for as long as no spring is known by its figures
 * @param spring that is fitted; empty while nobody knows it
 * @param seats how far its seats are apart at ride height, mm, where somebody measured that
 * @param damper that is fitted
 * @param rod how much of the damper's rod shows at ride height, down to metal, mm
 * @param stop that sits on the rod
 * @param slope how the ratio changes for a millimetre of the wheel up
 */
public record EndNow(
        Told load,
        Told ratio,
        Told rodRatio,
        Told wheelRate,
        Optional<SpringFacts> spring,
        Optional<Told> seats,
        DamperFacts damper,
        Optional<Told> rod,
        Optional<StopFacts> stop,
        Told slope) {
    /** Less or more than any suspension has. */
    public static final double LEAST_RATIO = 0.2;

    public static final double MOST_RATIO = 1.5;

    /** One whose ratio stays as it is. */
    public EndNow(
            Told load,
            Told ratio,
            Told rodRatio,
            Told wheelRate,
            Optional<SpringFacts> spring,
            Optional<Told> seats,
            DamperFacts damper,
            Optional<Told> rod,
            Optional<StopFacts> stop) {
        this(load, ratio, rodRatio, wheelRate, spring, seats, damper, rod, stop, Told.measured(0, 0));
    }

    public EndNow {
        fair("ratio", ratio);
        fair("rod's ratio", rodRatio);
        if (!(load.value() > 0 && wheelRate.value() > 0)) {
            throw new IllegalArgumentException("end: load " + load + ", wheel rate " + wheelRate);
        }
    }

    private static void fair(String name, Told ratio) {
        if (!(ratio.value() >= LEAST_RATIO && ratio.value() <= MOST_RATIO)) {
            throw new IllegalArgumentException(
                    name + ": " + ratio.value() + "; from " + LEAST_RATIO + " to " + MOST_RATIO);
        }
    }

    EndNow withLoad(Told other) {
        return new EndNow(other, ratio, rodRatio, wheelRate, spring, seats, damper, rod, stop, slope);
    }

    EndNow withRatio(Told other) {
        return new EndNow(load, other, rodRatio, wheelRate, spring, seats, damper, rod, stop, slope);
    }

    EndNow withSpring(SpringFacts other) {
        return new EndNow(load, ratio, rodRatio, wheelRate, Optional.of(other), seats, damper, rod, stop, slope);
    }

    EndNow withDamper(DamperFacts other) {
        return new EndNow(load, ratio, rodRatio, wheelRate, spring, seats, other, rod, stop, slope);
    }

    EndNow withSeats(Told other) {
        return new EndNow(load, ratio, rodRatio, wheelRate, spring, Optional.of(other), damper, rod, stop, slope);
    }

    /** The same whose ratio changes as told. */
    public EndNow withSlope(Told other) {
        return new EndNow(load, ratio, rodRatio, wheelRate, spring, seats, damper, rod, stop, other);
    }
}
