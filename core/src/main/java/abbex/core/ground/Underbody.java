package abbex.core.ground;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

/**
 * What is lowest under a vehicle, standing level on its wheels. Stations are millimetres along the vehicle, positive ahead of
 * the front axle; heights are millimetres over the floor. Between two points the underside is taken to run straight.
 *
 * @param wheelbase between the axles, positive
 * @param frontRadius static loaded radius of the front tyres, positive
 * @param rearRadius the same in the rear
 * @param points from the front backwards
 */
public record Underbody(double wheelbase, double frontRadius, double rearRadius, List<Point> points) {
    /** A straight piece is looked at in so many places before the least is refined. */
    private static final int PLACES = 64;

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    /** A low point. */
    public record Point(String name, double station, double height) {}

    public Underbody {
        if (!(wheelbase > 0 && frontRadius > 0 && rearRadius > 0)) {
            throw new IllegalArgumentException(
                    "underline: wheelbase " + wheelbase + ", radii " + frontRadius + " and " + rearRadius);
        }
        points = points.stream()
                .sorted(Comparator.comparingDouble(Point::station).reversed())
                .toList();
    }

    /**
     * The body brought down on its wheels, positive down; a nose that is lifted is a negative one in front. Points between the
     * axles and beyond go along as on a stiff body.
     */
    public Underbody lowered(double front, double rear) {
        return new Underbody(
                wheelbase,
                frontRadius,
                rearRadius,
                points.stream()
                        .map(p -> new Point(
                                p.name(), p.station(), p.height() - down(p.station(), front, rear, wheelbase)))
                        .toList());
    }

    /** A tyre that stands is so much of its free radius (common practice). */
    private static final double LOADED = 0.97;

    /** Other radii are no wheel's: a height was misread. */
    private static final double SMALLEST = 150;

    private static final double LARGEST = 700;

    /**
     * Static loaded radius of an end: the mean of what its wheels' heights say, else by its tyre.
     *
     * @param groundLessHub ground to lip less hub to lip of each wheel, as far as both were measured, mm
     * @param freeDiameter of the tyre, mm; empty when it is not known
     * @return mm; empty when neither is known
     */
    public static OptionalDouble loadedRadius(List<Double> groundLessHub, OptionalDouble freeDiameter) {
        OptionalDouble measured = groundLessHub.stream()
                .mapToDouble(Double::doubleValue)
                .filter(r -> r > SMALLEST && r < LARGEST)
                .average();
        return measured.isPresent() || freeDiameter.isEmpty()
                ? measured
                : OptionalDouble.of(LOADED * freeDiameter.getAsDouble() / 2);
    }

    /**
     * How far a place of a stiff body comes down when its ends do, mm, positive down.
     *
     * @param station along the vehicle, positive ahead of the front axle
     */
    public static double down(double station, double front, double rear, double wheelbase) {
        return front - (rear - front) * station / wheelbase;
    }

    /** The steepest ramp that the front takes from level ground; empty when nothing lies ahead of the front tyres. */
    public Optional<Figure<Angle>> approach() {
        return least(
                station -> station,
                frontRadius,
                (station, height) -> overhang(frontRadius, station, height),
                GroundFormula.OVERHANG_ANGLE);
    }

    /** The same for the rear, going down or backwards. */
    public Optional<Figure<Angle>> departure() {
        return least(
                station -> -wheelbase - station,
                rearRadius,
                (station, height) -> overhang(rearRadius, -wheelbase - station, height),
                GroundFormula.OVERHANG_ANGLE);
    }

    /** The sharpest crest that passes under between the axles, as the change of slope; its lowest point need not be midway. */
    public Optional<Figure<Angle>> breakover() {
        return least(
                station -> Math.min(-station, wheelbase + station),
                0,
                (station, height) ->
                        overhang(frontRadius, -station, height) + overhang(rearRadius, wheelbase + station, height),
                GroundFormula.BREAKOVER);
    }

    /**
     * Angle over the level of the line from a point that is tangent to a tyre's arc, in radians; no number where the point lies
     * within the tyre.
     *
     * @param radius static loaded radius
     * @param ahead of the axle, positive
     */
    static double overhang(double radius, double ahead, double height) {
        double distance = Math.hypot(ahead, radius - height);
        return ahead <= 0 || distance <= radius
                ? Double.NaN
                : Math.asin(radius / distance) - Math.atan((radius - height) / ahead);
    }

    private interface AngleAt {
        double at(double station, double height);
    }

    private record Least(double angle, double station, double height) {}

    private Optional<Figure<Angle>> least(
            DoubleUnaryOperator ahead, double radius, AngleAt angle, GroundFormula formula) {
        List<Least> all = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Point a = points.get(i);
            Point b = points.get(Math.max(i - 1, 0));
            for (int k = 0; k <= PLACES; k++) {
                consider(angle, ahead, a, b, (double) k / PLACES, all);
            }
        }
        return all.stream()
                .min(Comparator.comparingDouble(Least::angle))
                .map(l -> refined(l, angle))
                .map(l -> new Figure<>(
                        new Angle(l.angle()),
                        Reason.of(
                                formula,
                                Length.ofRoundedMm(l.height()),
                                Length.ofRoundedMm(ahead.applyAsDouble(l.station())),
                                Length.ofRoundedMm(radius == 0 ? frontRadius : radius),
                                name(l))));
    }

    private static void consider(
            AngleAt angle, DoubleUnaryOperator ahead, Point a, Point b, double share, List<Least> all) {
        double station = a.station() + share * (b.station() - a.station());
        double height = a.height() + share * (b.height() - a.height());
        double is = ahead.applyAsDouble(station) > 0 ? angle.at(station, height) : Double.NaN;
        if (!Double.isNaN(is)) {
            all.add(new Least(is, station, height));
        }
    }

    /** Between the neighbours of the best of the places, by golden section. */
    private Least refined(Least best, AngleAt angle) {
        Least least = best;
        for (int i = 1; i < points.size(); i++) {
            Point a = points.get(i);
            Point b = points.get(i - 1);
            double step = (b.station() - a.station()) / PLACES;
            if (step <= 0 || best.station() < a.station() - 1e-9 || best.station() > b.station() + 1e-9) {
                continue;
            }
            double slope = (b.height() - a.height()) / (b.station() - a.station());
            double low = Math.max(a.station(), best.station() - step);
            double high = Math.min(b.station(), best.station() + step);
            for (int k = 0; k < 60; k++) {
                double left = high - GOLDEN * (high - low);
                double right = low + GOLDEN * (high - low);
                double l = angle.at(left, a.height() + slope * (left - a.station()));
                double r = angle.at(right, a.height() + slope * (right - a.station()));
                if (Double.isNaN(r) || l < r) {
                    high = right;
                } else {
                    low = left;
                }
            }
            double at = (low + high) / 2;
            double height = a.height() + slope * (at - a.station());
            double is = angle.at(at, height);
            if (is < least.angle()) {
                least = new Least(is, at, height);
            }
        }
        return least;
    }

    /** The point's own name, or the two that it lies between. */
    String name(double station) {
        for (int i = 0; i < points.size(); i++) {
            if (Math.abs(points.get(i).station() - station) < 1) {
                return points.get(i).name();
            }
            if (points.get(i).station() < station) {
                return i == 0
                        ? points.get(0).name()
                        : points.get(i - 1).name() + " – " + points.get(i).name();
            }
        }
        return points.isEmpty() ? "" : points.get(points.size() - 1).name();
    }

    private String name(Least least) {
        return name(least.station());
    }
}
