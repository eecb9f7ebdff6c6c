package abbex.core.kit;

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
