package abbex.core.torque;

import abbex.core.units.Torque;
import java.util.Optional;

/** What a thread can bear: T = K · d · F, with F a part of the proof load. A figure beyond is asked about, never refused. */
public final class Plausible {
    private static final double DRY = 0.2;
    private static final double LUBRICATED = 0.15;

    /** Bolts are tightened to about three quarters of proof (common practice). */
    private static final double USUAL = 0.75;

    /** Less than that holds nothing that moves (ours). */
    private static final double LEAST = 0.2;

    private Plausible() {}

    /**
     * What is usual.
     *
     * @param usual dry, at three quarters of proof
     * @param least so much at least holds
     * @param most beyond that, dry, the bolt is past proof
     */
    public record Range(Torque least, Torque usual, Torque most) {
        public boolean holds(Torque torque) {
            return torque.newtonMetres() >= least.newtonMetres() && torque.newtonMetres() <= most.newtonMetres();
        }
    }

    /**
     * The range of a thread.
     *
     * @param of empty where nobody read the head: from the least class that suspension bolts have to the greatest
     */
    public static Range range(ScrewThread thread, Optional<PropertyClass> of) {
        double metres = thread.diameter() / 1000;
        double low = of.orElse(PropertyClass.C8_8).proofLoad(thread) * metres;
        double high = of.orElse(PropertyClass.C12_9).proofLoad(thread) * metres;
        return new Range(
                new Torque(LUBRICATED * LEAST * low),
                new Torque(DRY * USUAL * of.orElse(PropertyClass.C10_9).proofLoad(thread) * metres),
                new Torque(DRY * high));
    }
}
