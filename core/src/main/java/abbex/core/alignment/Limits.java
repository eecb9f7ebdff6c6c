package abbex.core.alignment;

import java.util.Optional;

/** What an axle's maker allows, in degrees; of a wheel or of both together. Empty where nobody entered it. */
public record Limits(Optional<Range> camber, Optional<Range> toe) {
    public static final Limits NONE = new Limits(Optional.empty(), Optional.empty());

    /** From the least to the most. */
    public record Range(double least, double most) {
        public Range {
            if (!(least <= most)) {
                throw new IllegalArgumentException("from " + least + " to " + most);
            }
        }

        /** How far a value lies outside, with its sign; nothing within. A hundredth of a degree is no machine's. */
        public double beyond(double value) {
            double off = value < least ? value - least : value > most ? value - most : 0;
            return Math.abs(off) < 0.005 ? 0 : off;
        }

        /** What is given for both wheels together is half of it for each. */
        public Range each() {
            return new Range(least / 2, most / 2);
        }
    }
}
