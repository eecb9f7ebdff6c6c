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
 * @param own what the shop has seen for the printed number
 * @param parts whatever else moves a seat or the wheel
 * @param boxOf what the box's number is of
 */
public record EndKit(
        Optional<Advertised.Range> box,
        boolean boxCounts,
        Optional<SpringFacts> spring,
        Optional<DamperFacts> damper,
        Optional<StopFacts> stop,
        List<Part> parts,
        OwnFits own,
        BoxOf boxOf) {
    /** What a printed drop is of. */
    public enum BoxOf {
        /** Of the springs: whatever else goes in counts on top of it. */
        SPRINGS,
        /** Of the springs and all else that goes in, together. */
        SPRINGS_AND_PARTS,
        /** Of parts alone: no spring is new. */
        PARTS
    }

    public static final EndKit NOTHING = new EndKit(
            Optional.empty(),
            false,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of(),
            OwnFits.NONE,
            BoxOf.SPRINGS);

    public EndKit {
        parts = List.copyOf(parts);
    }

    public EndKit withBox(Advertised.Range other) {
        return new EndKit(Optional.of(other), boxCounts, spring, damper, stop, parts, own, boxOf);
    }

    /** The same with nothing printed. */
    EndKit withoutBox() {
        return new EndKit(Optional.empty(), boxCounts, spring, damper, stop, parts, own, boxOf);
    }

    public EndKit withSpring(SpringFacts other) {
        return new EndKit(box, boxCounts, Optional.of(other), damper, stop, parts, own, boxOf);
    }

    public EndKit withDamper(DamperFacts other) {
        return new EndKit(box, boxCounts, spring, Optional.of(other), stop, parts, own, boxOf);
    }

    public EndKit withStop(StopFacts other) {
        return new EndKit(box, boxCounts, spring, damper, Optional.of(other), parts, own, boxOf);
    }

    public EndKit withParts(List<Part> other) {
        return new EndKit(box, boxCounts, spring, damper, stop, other, own, boxOf);
    }

    public EndKit withOwn(OwnFits other) {
        return new EndKit(box, boxCounts, spring, damper, stop, parts, other, boxOf);
    }

    public EndKit withBoxOf(BoxOf other) {
        return new EndKit(box, boxCounts, spring, damper, stop, parts, own, other);
    }

    /**
     * What the box promises of the spring itself: a number printed on a kit whose links, shackles or flip are worked out one by
     * one is the whole kit's, and counted on top of them it would count twice.
     */
    Optional<Advertised.Range> springBox() {
        return parts.stream().anyMatch(Part::wholeKit) || boxOf == BoxOf.PARTS && !parts.isEmpty()
                ? Optional.empty()
                : box;
    }

    /** The printed number has in it what the other parts give. */
    boolean boxWhole() {
        return boxOf == BoxOf.SPRINGS_AND_PARTS;
    }

    /** True when nothing of this end is touched. */
    public boolean nothing() {
        return withOwn(OwnFits.NONE).withBoxOf(BoxOf.SPRINGS).equals(NOTHING);
    }
}
