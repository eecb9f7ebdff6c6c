package abbex.app.arrive;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A vehicle whose plate the shop knows comes again: what is asked before anything of it or of its earlier stays is changed.
 *
 * @param vehicle as the shop knows it
 * @param differs what was typed otherwise than it is known, in the order of the form
 * @param openStay that has not left yet; null when there is none
 */
public record KnownAgain(
        VehicleFacts vehicle,
        List<Difference> differs,
        @Nullable UUID openStay) {
    /** What becomes of what was typed otherwise. */
    public enum Choice {
        /** The shop's data stays as it is. */
        KEEP,
        /** The vehicle was changed, or known wrongly: what was typed counts from now on, for its earlier stays too. */
        CHANGE
    }

    /**
     * A field that was typed otherwise.
     *
     * @param field its name in the form
     * @param known its text as it is known
     * @param typed as it was typed
     */
    public record Difference(String field, String known, String typed) {}

    static KnownAgain of(VehicleFacts known, VehicleFacts typed, @Nullable UUID openStay) {
        Map<String, String> before = new LinkedHashMap<>();
        Map<String, String> now = new LinkedHashMap<>();
        ArriveForm.vehicle(before, known);
        ArriveForm.vehicle(now, typed);
        List<Difference> differs = new ArrayList<>();
        before.forEach((field, text) -> {
            String other = now.getOrDefault(field, "");
            if (!field.equals("plate") && !text.equals(other)) {
                differs.add(new Difference(field, text, other));
            }
        });
        return new KnownAgain(known, List.copyOf(differs), openStay);
    }

    /** The names of what was typed otherwise. */
    String fields() {
        return String.join(", ", differs.stream().map(Difference::field).toList());
    }
}
