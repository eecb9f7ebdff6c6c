package abbex.core.clearance;

import abbex.core.clearance.ProbePlace.Carrier;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.List;

/**
 * What of a wheel must clear a part, and where the part stands to it: the tyre and the rim each where the part was read, and what
 * goes up past the wheel's whole side further down as well.
 *
 * @param body of the wheel
 * @param point of the part in the corner's axes at ride height
 */
record Against(TyreBody body, double[] point) {
    /** A wheel's bodies, made once for all its parts. */
    record Wheel(TyreBody tyre, TyreBody rim, TyreBody spokes) {
        static Wheel of(TyreBody tyre, Fitment planned) {
            return new Wheel(tyre, TyreBody.rim(planned), TyreBody.spokes(planned));
        }

        /** The body that a part is told against. */
        TyreBody facing(ProbePlace place) {
            return place == ProbePlace.SPOKES ? spokes : place.inside() ? rim : tyre;
        }
    }

    /**
     * Everything that a part stands against.
     *
     * @param upright it was read beside the wheel's side and goes on past it
     * @param lean of such a part against the wheel, radians: positive where it comes nearer to the axle further out
     */
    static List<Against> of(ProbePlace place, double[] point, boolean upright, double lean, Wheel wheel) {
        if (place.inside()) {
            return List.of(new Against(wheel.facing(place), point));
        }
        List<Against> all = new ArrayList<>();
        all.add(new Against(wheel.tyre, point));
        all.add(new Against(wheel.rim, point));
        if (upright) {
            further(wheel.tyre, point, (wheel.tyre.bead() + wheel.tyre.outside()) / 2, lean)
                    .forEach(all::add);
            further(wheel.tyre, point, wheel.tyre.bead() + wheel.tyre.heel(), lean)
                    .forEach(all::add);
            further(wheel.rim, point, wheel.rim.outside(), lean).forEach(all::add);
            further(wheel.rim, point, (wheel.rim.bead() + wheel.rim.outside()) / 2, lean)
                    .forEach(all::add);
        }
        return all;
    }

    /** The part where it passes another radius of the wheel, nearer to the axle than it was read. */
    private static List<Against> further(TyreBody body, double[] point, double radius, double lean) {
        double read = Math.hypot(point[0], point[2]);
        if (read <= radius) {
            return List.of();
        }
        double in = radius / read;
        return List.of(new Against(
                body, new double[] {point[0] * in, point[1] + Math.tan(lean) * (read - radius), point[2] * in}));
    }

    /** The least that any of them leaves. */
    static Sweep.Least least(List<Against> all, Carrier carrier, Motion motion) {
        return least(all, carrier, motion, Sweep.TOLERANCE);
    }

    /** @param within as {@link Sweep#lesser} has it */
    static Sweep.Least least(List<Against> all, Carrier carrier, Motion motion, double within) {
        Sweep.Least least = Sweep.NOTHING;
        for (Against one : all) {
            least = Sweep.lesser(least, one.body, one.point, carrier, motion, within);
        }
        return least;
    }

    /** The least that any of them leaves at one pose. */
    static double gap(List<Against> all, Carrier carrier, Motion motion, Pose pose) {
        return all.stream()
                .mapToDouble(one -> Sweep.gap(one.body, one.point, carrier, motion, pose))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }
}
