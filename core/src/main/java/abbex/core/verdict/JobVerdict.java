package abbex.core.verdict;

import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The one judgement of a stay: the worst that any station found is what the whole is. Nothing that was found clear outweighs
 * it, and what was not looked at never makes it clear.
 *
 * @param found worst first, then in the order of the stations
 */
public record JobVerdict(List<Found> found) {
    public JobVerdict {
        found = found.stream()
                .sorted(Comparator.<Found, Severity>comparing(f -> f.finding().severity())
                        .reversed()
                        .thenComparing(Found::station)
                        .thenComparing(Found::finding, Finding.WORST_FIRST))
                .toList();
    }

    /** The worst of all; empty when no station has anything to say. */
    public Optional<Found> worst() {
        return found.stream().findFirst();
    }

    /** The worst of one station; empty when it has nothing to say. */
    public Optional<Found> worst(Station station) {
        return found.stream().filter(f -> f.station() == station).findFirst();
    }

    public boolean stops() {
        return found.stream().anyMatch(Found::stop);
    }

    /** What has to be answered before the vehicle leaves, each once, worst first. */
    public List<Found> toAnswer() {
        return List.copyOf(found.stream()
                .filter(Found::toAnswer)
                .collect(Collectors.toMap(Found::key, f -> f, (one, other) -> one, LinkedHashMap::new))
                .values());
    }

    /** What was not looked at or cannot be said yet, by station. */
    public Map<Station, List<Found>> open() {
        return found.stream()
                .filter(f -> f.finding().open())
                .collect(Collectors.groupingBy(Found::station, TreeMap::new, Collectors.toList()));
    }

    /** How somebody answered for a finding that still stands. */
    public enum Answer {
        /** Put right, not measured again. */
        FIXED,
        /** The customer knows. */
        TOLD,
        /** It stays so, for a reason. */
        ACCEPTED;

        /** What must not be driven so is not answered by telling the customer. */
        public boolean fits(Found found) {
            return this != TOLD || !found.stop();
        }

        /** Only what somebody did or decided against the figures needs a reason. */
        public boolean needsReason() {
            return this == ACCEPTED;
        }
    }
}
