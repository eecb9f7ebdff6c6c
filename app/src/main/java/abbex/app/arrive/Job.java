package abbex.app.arrive;

import abbex.core.heights.Advertised;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A vehicle's stay in the shop. */
public record Job(
        UUID id,
        UUID shop,
        VehicleFacts vehicle,
        String customer,
        String contact,
        String wish,
        String usage,
        String odometer,
        String worn,
        String changed,
        String kit,
        Map<abbex.core.figure.Place, Promise> promises,
        Where where,
        @Nullable UUID holder,
        String holderInitials,
        @Nullable LocalDate dueBack,
        Instant arrivedAt,
        Edition edition) {

    /**
     * How often it was changed: who saves says which edition was before them.
     *
     * @param texts what is typed of the stay and its vehicle
     * @param moves where it stands, who has it, when it is due back
     */
    public record Edition(int texts, int moves) {
        public static final Edition FIRST = new Edition(0, 0);
    }

    /** The advertised drop at a place, as typed and exact; both texts are alike for one number. */
    public record Promise(String leastRaw, String mostRaw, Advertised.Range range) {
        /** One number, or from least to most. */
        public String text() {
            return range.single() ? leastRaw : leastRaw + " to " + mostRaw;
        }
    }

    /** What of a stay is not typed when it is received. */
    record Identity(
            UUID id,
            UUID shop,
            Where where,
            @Nullable UUID holder,
            String holderInitials,
            @Nullable LocalDate dueBack,
            Instant arrivedAt,
            Edition edition) {}

    Identity identity() {
        return new Identity(id, shop, where, holder, holderInitials, dueBack, arrivedAt, edition);
    }

    /** The same stay with what is kept beside it. */
    Job with(VehicleFacts whole, Map<abbex.core.figure.Place, Promise> promised) {
        return new Job(
                id,
                shop,
                whole,
                customer,
                contact,
                wish,
                usage,
                odometer,
                worn,
                changed,
                kit,
                promised,
                where,
                holder,
                holderInitials,
                dueBack,
                arrivedAt,
                edition);
    }

    /** Where a vehicle stands. */
    public enum Place {
        BAY,
        WAITING,
        OUT,
        GONE
    }

    /**
     * Place, and the bay's name when it stands in one.
     */
    public record Where(Place place, String bay) {}

    public Advertised advertised() {
        Map<abbex.core.figure.Place, Advertised.Range> ranges = new HashMap<>();
        promises.forEach((place, promise) -> ranges.put(place, promise.range()));
        return new Advertised(ranges);
    }
}
