package abbex.core.heights;

import abbex.core.units.Length;
import abbex.core.vehicle.VehicleKind;
import java.util.EnumMap;
import java.util.Map;

/** What a shop calls good, and how far what is nearly the same may honestly differ. Immutable. */
public final class Limits {
    public static final Limits USUAL = new Limits(Map.of());

    private final Map<Limit, Length> own;

    private Limits(Map<Limit, Length> own) {
        this.own = new EnumMap<>(Limit.class);
        this.own.putAll(own);
    }

    /**
     * The usual limits with some of the shop's own.
     *
     * @throws IllegalArgumentException for a length that the limit does not allow
     */
    public static Limits of(Map<Limit, Length> own) {
        own.forEach((limit, length) -> {
            if (!limit.allows(length)) {
                throw new IllegalArgumentException(
                        limit + ": read " + length + "; from " + limit.least() + " to " + limit.most());
            }
        });
        return new Limits(own);
    }

    public Length of(Limit limit) {
        Length length = own.get(limit);
        return length == null ? limit.usual() : length;
    }

    public boolean own(Limit limit) {
        return own.containsKey(limit);
    }

    /** Twist of body and floor on the diagonal difference, one standard deviation. */
    Length twist(VehicleKind kind) {
        return of(kind.unitBody() ? Limit.TWIST_CAR : Limit.TWIST_TRUCK);
    }
}
