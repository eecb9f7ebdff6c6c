package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;

/**
 * A wheel as seen from outside with the least gaps round it: out of the tread a bar as long as the least gap, larger than life,
 * across it the needed one and the gap at the pose that is shown, and the place's number beyond. In its middle the wheel from
 * above between its locks. Drawing geometry only; the wheel's middle is at 0, 0.
 *
 * @param box the part that is shown
 * @param tyre radius of the tyre
 * @param rim radius of its rim
 * @param hours the hours' texts
 * @param bars the places that somebody looked at
 * @param open where nobody looked
 * @param locks how far it steers
 */
public record ClockDrawing(
        String box, String tyre, String rim, List<Hour> hours, List<Bar> bars, List<Hour> open, Locks locks) {
    /** Gaps are drawn so many times as long as they are. */
    private static final double LARGER = 2.4;

    private static final double LONGEST = 92;
    private static final double RING = 28;
    private static final double AROUND = 190;

    /** The arc of the locks, as a part of the rim's radius. */
    private static final double ARC = 0.6;

    /** A text at an hour. */
    public record Hour(String text, String x, String y) {}

    /**
     * A place.
     *
     * @param gap the bar of the least gap
     * @param needed the stroke across it
     * @param now the stroke at the gap of the pose that is shown
     * @param lead from the bar to its number
     * @param x where its number stands
     */
    public record Bar(String gap, String needed, String now, String lead, String x, String y) {}

    /** A place's hour with its least, its needed and its present gap in mm. */
    public record At(double clock, double gap, double needed, double now) {}

    /**
     * The wheel from above, its front up.
     *
     * @param arc from full left lock to full right lock
     * @param turned transformation of the wheel
     * @param left where the left lock is
     * @param right where the right lock is
     */
    public record Locks(String arc, String turned, Hour left, Hour right) {}

    /**
     * A wheel with its places.
     *
     * @param left steer to full left lock, radians, not negative
     * @param right steer to full right lock
     * @param steer at the pose that is shown, positive to the right
     */
    public static ClockDrawing of(
            double tyre, double rim, List<At> places, List<Double> unseen, double left, double right, double steer) {
        List<Hour> hours = new ArrayList<>();
        for (int hour = 3; hour <= 12; hour += 3) {
            double angle = Math.toRadians(30 * hour);
            hours.add(at(Integer.toString(hour), tyre - 34, angle, 10));
        }
        double ring = tyre + LONGEST + RING + 18;
        double[] angles = new double[places.size()];
        for (int i = 0; i < angles.length; i++) {
            angles[i] = Math.toRadians(30 * places.get(i).clock() + beside(places, i));
        }
        double[] numbers = Apart.onCircle(angles, (2 * RING + 8) / ring, 2 * Math.PI);
        List<Bar> bars = new ArrayList<>();
        for (int i = 0; i < angles.length; i++) {
            bars.add(bar(tyre, places.get(i), angles[i], numbers[i], ring));
        }
        List<Hour> open = unseen.stream()
                .map(clock -> at("", tyre + RING + 14, Math.toRadians(30 * clock), 0))
                .toList();
        double half = tyre + AROUND;
        return new ClockDrawing(
                plain(-half) + " " + plain(-half) + " " + plain(2 * half) + " " + plain(2 * half),
                plain(tyre),
                plain(rim),
                hours,
                bars,
                open,
                locks(rim * ARC, left, right, steer));
    }

    /** Where marks lie on a tread. */
    public static List<Hour> onTread(double tyre, List<Double> clocks) {
        return clocks.stream()
                .map(clock -> at("", tyre, Math.toRadians(30 * clock), 0))
                .toList();
    }

    private static Locks locks(double radius, double left, double right, double steer) {
        Hour from = at("", radius, -left, 0);
        Hour to = at("", radius, right, 0);
        String r = plain(radius);
        return new Locks(
                left + right == 0
                        ? ""
                        : "M" + from.x() + " " + from.y() + "A" + r + " " + r + " 0 0 1 " + to.x() + " " + to.y(),
                "rotate(" + plain(Math.toDegrees(steer)) + ")",
                from,
                to);
    }

    private static Hour at(String text, double radius, double angle, double down) {
        return new Hour(text, plain(radius * Math.sin(angle)), plain(-radius * Math.cos(angle) + down));
    }

    /** Places at one hour stand side by side: so many degrees off. */
    private static double beside(List<At> places, int i) {
        int before = 0;
        for (int k = 0; k < i; k++) {
            double apart = Math.abs(places.get(k).clock() - places.get(i).clock()) % 12;
            before += Math.min(apart, 12 - apart) < 0.4 ? 1 : 0;
        }
        return before == 0 ? 0 : (before % 2 == 1 ? 1 : -1) * ((before + 1) / 2) * 9.0;
    }

    private static Bar bar(double tyre, At at, double angle, double number, double ring) {
        double sin = Math.sin(angle);
        double cos = -Math.cos(angle);
        double end = tyre + Math.max(0, enlarged(at.gap()));
        double gap = tyre + enlarged(at.gap());
        double x = ring * Math.sin(number);
        double y = -ring * Math.cos(number);
        double near = 1 - RING / Math.hypot(x - end * sin, y - end * cos);
        return new Bar(
                "M" + plain(tyre * sin) + " " + plain(tyre * cos) + "L" + plain(gap * sin) + " " + plain(gap * cos),
                across(tyre + Math.min(LONGEST, at.needed() * LARGER), 13, sin, cos),
                across(tyre + enlarged(at.now()), 8, sin, cos),
                "M" + plain(end * sin) + " " + plain(end * cos) + "L" + plain(end * sin + near * (x - end * sin)) + " "
                        + plain(end * cos + near * (y - end * cos)),
                plain(x),
                plain(y));
    }

    private static double enlarged(double gap) {
        return Math.max(-LONGEST, Math.min(LONGEST, gap * LARGER));
    }

    private static String across(double out, double half, double sin, double cos) {
        return "M" + plain(out * sin - half * cos) + " " + plain(out * cos + half * sin) + "L"
                + plain(out * sin + half * cos) + " " + plain(out * cos - half * sin);
    }
}
