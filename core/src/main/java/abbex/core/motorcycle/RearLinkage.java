package abbex.core.motorcycle;

import java.util.Optional;

/**
 * A swingarm and what presses its spring, in side view: x forward, z up, mm, all as it stands. A rocker turns on the frame with a
 * link to the arm, or on the arm with a link to the frame; or there is none, and the spring stands on the arm.
 *
 * <p>Every pose is closed form: the arm's angle by the axle's height, the rocker by the circles about its pivot and the link's
 * other end. Nothing is allocated on the way.
 *
 * @param arm the swingarm's pivot on the frame
 * @param axle the rear wheel's
 * @param rocker its pivot; as the frame's or the arm's point
 * @param knee the rocker's end of the link
 * @param far the link's other end
 * @param foot the spring's lower end, on the rocker, or on the arm where there is none
 * @param top the spring's end on the frame
 */
public record RearLinkage(
        Kind kind, Point arm, Point axle, Point rocker, Point knee, Point far, Point foot, Point top, double link) {
    /** What is between arm and spring. */
    public enum Kind {
        /** Nothing: cantilever, twin shocks. */
        DIRECT,
        ROCKER_ON_FRAME,
        ROCKER_ON_ARM
    }

    /** A point in side view, mm. */
    public record Point(double x, double z) {
        double away(Point other) {
            return root(x - other.x, z - other.z);
        }
    }

    /** With the link as long as it is drawn. */
    public static RearLinkage of(
            Kind kind, Point arm, Point axle, Point rocker, Point knee, Point far, Point foot, Point top) {
        return new RearLinkage(kind, arm, axle, rocker, knee, far, foot, top, knee.away(far));
    }

    /** A spring on the arm itself. */
    public static RearLinkage direct(Point arm, Point axle, Point foot, Point top) {
        return new RearLinkage(Kind.DIRECT, arm, axle, arm, arm, arm, foot, top, 0);
    }

    public RearLinkage {
        if (!(axle.x() < arm.x())) {
            throw new IllegalArgumentException("axle: it lies behind the arm's pivot, x is forward");
        }
    }

    /** With its link longer by so much, mm; negative for shorter. */
    public RearLinkage longer(double by) {
        return new RearLinkage(kind, arm, axle, rocker, knee, far, foot, top, link + by);
    }

    /** How far the wheel can go up or down at most before arm and height part, mm. */
    private double radius() {
        return arm.away(axle);
    }

    private static double square(double x, double z) {
        return x * x + z * z;
    }

    /** Lengths of a machine neither overflow nor underflow: the plain root is ten times as fast as the careful one. */
    private static double root(double x, double z) {
        return Math.sqrt(square(x, z));
    }

    /** Cosine of the arm's turn for a travel of the wheel, up positive, mm; NaN beyond the arm's length. */
    private double cos(double travel) {
        double radius = radius();
        double was = (axle.z() - arm.z()) / radius;
        double is = was + travel / radius;
        return Math.sqrt(1 - was * was) * Math.sqrt(1 - is * is) + was * is;
    }

    /** Its sine. */
    private double sin(double travel) {
        double radius = radius();
        double was = (axle.z() - arm.z()) / radius;
        double is = was + travel / radius;
        return was * Math.sqrt(1 - is * is) - is * Math.sqrt(1 - was * was);
    }

    /**
     * By how much the link is too long or too short at a travel of the wheel, mm; 0 where it closes.
     *
     * @param travel of the wheel from where it is drawn, up positive, mm
     */
    public double gap(double travel) {
        if (kind == Kind.DIRECT) {
            return 0;
        }
        double cos = cos(travel);
        double sin = sin(travel);
        boolean onArm = kind == Kind.ROCKER_ON_ARM;
        double rx = onArm ? turnedX(rocker, cos, sin) : rocker.x();
        double rz = onArm ? turnedZ(rocker, cos, sin) : rocker.z();
        double fx = onArm ? far.x() : turnedX(far, cos, sin);
        double fz = onArm ? far.z() : turnedZ(far, cos, sin);
        double away = root(fx - rx, fz - rz);
        double radius = rocker.away(knee);
        return Math.max(0, Math.max(away - (link + radius), Math.abs(link - radius) - away));
    }

    private double turnedX(Point p, double cos, double sin) {
        return arm.x() + (p.x() - arm.x()) * cos - (p.z() - arm.z()) * sin;
    }

    private double turnedZ(Point p, double cos, double sin) {
        return arm.z() + (p.x() - arm.x()) * sin + (p.z() - arm.z()) * cos;
    }

    /** The spring's length between its ends at a travel of the wheel, mm; NaN where the link does not close. */
    public double spring(double travel) {
        return pose(travel, false);
    }

    /** How much the spring shortens for each mm that the wheel goes up there: its motion ratio; NaN where the link does not close. */
    public double ratio(double travel) {
        return pose(travel, true);
    }

    private double pose(double travel, boolean ratio) {
        double over = 1 / radius();
        double was = (axle.z() - arm.z()) * over;
        double is = was + travel * over;
        double level = Math.sqrt(1 - is * is);
        double before = Math.sqrt(1 - was * was);
        double cos = before * level + was * is;
        double sin = was * level - is * before;
        // The arm turns by so much for each mm of the wheel, up turning it back: dz = (x axle − x pivot)·dφ.
        double rate = -over / level;
        if (kind == Kind.DIRECT) {
            double qx = turnedX(foot, cos, sin);
            double qz = turnedZ(foot, cos, sin);
            return ratio ? shortens(qx, qz, -(qz - arm.z()) * rate, (qx - arm.x()) * rate) : length(qx, qz);
        }
        boolean onArm = kind == Kind.ROCKER_ON_ARM;
        double rx = onArm ? turnedX(rocker, cos, sin) : rocker.x();
        double rz = onArm ? turnedZ(rocker, cos, sin) : rocker.z();
        double fx = onArm ? far.x() : turnedX(far, cos, sin);
        double fz = onArm ? far.z() : turnedZ(far, cos, sin);
        double rocks = square(knee.x() - rocker.x(), knee.z() - rocker.z());
        double dx = fx - rx;
        double dz = fz - rz;
        // The circles' meeting as parts of the way between their middles: one root less than in lengths.
        double apart = 1 / square(dx, dz);
        double along = 0.5 * ((rocks - link * link) * apart + 1);
        double rest = rocks * apart - along * along;
        if (!(rest >= 0)) {
            return Double.NaN;
        }
        double aside = Math.sqrt(rest) * side();
        double kx = rx + along * dx - aside * dz;
        double kz = rz + along * dz + aside * dx;
        // The rocker's own turn carries the spring's foot with it.
        double whole = 1 / rocks;
        double c = ((kx - rx) * (knee.x() - rocker.x()) + (kz - rz) * (knee.z() - rocker.z())) * whole;
        double s = ((kz - rz) * (knee.x() - rocker.x()) - (kx - rx) * (knee.z() - rocker.z())) * whole;
        double qx = rx + (foot.x() - rocker.x()) * c - (foot.z() - rocker.z()) * s;
        double qz = rz + (foot.x() - rocker.x()) * s + (foot.z() - rocker.z()) * c;
        if (!ratio) {
            return length(qx, qz);
        }
        // Speeds for each mm of the wheel: the link keeps its length.
        double lx = fx - kx;
        double lz = fz - kz;
        double fvx = onArm ? 0 : -(fz - arm.z()) * rate;
        double fvz = onArm ? 0 : (fx - arm.x()) * rate;
        double rvx = onArm ? -(rz - arm.z()) * rate : 0;
        double rvz = onArm ? (rx - arm.x()) * rate : 0;
        double own = (lx * (fvx - rvx) + lz * (fvz - rvz)) / (lz * (kx - rx) - lx * (kz - rz));
        return shortens(qx, qz, rvx - (qz - rz) * own, rvz + (qx - rx) * own);
    }

    /**
     * Where its points are at a travel, for whoever draws it: see the fields of this record.
     */
    public record Pose(Point axle, Point rocker, Point knee, Point far, Point foot) {}

    /** Empty where the link does not close. */
    public Optional<Pose> at(double travel) {
        if (Double.isNaN(spring(travel))) {
            return Optional.empty();
        }
        double cos = cos(travel);
        double sin = sin(travel);
        Point there = turned(axle, cos, sin);
        if (kind == Kind.DIRECT) {
            return Optional.of(new Pose(there, arm, arm, arm, turned(foot, cos, sin)));
        }
        boolean onArm = kind == Kind.ROCKER_ON_ARM;
        Point r = onArm ? turned(rocker, cos, sin) : rocker;
        Point f = onArm ? far : turned(far, cos, sin);
        double radius = rocker.away(knee);
        double away = r.away(f);
        double along = (radius * radius - link * link + away * away) / (2 * away);
        double aside = Math.sqrt(Math.max(0, radius * radius - along * along)) * side();
        double dx = f.x() - r.x();
        double dz = f.z() - r.z();
        Point k = new Point(r.x() + (along * dx - aside * dz) / away, r.z() + (along * dz + aside * dx) / away);
        double own =
                Math.atan2(k.z() - r.z(), k.x() - r.x()) - Math.atan2(knee.z() - rocker.z(), knee.x() - rocker.x());
        double qx = foot.x() - rocker.x();
        double qz = foot.z() - rocker.z();
        Point q = new Point(
                r.x() + qx * Math.cos(own) - qz * Math.sin(own), r.z() + qx * Math.sin(own) + qz * Math.cos(own));
        return Optional.of(new Pose(there, r, k, f, q));
    }

    private Point turned(Point p, double cos, double sin) {
        return new Point(turnedX(p, cos, sin), turnedZ(p, cos, sin));
    }

    /** On which side of the line from rocker to link's far end the knee lies, as it is drawn. */
    private double side() {
        double cross =
                (far.x() - rocker.x()) * (knee.z() - rocker.z()) - (far.z() - rocker.z()) * (knee.x() - rocker.x());
        return cross >= 0 ? 1 : -1;
    }

    private double length(double x, double z) {
        return root(top.x() - x, top.z() - z);
    }

    private double shortens(double x, double z, double vx, double vz) {
        return ((top.x() - x) * vx + (top.z() - z) * vz) / length(x, z);
    }

    private static final int STEPS = 60;
    private static final double CLOSE = 1e-9;
    private static final double SMALL = 1e-3;

    /** No other link or shock moves a wheel further: its stops are nearer, mm (ours). */
    private static final double FARTHEST = 150;

    /**
     * Where the wheel stands after another link or another spring length, mm of travel up from where it is drawn: so far the rear
     * comes down. The load stays; the spring gives as its rate says.
     *
     * @param changed the same machine with its other link
     * @param shorter of the spring or shock between its ends, mm
     * @param rate of the spring, N/mm; infinite where it is not known and the spring is taken to keep its length
     * @param load on the rear wheel that its spring carries, N
     * @throws IllegalArgumentException where its spring is not pressed as the wheel goes up, and where it stands nowhere, with by
     *     how much its link does not close
     */
    public double drop(RearLinkage changed, double shorter, double rate, double load) {
        if (!(ratio(0) > 0)) {
            throw new IllegalArgumentException("linkage: its spring gets longer as the wheel goes up");
        }
        if (!(holds(ratio(0), 0, rate, load) > 0)) {
            throw new IllegalArgumentException("linkage: nothing holds it where it stands; its load falls as the wheel"
                    + " goes up. Measure its points, rate and load again");
        }
        double length = spring(0);
        double force = load / ratio(0);
        double travel = 0;
        for (int i = 0; i < STEPS; i++) {
            if (changed.gap(travel) > 0) {
                throw new IllegalArgumentException(
                        "link: " + changed.gap(travel) + " mm from closing at " + travel + " mm");
            }
            double ratio = changed.ratio(travel);
            double give = Double.isInfinite(rate) ? 0 : (load / ratio - force) / rate;
            double miss = changed.spring(travel) - (length - shorter - give);
            double slope = changed.holds(ratio, travel, rate, load);
            if (Math.abs(miss) < CLOSE) {
                if (!(slope > 0 && ratio > 0 && Math.abs(travel) <= FARTHEST)) {
                    break;
                }
                return travel;
            }
            travel += miss / slope;
        }
        throw new IllegalArgumentException(
                "link: it stands nowhere near where it stood; measure link, pivots and spring again");
    }

    /**
     * What holds it at a travel, in spring travel for each mm of the wheel: the load over the ratio presses the spring, and where
     * the ratio falls, it gives more. Not above 0 it falls through.
     */
    private double holds(double ratio, double travel, double rate, double load) {
        double bend = (ratio(travel + SMALL) - ratio(travel - SMALL)) / (2 * SMALL);
        return ratio + (Double.isInfinite(rate) ? 0 : load * bend / (ratio * ratio * rate));
    }
}
