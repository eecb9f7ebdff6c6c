package abbex.core.kit;

import abbex.core.heights.Advertised;
import java.util.List;
import java.util.Optional;

/**
 * What goes in at an end, both sides alike. What is empty stays as it is.
 *
 * @param box what the box promises at the wheel
 * @param boxCounts true when the box's number holds with the dampers that go in, so that their gas is in it
 * @param spring by its figures
 * @param damper that goes in
 * @param stop that goes in, or the old one with rings cut off
 * @param parts whatever else moves a seat or the wheel
 */
public record EndKit(
        Optional<Advertised.Range> box,
        boolean boxCounts,
        Optional<SpringFacts> spring,
        Optional<DamperFacts> damper,
        Optional<StopFacts> stop,
        List<Part> parts) {
    public static final EndKit NOTHING =
            new EndKit(Optional.empty(), false, Optional.empty(), Optional.empty(), Optional.empty(), List.of());

    public EndKit {
        parts = List.copyOf(parts);
    }

    public EndKit withBox(Advertised.Range other) {
        return new EndKit(Optional.of(other), boxCounts, spring, damper, stop, parts);
    }

    public EndKit withSpring(SpringFacts other) {
        return new EndKit(box, boxCounts, Optional.of(other), damper, stop, parts);
    }

    public EndKit withDamper(DamperFacts other) {
        return new EndKit(box, boxCounts, spring, Optional.of(other), stop, parts);
    }

    public EndKit withStop(StopFacts other) {
        return new EndKit(box, boxCounts, spring, damper, Optional.of(other), parts);
    }

    public EndKit withParts(List<Part> other) {
        return new EndKit(box, boxCounts, spring, damper, stop, other);
    }

    /** True when nothing of this end is touched. */
    public boolean nothing() {
        return this.equals(NOTHING);
    }
}
