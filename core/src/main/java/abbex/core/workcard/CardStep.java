package abbex.core.workcard;

import abbex.core.figure.Place;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.Optional;

/**
 * A step at its place on one vehicle.
 *
 * @param key the step's id and its place, and the round after the first
 */
public record CardStep(String key, Step step, Place place, int round) {
    static CardStep of(Step step, Place place, int round) {
        return new CardStep(step.id() + "@" + place.code() + mark(round), step, place, round);
    }

    static String mark(int round) {
        return round > 1 ? "~" + round : "";
    }

    /** Empty for what is done once. */
    public Optional<End> end() {
        return place instanceof End end
                ? Optional.of(end)
                : place instanceof Corner corner ? Optional.of(corner.end()) : Optional.empty();
    }

    /** Where the jack stands while an arm or an axle is carried. */
    String footing() {
        return step.footing() == Step.Footing.CARRIED
                ? "C" + place.code()
                : step.footing().name();
    }

    /** A fastener's key on this vehicle. */
    public String fastener(Step.Fastener fastener) {
        return fastener.id() + "@" + place.code() + mark(round);
    }

    /** Both are about the same corner, the same end, or one of them about all. */
    public boolean meets(CardStep other) {
        if (end().isEmpty() || other.end().isEmpty()) {
            return true;
        }
        boolean corners = place instanceof Corner && other.place instanceof Corner;
        return corners ? place.equals(other.place) : end().equals(other.end());
    }
}
