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
 * <p>Pieces of the way are halved until none can hide less air than was found. How fast the body may go up or down is bounded by
 * how steeply a wheel's centre can: over a kerb a wheel rolls as steeply as its circle lets it, not as the kerb stands. How high
 * the ground comes under a point is taken from the ground itself, over all that the point passes. The answer is a bound, not the
 * least of some samples, also where it gives up.
 */
public final class Crossing {
    /** Nowhere on the way is less air than the answer by more than this, in mm. */
    public static final double TOLERANCE = 0.2;

    /** So much air is wanted: what a tape, a load and a soft tyre take (ours), in mm. */
    public static final double WANTED = 15;

    private static final int MOST = 200_000;

    private static final int PIECES = 64;

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
        Rates rates = Rates.of(under, ground);
        PriorityQueue<Piece> open = new PriorityQueue<>((a, b) -> Double.compare(a.bound, b.bound));
        Best best = new Best();
        for (int i = 0; i < PIECES; i++) {
            double step = (way[1] - way[0]) / PIECES;
            open.add(piece(way[0] + step * i, way[0] + step * (i + 1), rates, best));
        }
        int count = 0;
        while (!open.isEmpty() && open.peek().bound() < best.air - TOLERANCE && count++ < MOST) {
            Piece piece = open.poll();
            double middle = (piece.low() + piece.high()) / 2;
            open.add(piece(piece.low(), middle, rates, best));
            open.add(piece(middle, piece.high(), rates, best));
        }
        Least least = at(under, ground, best.where);
        double hidden = count < MOST || open.isEmpty()
                ? least.air()
                : Math.min(least.air(), open.peek().bound());
        return new Least(hidden, least.pose(), least.station(), least.name());
    }

    /** The least air that was met so far. */
    private static final class Best {
        private double air = Double.POSITIVE_INFINITY;
        private double where;
    }

    /**
     * How fast things go for a millimetre of way.
     *
     * @param up of a wheel's centre, up or down
     * @param along of any point under the vehicle, along the ground
     */
    private record Rates(double up, double along) {
        /** What leans and rounds away, in every rate (ours). */
        private static final double SPARE = 0.01;

        static Rates of(Underbody under, Profile ground) {
            double rise = ground.rise();
            double span = under.wheelbase();
            double steep = Math.max(ground.steepestOf(under.frontRadius()), ground.steepestOf(under.rearRadius()));
            // The rear wheel is drawn along a little faster while the vehicle pitches.
            double leans = rise < span ? rise / Math.sqrt(span * span - rise * rise) : 1;
            double up = steep * (1 + 2 * steep * leans) + SPARE;
            // A point goes along by its height over the axles as the body turns, by its station only as far as that
            // leans.
            double turned = Math.min(1, (rise + 2 * Math.abs(under.frontRadius() - under.rearRadius())) / span);
            double reach = under.points().stream()
                    .mapToDouble(p -> Math.abs(p.station()) * turned + Math.abs(p.height() - under.frontRadius()))
                    .max()
                    .orElse(0);
            return new Rates(up, 1 + 2 * up * reach / span);
        }

        /** Of a point of the body, by how far it lies from the front axle in wheelbases. */
        double up(double station, double wheelbase) {
            return up * (1 + 2 * Math.abs(station) / wheelbase);
        }
    }

    /** A piece of the way by its middle: what its air may be at least. */
    private Piece piece(double low, double high, Rates rates, Best best) {
        double middle = (low + high) / 2;
        double half = (high - low) / 2;
        Here here = here(middle);
        if (here.air() < best.air) {
            best.air = here.air();
            best.where = middle;
        }
        return new Piece(bound(here.pose(), half, rates), low, high);
    }

    /** No less air than this with the front wheel up to so far from where it stands in a pose. */
    private double bound(Pose pose, double half, Rates rates) {
        double past = rates.along() * half;
        double least = Double.POSITIVE_INFINITY;
        double[] before = null;
        double beforeSinks = 0;
        for (Underbody.Point p : under.points()) {
            double[] put = pose.put(p.station(), p.height(), under.frontRadius());
            double sinks = rates.up(p.station(), under.wheelbase()) * half;
            least = Math.min(least, put[1] - sinks - ground.highest(put[0] - past, put[0] + past));
            if (before != null) {
                double slope = Math.abs(before[1] - put[1]) / Math.max(1, before[0] - put[0]);
                double most = Math.max(sinks, beforeSinks) + slope * past;
                for (Profile.Point g : ground.points()) {
                    if (g.along() > put[0] && g.along() < before[0]) {
                        double share = (g.along() - put[0]) / (before[0] - put[0]);
                        least = Math.min(least, put[1] + share * (before[1] - put[1]) - most - g.up());
                    }
                }
            }
            before = put;
            beforeSinks = sinks;
        }
        return least;
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
