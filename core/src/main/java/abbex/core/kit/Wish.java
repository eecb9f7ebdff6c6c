package abbex.core.kit;

import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.OptionalDouble;

/** What is to come out even. */
public enum Wish {
    /** The body keeps its attitude: both ends come down alike. */
    KEEP_RAKE,
    EQUAL_GAPS,
    EQUAL_DROP,
    LEVEL_FRAME,
    /** Heights that the customer names. */
    STATED;

    /**
     * A vehicle between its ends, mm; what was not measured is empty.
     *
     * @param gap from tyre to lip, rear less front
     * @param frame over the ground at the axles, rear less front: positive is nose-down
     */
    public record Attitude(OptionalDouble gap, OptionalDouble frame) {
        /** After drops of both ends. */
        public Attitude after(double front, double rear) {
            double by = front - rear;
            return new Attitude(plus(gap, by), plus(frame, by));
        }

        private static OptionalDouble plus(OptionalDouble of, double by) {
            return of.isPresent() ? OptionalDouble.of(of.getAsDouble() + by) : OptionalDouble.empty();
        }
    }

    /** Within this an end stands where it is wished, mm (ours: 1/16 in). */
    private static final double MET = 1.5;

    /**
     * How much further each end has to come down than planned, mm; empty where that needs what was not measured. But for heights
     * that are stated the front is taken as planned.
     *
     * @param drops as planned
     * @param gaps from tyre to lip as they are
     * @param stated the same as they are wished
     */
    public PerEnd<OptionalDouble> further(
            Attitude now, PerEnd<Double> drops, PerEnd<OptionalDouble> gaps, PerEnd<OptionalDouble> stated) {
        if (this == STATED) {
            return PerEnd.of(end -> gaps.get(end).isPresent() && stated.get(end).isPresent()
                    ? OptionalDouble.of(gaps.get(end).getAsDouble()
                            - drops.get(end)
                            - stated.get(end).getAsDouble())
                    : OptionalDouble.empty());
        }
        OptionalDouble more = rearMore(now);
        return PerEnd.of(end -> end == End.FRONT || more.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(drops.get(End.FRONT) + more.getAsDouble() - drops.get(End.REAR)));
    }

    /** True where an end needs no more than what no one sees. */
    public static boolean met(double further) {
        return Math.abs(further) < MET;
    }

    /**
     * How much further the rear has to come down than the front, mm; empty where it needs what was not measured, and for heights
     * that are stated.
     */
    public OptionalDouble rearMore(Attitude now) {
        return switch (this) {
            case KEEP_RAKE, EQUAL_DROP -> OptionalDouble.of(0);
            case EQUAL_GAPS -> now.gap();
            case LEVEL_FRAME -> now.frame();
            case STATED -> OptionalDouble.empty();
        };
    }
}
