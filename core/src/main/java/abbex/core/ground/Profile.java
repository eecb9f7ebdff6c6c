package abbex.core.ground;

import java.util.List;

/**
 * The ground along the way that a vehicle goes: straight from point to point, level before the first and after the last.
 *
 * @param points each further on than the one before
 */
public record Profile(List<Point> points) {
    /** Along the way and up, in millimetres. */
    public record Point(double along, double up) {}

    public Profile {
        points = List.copyOf(points);
        if (points.size() < 2) {
            throw new IllegalArgumentException("profile: " + points.size() + " points; at least 2");
        }
        int folded = folded(points);
        if (folded >= 0) {
            throw new IllegalArgumentException("profile: point " + (folded + 1) + " lies behind the one before it");
        }
    }

    /** The first point that does not lie further on than the one before it; -1 when there is none. */
    public static int folded(List<Point> points) {
        for (int i = 1; i < points.size(); i++) {
            if (!(points.get(i).along() > points.get(i - 1).along())) {
                return i;
            }
        }
        return -1;
    }

    /** Grounds to choose from; their measures are ours, the customer's own are measured on the spot. */
    public enum Usual {
        /** A dropped kerb with its gutter, then up at 12 %. */
        DRIVEWAY(0, 0, 450, -25, 600, 20, 5600, 620),
        /** A rounded hump, 75 mm over 3.7 m. */
        HUMP(0, 0, 460, 33, 920, 56, 1385, 70, 1850, 75, 2315, 70, 2780, 56, 3240, 33, 3700, 0),
        /** Up onto an alignment rack. */
        RACK(0, 0, 1400, 200),
        /** Two ramps of 2.2 m onto a trailer's deck. */
        TRAILER(0, 0, 2180, 380),
        /** Down into a garage at 15 %. */
        GARAGE(0, 0, 6000, -900);

        private final double[] numbers;

        Usual(double... numbers) {
            this.numbers = numbers;
        }

        public Profile profile() {
            Point[] points = new Point[numbers.length / 2];
            for (int i = 0; i < points.length; i++) {
                points[i] = new Point(numbers[2 * i], numbers[2 * i + 1]);
            }
            return new Profile(List.of(points));
        }
    }

    double first() {
        return points.get(0).along();
    }

    double last() {
        return points.get(points.size() - 1).along();
    }

    /** How high the ground is. */
    public double up(double along) {
        if (along <= first()) {
            return points.get(0).up();
        }
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i - 1);
            Point b = points.get(i);
            if (along <= b.along()) {
                return a.up() + (b.up() - a.up()) * (along - a.along()) / (b.along() - a.along());
            }
        }
        return points.get(points.size() - 1).up();
    }

    /** The steepest piece, as rise over run, never negative. */
    double steepest() {
        double most = 0;
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i - 1);
            Point b = points.get(i);
            most = Math.max(most, Math.abs(b.up() - a.up()) / (b.along() - a.along()));
        }
        return most;
    }

    /** From the lowest point to the highest. */
    double rise() {
        double most = points.stream().mapToDouble(Point::up).max().orElseThrow();
        return most - points.stream().mapToDouble(Point::up).min().orElseThrow();
    }

    /** The highest ground between two places. */
    double highest(double from, double to) {
        double high = Math.max(up(from), up(to));
        for (Point p : points) {
            if (p.along() > from && p.along() < to) {
                high = Math.max(high, p.up());
            }
        }
        return high;
    }

    /**
     * As steeply as the centre of a wheel may go, rise over run: no steeper than the ground. And where it rolls over an edge, its
     * circle stands at least at its radius less the whole rise, since nothing lower holds it there: the chord gives the slope.
     */
    double steepestOf(double radius) {
        double low = radius - rise();
        return low <= 0 ? steepest() : Math.min(steepest(), Math.sqrt(radius * radius - low * low) / low);
    }

    /** How high the centre of a wheel stands that rolls over it: the wheel touches the ground and goes nowhere into it. */
    public double axle(double along, double radius) {
        double high = Math.max(level(along, radius, true), level(along, radius, false));
        for (int i = 0; i < points.size(); i++) {
            Point p = points.get(i);
            double off = along - p.along();
            if (Math.abs(off) <= radius) {
                high = Math.max(high, p.up() + Math.sqrt(radius * radius - off * off));
            }
            if (i > 0) {
                high = Math.max(high, onSlope(points.get(i - 1), p, along, radius));
            }
        }
        return high;
    }

    private double level(double along, double radius, boolean before) {
        boolean there = before ? along <= first() : along >= last();
        return there ? points.get(before ? 0 : points.size() - 1).up() + radius : Double.NEGATIVE_INFINITY;
    }

    /** The centre over a straight piece where the wheel touches it between its ends. */
    private static double onSlope(Point a, Point b, double along, double radius) {
        double run = b.along() - a.along();
        double rise = b.up() - a.up();
        double long_ = Math.hypot(run, rise);
        double touches = along + radius * rise / long_;
        return touches < a.along() || touches > b.along()
                ? Double.NEGATIVE_INFINITY
                : a.up() + rise * (along - a.along()) / run + radius * long_ / run;
    }
}
