package abbex.core.ground;

import java.util.List;
import java.util.Optional;

/** A vehicle's way over a ground: solved once, then asked for any place of it. */
public final class Passage {
    private final Underbody under;
    private final Profile ground;
    private final double first;
    private final double last;
    private final Optional<Crossing.Least> least;

    private Passage(Underbody under, Profile ground, Optional<Crossing.Least> least) {
        this.under = under;
        this.ground = ground;
        this.least = least;
        double[] way = Crossing.way(pointed(under), ground);
        this.first = way[0];
        this.last = way[1];
    }

    /** Takes a vehicle all the way; one without a point under it goes too, but nothing is said of its air. */
    public static Passage of(Underbody under, Profile ground) {
        return new Passage(
                under, ground, under.points().isEmpty() ? Optional.empty() : Optional.of(Crossing.run(under, ground)));
    }

    private static Underbody pointed(Underbody under) {
        return under.points().isEmpty()
                ? new Underbody(
                        under.wheelbase(),
                        under.frontRadius(),
                        under.rearRadius(),
                        List.of(new Underbody.Point("", under.frontRadius(), under.frontRadius())))
                : under;
    }

    /**
     * A place on the way.
     *
     * @param least the air there; empty when no point under the vehicle is known
     */
    public record Here(Crossing.Pose pose, Optional<Crossing.Least> least) {}

    public Underbody under() {
        return under;
    }

    public Profile ground() {
        return ground;
    }

    /** From here the front wheel goes, mm along the ground. */
    public double first() {
        return first;
    }

    public double last() {
        return last;
    }

    /** The least air of the whole way; empty when no point under the vehicle is known. */
    public Optional<Crossing.Least> least() {
        return least;
    }

    /** Where least air is; at the ground's beginning when nothing is known of it. */
    public Here tightest() {
        return least.map(l -> new Here(l.pose(), least))
                .orElseGet(() -> at(ground.points().get(0).along()));
    }

    /** With the front wheel at a place; beyond the way's ends at the nearer end. */
    public Here at(double along) {
        double here = Math.max(first, Math.min(last, along));
        if (under.points().isEmpty()) {
            return new Here(Crossing.pose(under, ground, here), Optional.empty());
        }
        Crossing.Least air = Crossing.at(under, ground, here);
        return new Here(air.pose(), Optional.of(air));
    }
}
