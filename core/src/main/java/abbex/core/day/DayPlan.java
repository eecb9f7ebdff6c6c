package abbex.core.day;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A day as it fits together.
 *
 * @param placed what is done, the first to begin first
 * @param left what is left over, and why
 * @param cost what it costs by {@link DayCost}
 * @param bound no plan costs less; empty where it was not solved for
 * @param unit what differs by less differs in waiting only: as many promises are kept, and no less is left over
 */
public record DayPlan(List<Placed> placed, List<LeftOver> left, long cost, OptionalDouble bound, long unit) {
    /** A stint at its time, and who is called to it. */
    public record At(Span span, Optional<String> helper) {}

    /** A job in its bay with who has it. */
    public record Placed(String job, String bay, String lead, List<At> stints) {
        public Placed {
            stints = List.copyOf(stints);
        }

        public int begin() {
            return stints.get(0).span().from();
        }

        public int end() {
            return stints.get(stints.size() - 1).span().to();
        }

        /** From when the bay is taken to when it is free. */
        public Span span() {
            return new Span(begin(), end());
        }
    }

    public DayPlan {
        placed = List.copyOf(placed);
        left = List.copyOf(left);
    }

    public Optional<Placed> of(String job) {
        return placed.stream().filter(p -> p.job().equals(job)).findFirst();
    }

    /** How much less another plan could cost at most, as a part of this one; 0 for the best there is. */
    public OptionalDouble gap() {
        return bound.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(cost == 0 ? 0 : Math.max(0, (cost - bound.getAsDouble()) / cost));
    }

    /** Nothing better exists. */
    public boolean best() {
        return bound.isPresent() && bound.getAsDouble() > cost - 0.5;
    }
}
