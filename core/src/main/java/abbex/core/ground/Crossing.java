package abbex.core.ground;

import abbex.core.figure.Finding;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.PriorityQueue;

/**
 * A vehicle taken along a profile on its two wheels, front first, without its springs moving: how little air is left under it,
 * and where.
 *
 * <p>Pieces of the way are halved until none can hide less air than was found: how fast the air may change is bounded by the
 * steepest piece of the ground. The answer is a bound, not the least of some samples.
 */
public final class Crossing {
    /** Nowhere on the way is less air than the answer by more than this, in mm. */
    public static final double TOLERANCE = 0.2;

    /** So much air is wanted: what a tape, a load and a soft tyre take (ours), in mm. */
    public static final double WANTED = 15;

    private static final int MOST = 200_000;

    private final Underbody under;
    private final Profile ground;

    private Crossing(Underbody under, Profile ground) {
        this.under = under;
        this.ground = ground;
    }

    /**
     * Where the vehicle stands.
     *
     * @param along of the front wheel's centre, in mm
     * @param front height of that centre
     * @param rearAlong of the rear wheel's centre
     * @param rear its height
     * @param turn of the body from how it stands on level ground, radians, positive nose-up
     */
    public record Pose(double along, double front, double rearAlong, double rear, double turn) {
        /** A point of the body over the ground's zero: along and up. */
        public double[] put(double station, double height, double frontRadius) {
            double c = Math.cos(turn);
            double s = Math.sin(turn);
            double up = height - frontRadius;
            return new double[] {along + station * c - up * s, front + station * s + up * c};
        }
    }

    /**
     * The least air.
     *
     * @param air in mm, negative when it would go into the ground
     * @param pose where
     * @param station of the place that comes nearest, along the vehicle
     * @param name of it, or of the two that it lies between
     */
    public record Least(double air, Pose pose, double station, String name) {
        /** True when there is as much air as is wanted. */
        public boolean clears() {
            return air >= WANTED;
        }

        /** What is to be said of it. */
        public Finding finding() {
            Length left = Length.ofRoundedMm(Math.abs(air));
            if (air <= 0) {
                return new GroundFinding.Scrapes(name, left);
            }
            return clears() ? new GroundFinding.Passes(name, left) : new GroundFinding.LittleAir(name, left);
        }
    }

    private record Piece(double bound, double low, double high) {}

    private record Here(double air, double station, Pose pose) {}

    /** Takes it all the way; the underline must have a point. */
    public static Least run(Underbody under, Profile ground) {
        if (under.points().isEmpty()) {
            throw new IllegalArgumentException("crossing: no point under the vehicle");
        }
        return new Crossing(under, ground).solve();
    }

    /** Where it stands with its front wheel at a place. */
    public static Pose pose(Underbody under, Profile ground, double along) {
        return new Crossing(under, ground).at(along);
    }

    /** The least air with its front wheel at a place; the underline must have a point. */
    public static Least at(Underbody under, Profile ground, double along) {
        Crossing crossing = new Crossing(under, ground);
        Here here = crossing.here(along);
        return new Least(here.air(), here.pose(), here.station(), under.name(here.station()));
    }

    /** From where to where the front wheel goes: from wholly before the profile to wholly past it. */
    public static double[] way(Underbody under, Profile ground) {
        double ahead = Math.max(under.points().get(0).station(), under.frontRadius());
        double behind = Math.min(
                under.points().get(under.points().size() - 1).station(), -under.wheelbase() - under.rearRadius());
        return new double[] {ground.first() - ahead - 100, ground.last() - behind + 100};
    }

    private Least solve() {
        double[] way = way(under, ground);
        double steep = ground.steepest();
        double lever = Math.max(
                        Math.abs(under.points().get(0).station()),
                        Math.abs(under.points().get(under.points().size() - 1).station()))
                / under.wheelbase();
        // The wheels go up as steeply as the ground does, the body's ends by the lever more, and the ground under them
        // changes.
        double rate = steep * (2 + 2 * lever) + 0.01;
        PriorityQueue<Piece> open = new PriorityQueue<>((a, b) -> Double.compare(a.bound, b.bound));
        double best = Double.POSITIVE_INFINITY;
        double where = way[0];
        int pieces = 64;
        for (int i = 0; i < pieces; i++) {
            double low = way[0] + (way[1] - way[0]) * i / pieces;
            double high = way[0] + (way[1] - way[0]) * (i + 1) / pieces;
            double air = here((low + high) / 2).air();
            if (air < best) {
                best = air;
                where = (low + high) / 2;
            }
            open.add(new Piece(air - rate * (high - low) / 2, low, high));
        }
        int count = 0;
        while (!open.isEmpty() && open.peek().bound() < best - TOLERANCE && count++ < MOST) {
            Piece piece = open.poll();
            double middle = (piece.low() + piece.high()) / 2;
            for (double[] half : new double[][] {{piece.low(), middle}, {middle, piece.high()}}) {
                double at = (half[0] + half[1]) / 2;
                double air = here(at).air();
                if (air < best) {
                    best = air;
                    where = at;
                }
                open.add(new Piece(air - rate * (half[1] - half[0]) / 2, half[0], half[1]));
            }
        }
        return at(under, ground, where);
    }

    private Pose at(double along) {
        double front = ground.axle(along, under.frontRadius());
        double rest = Math.atan2(under.frontRadius() - under.rearRadius(), under.wheelbase());
        double span = Math.hypot(under.wheelbase(), under.frontRadius() - under.rearRadius());
        double back = along - under.wheelbase();
        double rear = ground.axle(back, under.rearRadius());
        for (int i = 0; i < 40; i++) {
            double up = Math.max(-0.9 * span, Math.min(0.9 * span, front - rear));
            double next = along - Math.sqrt(span * span - up * up);
            double moved = Math.abs(next - back);
            back = next;
            rear = ground.axle(back, under.rearRadius());
            if (moved < 1e-4) {
                break;
            }
        }
        return new Pose(along, front, back, rear, Math.atan2(front - rear, along - back) - rest);
    }

    /** The least air at a place: of every point over the ground, and of every corner of the ground under the underside. */
    private Here here(double along) {
        Pose pose = at(along);
        List<double[]> body = new ArrayList<>();
        double air = Double.POSITIVE_INFINITY;
        double station = 0;
        for (Underbody.Point p : under.points()) {
            double[] put = pose.put(p.station(), p.height(), under.frontRadius());
            body.add(put);
            double is = put[1] - ground.up(put[0]);
            if (is < air) {
                air = is;
                station = p.station();
            }
        }
        for (int i = 1; i < body.size(); i++) {
            double[] a = body.get(i);
            double[] b = body.get(i - 1);
            for (Profile.Point p : ground.points()) {
                if (p.along() > a[0] && p.along() < b[0]) {
                    double share = (p.along() - a[0]) / (b[0] - a[0]);
                    double is = a[1] + share * (b[1] - a[1]) - p.up();
                    if (is < air) {
                        air = is;
                        double from = under.points().get(i).station();
                        station = from + share * (under.points().get(i - 1).station() - from);
                    }
                }
            }
        }
        return new Here(air, station, pose);
    }
}
