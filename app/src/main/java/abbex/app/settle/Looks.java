package abbex.app.settle;

import abbex.app.arrive.Job;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.set.Settings;
import abbex.core.heights.Assessment;
import abbex.core.heights.CornerHeights;
import abbex.core.heights.Method;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * The sheets of a lowered vehicle as one course of heights, whichever ways to measure each of them has: all readings together
 * say how far a corner came down between two visits, suspected ones held out. Heights in mm, corners LF, RF, RR, LR.
 *
 * @param way in whose terms they are told
 * @param seen the set-down first
 * @param now as the last sheet stands after what was turned on it
 * @param arrived how far each end stood above the set-down when it came; empty where that is not told
 * @param tape one standard deviation of a height, mm
 */
record Looks(Method way, List<Seen> seen, double[] now, List<OptionalDouble> arrived, double tape) {
    private static final List<Method> WAYS = List.of(Method.HF, Method.RIM, Method.GF);

    /** What a tape reads at a corner on a good day, one standard deviation, mm. */
    private static final double LEAST = 0.4;

    /** A sheet with its heights before anything was turned on it. */
    record Seen(SheetData sheet, double[] heights) {}

    SheetData setDown() {
        return seen.get(0).sheet();
    }

    /** Empty while the set-down does not tell all four corners by any way. */
    static Optional<Looks> of(Job job, JobSheets all, List<SheetData> since, List<Settings.Turned> turned) {
        Assessment judged = all.judge(job);
        int first = all.sheets().indexOf(since.get(0));
        return WAYS.stream()
                .flatMap(way -> judged.heights(first, way).stream())
                .findFirst()
                .map(base -> of(judged, all, since, turned, base));
    }

    private static Looks of(
            Assessment judged, JobSheets all, List<SheetData> since, List<Settings.Turned> turned, CornerHeights base) {
        int first = all.sheets().indexOf(since.get(0));
        List<Seen> seen = new ArrayList<>();
        double[] now = base.mm();
        double tape = Math.max(LEAST, widest(base));
        for (SheetData sheet : since) {
            Optional<double[]> heights = sheet == since.get(0)
                    ? Optional.of(base.mm())
                    : down(judged, first, all.sheets().indexOf(sheet)).map(down -> lowered(base.mm(), down));
            Optional<double[]> untouched = sheet == since.get(0)
                    ? Optional.empty()
                    : turned.stream()
                            .filter(t -> t.sheet().equals(sheet.row().id()) && t.method() == base.method())
                            .map(Settings.Turned::before)
                            .findFirst();
            if (heights.isPresent() || untouched.isPresent()) {
                seen.add(new Seen(sheet, untouched.or(() -> heights).orElseThrow()));
                now = heights.or(() -> untouched).orElseThrow();
            }
        }
        Optional<double[]> came = first == 0 ? Optional.empty() : down(judged, 0, first);
        List<OptionalDouble> arrived = Stream.of(End.values())
                .map(end -> came.map(down -> OptionalDouble.of(Course.mean(down, end)))
                        .orElse(OptionalDouble.empty()))
                .toList();
        return new Looks(base.method(), seen, now, arrived, tape);
    }

    private static double widest(CornerHeights heights) {
        return Corner.WALK.stream().mapToDouble(heights::standard).max().orElse(0);
    }

    private static double[] lowered(double[] from, double[] down) {
        double[] to = from.clone();
        for (int c = 0; c < to.length; c++) {
            to[c] -= down[c];
        }
        return to;
    }

    /** How far all four corners came down between two sheets; empty where one is not told. */
    private static Optional<double[]> down(Assessment judged, int from, int to) {
        double[] down = new double[Corner.WALK.size()];
        for (Corner corner : Corner.WALK) {
            Optional<Estimate> by = judged.down(from, to, corner);
            if (by.isEmpty()) {
                return Optional.empty();
            }
            down[corner.ordinal()] = by.get().value().mm();
        }
        return Optional.of(down);
    }
}
