package abbex.core.heights;

import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;

/**
 * What the readings of a job are made of and none says by itself, in millimetres. A sheet is counted from 0; wheels are named
 * by the first sheet that stood on them.
 */
sealed interface Unknown {
    /** The width within which it stays by itself, one standard deviation in mm. */
    default double prior(PriorDeviations deviations) {
        return PriorDeviations.FREE;
    }

    /** Where a lip stands over the body's datum; each work on its arch makes another of it. */
    record Lip(Corner corner, int worked) implements Unknown {}

    /** Where a point of the frame stands over the datum. */
    record FramePoint(Corner corner) implements Unknown {}

    /** Where the frame points lie against where they usually do, in half wheelbases and half tracks. */
    enum FramePlace implements Unknown {
        /** Front and rear apart. */
        APART,
        /** Their middle ahead of the wheels'. */
        AHEAD,
        /** From the middle of the vehicle. */
        OUTBOARD
    }

    /** How the body moved against the first sheet. */
    record Moved(Freedom freedom, int sheet) implements Unknown {
        @Override
        public double prior(PriorDeviations deviations) {
            return switch (freedom) {
                case TWIST -> deviations.diagonal() / 4;
                case ROLL -> deviations.roll();
                default -> PriorDeviations.FREE;
            };
        }
    }

    /** How what was measured in place of this vehicle stood against it: in heave or pitch, one and the same for all its heights. */
    record StandIn(Freedom freedom, int sheet) implements Unknown {}

    /** A way in which a body moves. */
    enum Freedom {
        HEAVE,
        PITCH,
        ROLL,
        TWIST
    }

    /** Loaded radius of the tyres of an axle. */
    record Loaded(int wheels, End end) implements Unknown {}

    /** Half of what the loaded radii of an axle differ by, left over right. */
    record Sides(int wheels, End end) implements Unknown {
        @Override
        public double prior(PriorDeviations deviations) {
            return deviations.sides() / 2;
        }
    }

    /** What all loaded radii changed by since the first sheet on these wheels. */
    record Tyres(int sheet) implements Unknown {
        @Override
        public double prior(PriorDeviations deviations) {
            return deviations.tyresOfSheet();
        }
    }

    /** What one loaded radius changed by beside the others. */
    record Tyre(int sheet, Corner corner) implements Unknown {
        @Override
        public double prior(PriorDeviations deviations) {
            return deviations.tyre();
        }
    }

    /** Radius of the rims of an axle, to the place that is read. */
    record Rim(int wheels, End end) implements Unknown {}

    /** What the rim of one wheel differs by from its axle's. */
    record Wheel(int wheels, Corner corner) implements Unknown {
        @Override
        public double prior(PriorDeviations deviations) {
            return deviations.wheel();
        }
    }

    /** Radius of the tyres of an axle without load. */
    record Radius(int wheels, End end) implements Unknown {}

    /** What the unloaded radius of one tyre differs by from its axle's. */
    record Tread(int wheels, Corner corner) implements Unknown {
        @Override
        public double prior(PriorDeviations deviations) {
            return deviations.tread();
        }
    }
}
