package abbex.app.day;

import abbex.app.page.Words;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The page of a day.
 *
 * @param head the day in words
 * @param on the day, ISO
 * @param sum how good the plan is, in a sentence; empty before the first
 * @param shut the shop does not work on it
 * @param today it is the day of the shop
 * @param past it is over: nothing of it is planned again
 * @param drawing null before the day was planned, and where nothing fits in it
 */
public record DayView(
        String head,
        String on,
        String before,
        String after,
        int version,
        boolean shut,
        boolean today,
        boolean past,
        String sum,
        @Nullable Drawing drawing,
        List<Words.Said> says,
        List<String> price,
        String put,
        List<Vehicle> vehicles,
        List<Out> out) {
    /** Width of the drawing, and of its column of names. */
    static final int WIDTH = 860;

    static final int NAMES = 100;

    /** For half of the last hour's text. */
    static final int MARGIN = 20;

    /**
     * The day by bays, and by people below.
     *
     * @param opens minutes of the clock at its left edge
     * @param minutes from its left edge to its right one
     * @param shut before the shop opens and after it closes
     * @param now where the clock stands; negative where it is another day
     */
    public record Drawing(
            int height,
            int opens,
            int minutes,
            List<Tick> ticks,
            List<Bar> pauses,
            List<Bar> shut,
            double now,
            List<Row> bays,
            List<Row> people) {
        public String box() {
            return "0 0 " + WIDTH + " " + height;
        }
    }

    /** A line at a full hour. */
    public record Tick(double x, String text) {}

    /** A stretch of time. */
    public record Bar(double x, double width) {
        public double middle() {
            return x + width / 2;
        }
    }

    /** A bay or a person. */
    public record Row(int y, int height, String name, boolean lift, List<Block> blocks) {}

    /**
     * A vehicle in a row.
     *
     * @param stints what is worked; between them it stands
     * @param calls stints to which a second is called
     * @param flag where it is promised; negative for none
     * @param mark look where the promise is not kept or hangs by a thread; empty for none
     */
    public record Block(
            String id,
            Bar bar,
            String plate,
            String who,
            boolean begun,
            boolean put,
            String said,
            List<Bar> stints,
            List<Call> calls,
            double flag,
            String mark) {}

    /** Who is called, and when. */
    public record Call(Bar bar, String who) {}

    /**
     * A vehicle below the drawing.
     *
     * @param line where and when, in a sentence
     * @param more sentences on what it rests on
     */
    public record Vehicle(
            String id,
            String plate,
            String name,
            String mark,
            String word,
            String line,
            List<String> more,
            boolean left,
            boolean begun,
            boolean put,
            String bay,
            String at,
            String lead,
            String comes,
            String ready,
            long agreed) {}

    /** A vehicle that somebody left out by hand. */
    public record Out(String id, String plate) {}
}
