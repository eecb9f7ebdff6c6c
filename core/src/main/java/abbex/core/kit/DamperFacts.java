package abbex.core.kit;

import java.util.Optional;

/**
 * A damper by its figures.
 *
 * @param gas force that pushes its rod out, N
 * @param longest from eye to eye, or from one mount to the other, with its rod out, mm
 * @param shortest the same with its rod in to metal
 */
public record DamperFacts(Told gas, Optional<Told> longest, Optional<Told> shortest) {
    public DamperFacts {
        if (gas.value() < 0
                || longest.isPresent()
                        && shortest.isPresent()
                        && longest.get().value() <= shortest.get().value()) {
            throw new IllegalArgumentException("damper: gas " + gas + ", from " + shortest + " to " + longest);
        }
    }
}
