package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.truck.LeafSpan;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A part of a kit that moves a spring's seat or the wheel itself by so much, whatever the spring: a row of the ledger. Moves are
 * positive where they let the body down. Those of a seat count at the wheel divided by the spring's motion ratio.
 */
public sealed interface Part
        permits BagLift,
                Flipped,
                ForkTubes,
                Linked,
                Part.AtWheel,
                Part.Isolator,
                Part.LeafEyes,
                Part.Perch,
                Part.Pocket,
                Part.SeatShape,
                Part.Stack,
                Part.Turns,
                Shackled {
    /** How far it lets the body down where it acts, mm. */
    double move();

    /** One standard deviation of that, mm. */
    double standard();

    /** True when it acts at the wheel itself, 1 : 1. */
    default boolean atWheel() {
        return false;
    }

    /** False for what lowers the body and leaves the suspension where it is. */
    default boolean usesTravel() {
        return true;
    }

    /** A kit's printed number is of it, and of no spring. */
    default boolean wholeKit() {
        return row() == Row.LEAF || row() == Row.FLIP || row() == Row.ARCH || row() == Row.LINK;
    }

    /** How far it turns a live axle's pinion, degrees, its nose up positive. */
    default Told nose() {
        return Told.measured(0, 0);
    }

    /** What of it cannot be. */
    default List<KitFinding> troubles(End end) {
        return List.of();
    }

    /** Which row of the ledger it is. */
    Row row();

    /** The formula and what goes into it. */
    Reason reason();

    /** A threaded perch, or a collar on a thread, moved by so much: measured along the thread. */
    record Perch(Length down) implements Part {
        private static final double READ = 0.5;

        @Override
        public double move() {
            return down.mm();
        }

        @Override
        public double standard() {
            return READ;
        }

        @Override
        public Row row() {
            return Row.PERCH;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.PERCH, down);
        }
    }

    /** A threaded perch or a jack bolt turned: turns down positive, pitch the thread's. */
    record Turns(double down, Length pitch, boolean jackBolt) implements Part {
        /** Turns are counted to an eighth. */
        private static final double COUNTED = 0.125 / 2;

        public Turns {
            if (pitch.sign() <= 0) {
                throw new IllegalArgumentException("turns: pitch " + pitch + "; more than 0");
            }
        }

        @Override
        public double move() {
            return down * pitch.mm();
        }

        @Override
        public double standard() {
            return COUNTED * pitch.mm();
        }

        @Override
        public Row row() {
            return jackBolt ? Row.JACK_BOLT : Row.PERCH;
        }

        @Override
        public Reason reason() {
            return Reason.of(jackBolt ? KitFormula.JACK_BOLT : KitFormula.PERCH_TURNS, BigDecimal.valueOf(down), pitch);
        }
    }

    /** Rings or shims under a spring: the stack before and after. */
    record Stack(Length was, Length is) implements Part {
        private static final double MADE = 0.1;

        @Override
        public double move() {
            return was.minus(is).mm();
        }

        @Override
        public double standard() {
            return MADE;
        }

        @Override
        public Row row() {
            return Row.STACK;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.STACK, was, is);
        }
    }

    /** An isolator or a top mount of another thickness; rubber gives. */
    record Isolator(Length was, Length is) implements Part {
        private static final double RUBBER = 1;

        @Override
        public double move() {
            return was.minus(is).mm();
        }

        @Override
        public double standard() {
            return RUBBER;
        }

        @Override
        public Row row() {
            return Row.ISOLATOR;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.ISOLATOR, was, is);
        }
    }

    /**
     * Eyes of a leaf pack moved against the frame, up positive: another shackle, hangers hung elsewhere.
     *
     * @param fixed from the fixed eye to the axle; empty where nobody measured: half the pack, more or less
     * @param shackled from the axle to the shackled eye
     */
    record LeafEyes(Length fixedEye, Length shackledEye, Optional<Length> fixed, Optional<Length> shackled)
            implements Part {
        private static final double USUAL = 650;

        /** How far from the middle of its pack an axle may sit where nobody measured, as a part of the pack (common practice). */
        private static final double ASIDE = 0.05;

        private static final double READ = 1;

        /** A pack's length where nobody measured it, as a part of it (common practice). */
        private static final double LEVERS = 0.06;

        public LeafSpan span() {
            return new LeafSpan(
                    fixed.map(Length::mm).orElse(USUAL),
                    shackled.map(Length::mm).orElse(USUAL));
        }

        /** By the pack's length, as well as it is known. */
        @Override
        public Told nose() {
            double up = -span().turn(fixedEye.mm(), shackledEye.mm());
            double lever = fixed.isPresent() && shackled.isPresent() ? 0 : LEVERS;
            double read = Math.toDegrees(Math.sqrt(2) * READ / (span().fixed() + span().shackled()));
            return Told.measured(up, Math.hypot(read, lever * up));
        }

        @Override
        public double move() {
            return span().axle(fixedEye.mm(), shackledEye.mm());
        }

        @Override
        public double standard() {
            boolean measured = fixed.isPresent() && shackled.isPresent();
            double lever = measured ? 0 : ASIDE * Math.abs(shackledEye.mm() - fixedEye.mm());
            return Math.hypot(READ, lever);
        }

        @Override
        public boolean atWheel() {
            return true;
        }

        @Override
        public Row row() {
            return Row.LEAF;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.LEAF, fixedEye, shackledEye);
        }
    }

    /**
     * A strut's seat of another height or slope: each measured from the same datum on its low and its high side. The pad's ramp
     * and where the spring's end lies decide what the coil stands on, so that all between the two sides' changes is as likely.
     */
    record SeatShape(Length lowWas, Length highWas, Length lowIs, Length highIs) implements Part {
        private Length low() {
            return lowWas.minus(lowIs);
        }

        private Length high() {
            return highWas.minus(highIs);
        }

        /** The mean of both sides' changes: a first guess. */
        public Length mean() {
            return low().plus(high()).dividedBy(2);
        }

        /** The change of the side that lets the body down least. */
        public Length least() {
            return low().compareTo(high()) < 0 ? low() : high();
        }

        /** The change of the side that lets it down most. */
        public Length most() {
            return low().compareTo(high()) < 0 ? high() : low();
        }

        /** Nobody can say whether the body rises or falls. */
        public boolean untellable() {
            return least().sign() < 0 && most().sign() > 0;
        }

        /** How much the new seat is out of square, high side less low side. */
        public Length across() {
            return highIs.minus(lowIs);
        }

        /** The tilt in radians over a seat of so many mm. */
        public double tilt(Length diameter) {
            return Math.atan(across().mm() / diameter.mm());
        }

        @Override
        public double move() {
            return mean().mm();
        }

        /** Of a rectangle from least to most (JCGM 100:2008, 4.3.7). */
        @Override
        public double standard() {
            return most().minus(least()).mm() / Math.sqrt(12);
        }

        @Override
        public Row row() {
            return Row.SEAT;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.SEAT_SHAPE, least(), most());
        }
    }

    /** A deeper pocket for the spring in its arm. */
    record Pocket(Length depth) implements Part {
        private static final double MADE = 0.5;

        @Override
        public double move() {
            return depth.mm();
        }

        @Override
        public double standard() {
            return MADE;
        }

        @Override
        public Row row() {
            return Row.POCKET;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.POCKET, depth);
        }
    }

    /** What goes one to one: an upright with its spindle higher, a block out or in, an axle moved against its springs. */
    record AtWheel(Length down, Kind kind) implements Part {
        private static final double MADE = 0.5;

        /** What it is. */
        public enum Kind {
            SPINDLE,
            /** A subframe higher under its body: the wheels go up with it. */
            SUBFRAME,
            BLOCK,
            LESS_ARCH,
            FLIPPED_AXLE
        }

        @Override
        public double move() {
            return down.mm();
        }

        /** A leaf's loaded arch is not known better than a few millimetres. */
        @Override
        public double standard() {
            return kind == Kind.LESS_ARCH ? 4 : MADE;
        }

        @Override
        public boolean atWheel() {
            return true;
        }

        @Override
        public boolean usesTravel() {
            return kind != Kind.SPINDLE && kind != Kind.SUBFRAME;
        }

        @Override
        public Row row() {
            return kind == Kind.LESS_ARCH ? Row.ARCH : Row.ONE_TO_ONE;
        }

        @Override
        public Reason reason() {
            return Reason.of(KitFormula.ONE_TO_ONE, down);
        }
    }
}
