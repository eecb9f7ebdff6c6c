package abbex.core.vehicle;

import abbex.core.units.Length;
import java.util.Optional;

/**
 * A tyre as two diameters.
 *
 * @param free overall diameter without load, positive
 * @param loaded twice the loaded radius, positive and not above the free diameter; empty when nobody measured it
 */
public record Tyre(Length free, Optional<Length> loaded) {
    public Tyre {
        if (free.sign() <= 0
                || loaded.isPresent()
                        && (loaded.get().sign() <= 0 || loaded.get().compareTo(free) > 0)) {
            throw new IllegalArgumentException(
                    "tyre: read free " + free + ", loaded " + loaded + "; 0 < loaded <= free");
        }
    }

    public static Tyre of(Length free) {
        return new Tyre(free, Optional.empty());
    }

    public Length freeRadius() {
        return free.dividedBy(2);
    }
}
