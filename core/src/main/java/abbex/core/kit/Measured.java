package abbex.core.kit;

import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.springs.SpringLaw.Point;
import abbex.core.vehicle.Architecture;
import java.util.List;
import java.util.Optional;

/** What a shop measures of an end before it plans, each as well as its instrument tells it (common practice). */
public final class Measured {
    /** A corner on a scale. */
    private static final double SCALE = 0.01;

    /** Spring and wheel moved together on a jack. */
    private static final double RATIO = 0.01;

    /** A rod, or the room between seats, by tape, mm. */
    private static final double TAPED = 1.5;

    /** A rod pressed down on a bathroom scale, N. */
    private static final double PRESSED = 10;

    /** A damper's length by its sheet, mm. */
    private static final double PRINTED = 2;

    /** A spring whose solid length nobody told goes down to this part of its free length: far enough to say nothing. */
    private static final double ANY_SOLID = 0.1;

    private Measured() {}

    /** The sprung load at a wheel, N. */
    public static Told load(double newtons) {
        return Told.measured(newtons, SCALE * newtons);
    }

    /** The same by a scale under the wheel, N, which reads the unsprung mass too; never less than half of what it reads. */
    public static Told onScale(double newtons, Architecture architecture) {
        Told unsprung = Typical.unsprung(architecture);
        return Told.measured(
                Math.max(newtons / 2, newtons - unsprung.value()), Math.hypot(SCALE * newtons, unsprung.standard()));
    }

    public static Told ratio(double ratio) {
        return Told.measured(ratio, RATIO);
    }

    /** A length in mm. */
    public static Told taped(double mm) {
        return Told.measured(mm, TAPED);
    }

    /** A gas force in N. */
    public static Told gas(double newtons) {
        return Told.measured(newtons, PRESSED);
    }

    /** A damper's length in mm. */
    public static Told damper(double mm) {
        return Told.printed(mm, PRINTED);
    }

    /**
     * A spring of one rate.
     *
     * @param solid length with its coils together, mm; less than the free length
     * @param bench true when it was measured on a bench, false by its maker's figures
     */
    public static SpringFacts spring(double rate, double free, Optional<Double> solid, boolean bench) {
        Spring spring = new Spring(new SpringLaw.Linear(rate, free - solid.orElse(ANY_SOLID * free)), free);
        SpringFacts facts = facts(spring, bench);
        return solid.isPresent() ? facts : facts.withoutSolid();
    }

    /** A progressive spring by its rates, solid where they end; empty where that is further than it is long. */
    public static Optional<SpringFacts> progressive(List<Point> rates, double free, boolean bench) {
        SpringLaw law = SpringLaw.Progressive.of(rates);
        return free <= law.solid() ? Optional.empty() : Optional.of(facts(new Spring(law, free), bench));
    }

    /**
     * One of two springs on each other.
     *
     * @param rate N/mm
     * @param free length, mm
     * @param solid length with its coils together, mm; less than the free length, empty where nobody told
     */
    public record Plain(double rate, double free, Optional<Double> solid) {
        private double travel() {
            return free - solid.orElse(ANY_SOLID * free);
        }
    }

    /** Two springs on each other: both work until that one is solid which is so under less force. */
    public static SpringFacts dual(Plain one, Plain other, boolean bench) {
        boolean first = one.rate() * one.travel() < other.rate() * other.travel();
        Plain soft = first ? one : other;
        Plain stiff = first ? other : one;
        SpringLaw law = new SpringLaw.Dual(soft.rate(), soft.travel(), stiff.rate(), stiff.travel());
        SpringFacts facts = facts(new Spring(law, one.free() + other.free()), bench);
        return one.solid().isPresent() && other.solid().isPresent() ? facts : facts.withoutSolid();
    }

    private static SpringFacts facts(Spring spring, boolean bench) {
        return bench ? SpringFacts.measured(spring) : SpringFacts.printed(spring);
    }
}
