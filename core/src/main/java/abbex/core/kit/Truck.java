package abbex.core.kit;

import abbex.core.truck.Driveline;
import abbex.core.truck.Driveline.Direction;
import abbex.core.truck.HelperBags;
import abbex.core.truck.LeafTravel;
import java.util.Optional;

/**
 * What of a live rear axle turns or carries beside its springs, as far as it was measured.
 *
 * @param pack of its leaves; empty where it has none
 * @param saddle of a wedge or new saddles, degrees, the pinion's nose up positive
 */
public record Truck(Optional<Shafts> shafts, Optional<Bags> bags, Optional<Pack> pack, Told saddle) {
    private static final double STEEPEST = 59;

    /** A pinion's joint sits so far before its axle where nobody measured it, mm (common practice). */
    public static final Told AHEAD = Told.typical(300, 40);

    /**
     * Slopes down to the rear, degrees, as it stands before.
     *
     * @param front the shaft, or the first of two
     * @param rear the second of two
     * @param length of the last shaft between its joints, mm
     */
    public record Shafts(Told engine, Told front, Optional<Told> rear, Told pinion, Told length) {
        private Told last() {
            return rear.orElse(front);
        }

        private Driveline with(double engine, double front, double rear, double pinion) {
            return new Driveline(slope(engine), slope(front), this.rear.map(r -> slope(rear)), slope(pinion));
        }

        Driveline was() {
            return with(engine.value(), front.value(), last().value(), pinion.value());
        }

        /** With its last shaft's rear joint up by so much, mm, and the pinion's nose up by so many degrees. */
        Driveline is(double[] p, double up, double nose) {
            double last = slope(p[2], p[4], up);
            return with(p[0], rear.isPresent() ? p[1] : last, last, p[3] + nose);
        }

        /** No shaft lies steeper: a drop that would ask for it is said by its joints. */
        private static Direction slope(double degrees) {
            return Direction.down(Math.max(-STEEPEST, Math.min(STEEPEST, degrees)));
        }

        private static double slope(double was, double length, double up) {
            double level = length * Math.cos(Math.toRadians(was));
            return Math.toDegrees(Math.atan((length * Math.sin(Math.toRadians(was)) - up) / level));
        }
    }

    /** Leaves from the fixed eye to the axle and from there to the other eye, and how high their eyes lie over their seat, mm. */
    public record Pack(Told fixed, Told shackled, Told arch) {}

    /**
     * Helper bags and what is put on them.
     *
     * @param area effective, of one bag, mm²
     * @param load that comes over the axle, N
     * @param plate that the vehicle may carry, N
     * @param joined true where both bags share one line
     * @param wheelRate of the springs, N/mm at a wheel
     */
    public record Bags(Told area, Told load, Optional<Double> plate, boolean joined, Told wheelRate) {}

    /**
     * What a drop of the rear axle against its frame does.
     *
     * @param drop mm
     * @param leaf how far pack and pinion turn by their eyes, degrees, nose up positive
     */
    public TruckPlan lowered(Told drop, Told leaf) {
        Interval nose = Carried.of(p -> p[0] + p[1], leaf, saddle);
        return new TruckPlan(nose, shafts.map(was -> line(was, drop, leaf)), bags.map(this::carried));
    }

    /** How far a pinion's joint goes up as the axle does, mm. */
    private static double joint(double drop, double nose, double ahead) {
        return drop + ahead * Math.sin(Math.toRadians(nose));
    }

    private TruckPlan.Line line(Shafts was, Told drop, Told leaf) {
        Told[] all = {was.engine(), was.front(), was.last(), was.pinion(), was.length(), drop, leaf, saddle, AHEAD};
        double nose = leaf.value() + saddle.value();
        double up = joint(drop.value(), nose, AHEAD.value());
        double[] at = new double[all.length];
        for (int i = 0; i < at.length; i++) {
            at[i] = all[i].value();
        }
        return new TruckPlan.Line(
                was.was(),
                was.is(at, up, nose),
                was.length().value(),
                Carried.of(p -> p[0] + p[1] + p[2], was.pinion(), leaf, saddle),
                Carried.of(p -> was.with(p[0], p[1], p[2], p[3]).uneven(), all),
                Carried.of(p -> after(was, p).uneven(), all),
                Carried.of(p -> after(was, p).wedge(), all),
                Carried.of(
                        p -> Driveline.slip(
                                p[0],
                                p[0] * Math.sin(Math.toRadians(p[1])),
                                joint(p[2], p[3] + p[4], p[5]),
                                p[5] * (1 - Math.cos(Math.toRadians(p[3] + p[4])))),
                        was.length(),
                        was.last(),
                        drop,
                        leaf,
                        saddle,
                        AHEAD));
    }

    private static Driveline after(Shafts was, double[] p) {
        double nose = p[6] + p[7];
        return was.is(p, joint(p[5], nose, p[8]), nose);
    }

    private TruckPlan.Bagged carried(Bags bags) {
        HelperBags pair = HelperBags.pair(bags.area().value());
        return new TruckPlan.Bagged(
                bags,
                pair.carry(bags.load().value()),
                Carried.of(p -> HelperBags.pair(p[0]).carry(p[1]).pressure(), bags.area(), bags.load()),
                Carried.of(p -> p[0] / (2 * p[1]), bags.load(), bags.wheelRate()),
                pack.map(leaves -> travelled(leaves, bags, false)),
                pack.map(leaves -> travelled(leaves, bags, true)));
    }

    /** How a load that the springs carry alone turns the pinion's nose up, degrees, or shifts the axle back, mm. */
    private static Interval travelled(Pack leaves, Bags bags, boolean back) {
        double off = back ? LeafTravel.PATH_OFF : LeafTravel.TURN_OFF;
        return Carried.of(
                p -> {
                    double up = Math.min(p[0] / (2 * p[1]), LeafTravel.most(p[2], p[3], p[4]));
                    LeafTravel.Move move = new LeafTravel(p[2], p[3], p[4]).move(up);
                    return (back ? move.back() : move.nose()) + p[5] * up / LeafTravel.SEEN_OVER;
                },
                bags.load(),
                bags.wheelRate(),
                leaves.fixed(),
                leaves.shackled(),
                leaves.arch(),
                new Told(0, off, Told.Origin.PRINTED));
    }
}
