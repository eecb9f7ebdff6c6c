package abbex.app.settle;

import abbex.core.heights.Method;
import abbex.core.heights.Stage;
import abbex.core.settling.Odometer;
import abbex.core.settling.Settling;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * How a vehicle has settled since it was set down, by one method that all four corners have on every sheet. Heights in mm in the
 * order LF, RF, RR, LR.
 *
 * @param arrived how far each end stood above its height when it was set down, mm; empty where that was not measured
 * @param trimmed how far each end was let down when it was back, after it was read, mm; nothing where nothing was turned then
 * @param looks the set-down first; those without a distance are seen and not used
 * @param settling what all with a distance say
 * @param settles an end whose springs are new; another stands where it stands
 * @param settled it was measured settled: it is not forecast to sink further
 */
public record Course(
        Method method,
        List<OptionalDouble> arrived,
        List<Double> trimmed,
        List<Look> looks,
        Settling settling,
        PerEnd<Boolean> settles,
        boolean settled) {
    /**
     * A sheet.
     *
     * @param driven since the set-down, km; empty where no odometer tells it
     * @param odometer as it was read
     */
    public record Look(
            UUID sheet,
            Stage stage,
            Instant at,
            OptionalDouble driven,
            Optional<Odometer> odometer,
            double[] heights) {}

    public Look setDown() {
        return looks.get(0);
    }

    /** The last one that has a distance. */
    public Look last() {
        return looks.stream()
                .filter(look -> look.driven().isPresent())
                .reduce((one, other) -> other)
                .orElseThrow();
    }

    /** It was measured again after it was driven. */
    public boolean driven() {
        return last() != setDown();
    }

    /** How far an end has sunk since the set-down on a sheet, mm. */
    public double sunk(Look look, End end) {
        return mean(setDown().heights(), end) - mean(look.heights(), end);
    }

    /** How far an end sinks in all, mm, down positive; with its interval of 95 per cent. */
    public Settling.Foreseen sinks(End end, double km) {
        if (!settles.get(end) || settled) {
            double stands = sunk(last(), end);
            return new Settling.Foreseen(stands, stands, stands);
        }
        Settling.Foreseen stands = settling.mean(corner(end.left()), corner(end.right()), km);
        double from = mean(setDown().heights(), end);
        return new Settling.Foreseen(from - stands.mean(), from - stands.most(), from - stands.least());
    }

    /** How far an end came down from as it arrived, once it has sunk so far, mm. */
    public OptionalDouble drop(End end, double sunk) {
        OptionalDouble from = arrived.get(end.ordinal());
        return from.isPresent() ? OptionalDouble.of(from.getAsDouble() + sunk) : OptionalDouble.empty();
    }

    /** What all corners sank in all by what was read alone, mm; empty before most of it is over. */
    public OptionalDouble seenTotal() {
        return Settling.seenTotal(
                (sunk(last(), End.FRONT) + sunk(last(), End.REAR)) / 2,
                last().driven().orElse(0));
    }

    /** The same as it stands now: with what was turned on the return. */
    public OptionalDouble dropNow(End end, double sunk) {
        return drop(end, sunk + trimmed.get(end.ordinal()));
    }

    static int corner(Corner corner) {
        return Corner.WALK.indexOf(corner);
    }

    static double mean(double[] heights, End end) {
        return (heights[corner(end.left())] + heights[corner(end.right())]) / 2;
    }
}
