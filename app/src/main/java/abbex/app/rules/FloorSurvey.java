package abbex.app.rules;

import abbex.core.heights.Floor;
import abbex.core.vehicle.Corner;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A bay's floor as somebody surveyed it.
 *
 * @param since the day from which it was so; null when it has always been
 * @param pads each pad over any one level; empty when the survey of the bay was taken back
 */
public record FloorSurvey(
        UUID id, String bay, @Nullable LocalDate since, Map<Corner, Typed> pads, String by, Instant madeAt) {
    public Optional<Floor> floor() {
        return pads.isEmpty()
                ? Optional.empty()
                : Optional.of(Floor.of(pads.entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, e -> e.getValue().length()))));
    }

    boolean trueOn(LocalDate day) {
        return since == null || !since.isAfter(day);
    }
}
