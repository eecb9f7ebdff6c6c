package abbex.core.setting;

import abbex.core.kit.Stacks;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What can be done at one corner, from where it stands: leaving it always, and no move twice.
 *
 * @param options by their move, the lowest first
 */
public record Adjuster(List<Option> options) {
    /** A ring is turned in about a minute a turn once the wheel is off; the wheel takes ten (common practice, from memory). */
    private static final double WHEEL_MINUTES = 10;

    /** A rod's end is taken off, the rod turned and the end put back (common practice, from memory). */
    private static final double ROD_MINUTES = 15;

    private static final double AIR_MINUTES = 3;
    private static final double TURN_MINUTES = 1;
    /** A stack is changed with the spring out (common practice, from memory). */
    private static final double SWAP_MINUTES = 35;

    public Adjuster {
        options = options.stream()
                .sorted(Comparator.comparingDouble(Option::move))
                .toList();
        if (options.stream().noneMatch(o -> !o.changes() && o.move() == 0)) {
            throw new IllegalArgumentException("an adjuster that cannot be left alone");
        }
    }

    /** Nothing can be done there. */
    public static Adjuster fixed() {
        return new Adjuster(List.of(Option.LEAVE));
    }

    /**
     * A thread.
     *
     * @param pitch rise of the seat in a turn
     * @param perTurn in how many parts a turn is made: 4 for quarters
     * @param down parts that are left downwards, 0 or more
     * @param up parts that are left upwards
     * @param ratio rise at the wheel for a rise of the seat
     */
    public static Adjuster thread(Length pitch, int perTurn, int down, int up, double ratio) {
        return thread(pitch, perTurn, down, up, ratio, WHEEL_MINUTES);
    }

    /** The thread of an adjustable rod: the same, for other work. */
    public static Adjuster rod(Length pitch, int perTurn, int down, int up, double ratio) {
        return thread(pitch, perTurn, down, up, ratio, ROD_MINUTES);
    }

    /**
     * An air bag with its own valve.
     *
     * @param now what is in it
     * @param step by which a gauge is read, above 0
     * @param perKPa rise at the wheel for 1 kPa more, mm
     */
    public static Adjuster air(Pressure now, Pressure least, Pressure most, Pressure step, double perKPa) {
        List<Option> options = new ArrayList<>(List.of(Option.LEAVE));
        int down = steps(now.kPa() - least.kPa(), step);
        int up = steps(most.kPa() - now.kPa(), step);
        for (int n = -down; n <= up; n++) {
            if (n != 0 && now.kPa() + n * step.kPa() >= least.kPa() - 1e-9) {
                double more = n * step.kPa();
                options.add(new Option(more * perKPa, AIR_MINUTES, new How.Air(now, new Pressure(now.kPa() + more))));
            }
        }
        return new Adjuster(options);
    }

    private static int steps(double kPa, Pressure step) {
        return Math.max(0, (int) Math.floor(kPa / step.kPa() + 1e-9));
    }

    private static Adjuster thread(Length pitch, int perTurn, int down, int up, double ratio, double minutes) {
        List<Option> options = new ArrayList<>();
        for (int parts = -down; parts <= up; parts++) {
            double turns = (double) parts / perTurn;
            options.add(
                    parts == 0
                            ? Option.LEAVE
                            : new Option(
                                    pitch.mm() * turns * ratio,
                                    minutes + Math.abs(turns) * TURN_MINUTES,
                                    new How.Turns(parts, perTurn)));
        }
        return new Adjuster(options);
    }

    /**
     * A stack of pieces.
     *
     * @param sizes with how many there are of each for this corner, those of the present stack counted in
     * @param present what lies there
     * @param ratio rise at the wheel for a rise of the seat
     */
    public static Adjuster stack(List<Stacks.Size> sizes, List<Length> present, double ratio) {
        Length height = present.stream().reduce(Length.ZERO, Length::plus);
        List<Option> options = new ArrayList<>();
        for (Stacks.Stack stack : Stacks.all(sizes)) {
            if (stack.height().equals(height)) {
                continue;
            }
            List<Length> out = without(present, stack.pieces());
            List<Length> in = without(stack.pieces(), present);
            options.add(new Option(stack.height().minus(height).mm() * ratio, SWAP_MINUTES, new How.Swap(out, in)));
        }
        options.add(Option.LEAVE);
        return new Adjuster(options);
    }

    private static List<Length> without(List<Length> pieces, List<Length> those) {
        List<Length> left = new ArrayList<>(pieces);
        those.forEach(left::remove);
        return left;
    }

    double least() {
        return options.get(0).move();
    }

    double most() {
        return options.get(options.size() - 1).move();
    }
}
