package abbex.core.setting;

import abbex.core.vehicle.Corner;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Heights that were expected after a turn, mm, LF RF RR LR in the order of {@link Corner}, up positive.
 *
 * @param standard one standard deviation of what is read there then, mm, positive: tape, the reading before and what the turn
 *     may be off by
 */
public record Forecast(double[] heights, double[] standard) {
    /** What were written into each other's places. */
    public enum Exchanged {
        SIDES,
        ENDS;

        private Corner of(Corner corner) {
            return this == ENDS
                    ? corner.alongside()
                    : corner.isLeft() ? corner.end().right() : corner.end().left();
        }
    }

    /**
     * What is expected after a turn, each height read twice and set down twice.
     *
     * @param before as it was read before, mm
     * @param moved what the turn was to do, mm, up positive
     * @param off one standard deviation of that, mm
     * @param tape the same of a reading, mm
     * @param scatter the same of how a set-down falls, mm
     */
    public static Forecast after(double[] before, double[] moved, double[] off, double[] tape, double scatter) {
        double[] expected = new double[before.length];
        double[] standard = new double[before.length];
        for (int c = 0; c < before.length; c++) {
            expected[c] = before[c] + moved[c];
            standard[c] = Math.hypot(Math.sqrt(2) * Math.hypot(scatter, tape[c]), off[c]);
        }
        return new Forecast(expected, standard);
    }

    /** Undone, chi-square has to fall by three standard deviations of one reading (ours). */
    private static final double GAIN = 9;

    /** And what is left is ordinary: one in twenty of four readings is more (chi-square table, 4 degrees of freedom: 9.488). */
    private static final double ORDINARY = 9.488;

    /** That all goes together once sides or ends are exchanged, and not as typed; empty where it does not. */
    public Optional<Exchanged> typed(double[] typed) {
        double as = square(typed, null);
        return Stream.of(Exchanged.values())
                .filter(which -> square(typed, which) < Math.min(ORDINARY, as - GAIN))
                .findFirst();
    }

    private double square(double[] typed, @Nullable Exchanged which) {
        double sum = 0;
        for (Corner corner : Corner.values()) {
            int from = (which == null ? corner : which.of(corner)).ordinal();
            double off = (typed[from] - heights[corner.ordinal()]) / standard[corner.ordinal()];
            sum += off * off;
        }
        return sum;
    }
}
