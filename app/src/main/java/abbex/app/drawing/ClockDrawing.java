package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;

/**
 * A wheel as seen from outside with the least gaps round it: out of the tread a bar as long as the least gap, larger than life,
 * across it the needed one, and the place's number at its end. Drawing geometry only; the wheel's middle is at 0, 0.
 *
 * @param box the part that is shown
 * @param tyre radius of the tyre
 * @param rim radius of its rim
 * @param hours the hours' texts
 * @param bars the places that somebody looked at
 * @param open where nobody looked
 */
public record ClockDrawing(String box, String tyre, String rim, List<Hour> hours, List<Bar> bars, List<Hour> open) {
    /** Gaps are drawn so many times as long as they are. */
    private static final double LARGER = 2.4;

    private static final double LONGEST = 92;
    private static final double RING = 26;
    private static final double AROUND = 190;

    /** A text at an hour. */
    public record Hour(String text, String x, String y) {}

    /**
     * A place.
     *
     * @param gap the bar of the least gap
     * @param needed the stroke across it
     * @param x where its number stands
     */
    public record Bar(String gap, String needed, String x, String y) {}

    /** A place's hour with its least and its needed gap in mm. */
    public record At(double clock, double gap, double needed) {}

    public static ClockDrawing of(double tyre, double rim, List<At> places, List<Double> unseen) {
        List<Hour> hours = new ArrayList<>();
        for (int hour = 3; hour <= 12; hour += 3) {
            double angle = Math.toRadians(30 * hour);
            hours.add(new Hour(
                    Integer.toString(hour),
                    plain((tyre - 34) * Math.sin(angle)),
                    plain(-(tyre - 34) * Math.cos(angle) + 10)));
        }
        List<Bar> bars = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            bars.add(bar(tyre, places.get(i), beside(places, i)));
        }
        List<Hour> open = new ArrayList<>();
        for (double clock : unseen) {
            double angle = Math.toRadians(30 * clock);
            double out = tyre + RING + 14;
            open.add(new Hour("", plain(out * Math.sin(angle)), plain(-out * Math.cos(angle))));
        }
        double half = tyre + AROUND;
        return new ClockDrawing(
                plain(-half) + " " + plain(-half) + " " + plain(2 * half) + " " + plain(2 * half),
                plain(tyre),
                plain(rim),
                hours,
                bars,
                open);
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

    private static Bar bar(double tyre, At at, double off) {
        double angle = Math.toRadians(30 * at.clock() + off);
        double sin = Math.sin(angle);
        double cos = -Math.cos(angle);
        double gap = Math.max(-LONGEST, Math.min(LONGEST, at.gap() * LARGER));
        double needed = tyre + Math.min(LONGEST, at.needed() * LARGER);
        double ring = tyre + LONGEST + RING + 18;
        return new Bar(
                "M" + plain(tyre * sin) + " " + plain(tyre * cos) + "L" + plain((tyre + gap) * sin) + " "
                        + plain((tyre + gap) * cos),
                "M" + plain(needed * sin - 13 * cos) + " " + plain(needed * cos + 13 * sin) + "L"
                        + plain(needed * sin + 13 * cos) + " " + plain(needed * cos - 13 * sin),
                plain(ring * sin),
                plain(ring * cos));
    }
}
