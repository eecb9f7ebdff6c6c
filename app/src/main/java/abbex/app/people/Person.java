package abbex.app.people;

import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/** Somebody of a shop, with how this person likes to read and write. */
public record Person(
        UUID id,
        UUID shop,
        String shopName,
        String signInName,
        String displayName,
        String initials,
        Role role,
        boolean mustChange,
        Likes likes) {

    /**
     * How a person reads and writes.
     *
     * @param unit inch or millimetre
     * @param tape the marks of the person's tape
     * @param zone for times
     * @param theme auto, bright or dim
     * @param singleKeys whether single keys act outside input fields
     * @param paint in which they mark what is tight; empty while they did not say
     */
    public record Likes(
            LengthUnit unit, Graduation tape, ZoneId zone, String theme, boolean singleKeys, Optional<Paint> paint) {
        public Likes(LengthUnit unit, Graduation tape, ZoneId zone, String theme, boolean singleKeys) {
            this(unit, tape, zone, theme, singleKeys, Optional.empty());
        }
    }

    /** Colors that paint pens come in. */
    public enum Paint {
        WHITE,
        YELLOW,
        ORANGE,
        RED,
        PINK,
        GREEN,
        BLUE;

        public static Optional<Paint> named(String name) {
            return Stream.of(values()).filter(p -> p.name().equals(name)).findFirst();
        }
    }
}
