package abbex.core.heights;

import abbex.core.vehicle.Corner;
import abbex.core.vehicle.PerCorner;

/**
 * What adjusters that were turned on purpose were to do to heights, since the first sheet: the expectation that a reading after
 * it is judged by.
 *
 * @param hub height of the lip over the hub, mm, up positive
 * @param ground height of the lip over the ground, mm, up positive
 * @param standard one standard deviation of either, mm
 */
public record OnPurpose(PerCorner<Double> hub, PerCorner<Double> ground, PerCorner<Double> standard) {
    /** Nothing was turned. */
    public static final OnPurpose NOTHING =
            new OnPurpose(PerCorner.of(c -> 0.0), PerCorner.of(c -> 0.0), PerCorner.of(c -> 0.0));

    /** This and another turn after it; what each may be off by is its own. */
    public OnPurpose plus(OnPurpose then) {
        return new OnPurpose(
                PerCorner.of(c -> hub.get(c) + then.hub.get(c)),
                PerCorner.of(c -> ground.get(c) + then.ground.get(c)),
                PerCorner.of(c -> Math.hypot(standard.get(c), then.standard.get(c))));
    }

    /** What was turned since an earlier sheet. */
    OnPurpose since(OnPurpose earlier) {
        return new OnPurpose(
                PerCorner.of(c -> hub.get(c) - earlier.hub.get(c)),
                PerCorner.of(c -> ground.get(c) - earlier.ground.get(c)),
                PerCorner.of(c -> Math.sqrt(Math.max(
                        0, standard.get(c) * standard.get(c) - earlier.standard.get(c) * earlier.standard.get(c)))));
    }

    /** What it does to a height, mm, up positive. */
    public double of(Corner corner, Method method) {
        return (method.hubReferenced() || method == Method.TG ? hub : ground).get(corner);
    }

    /** How much further the tyre is pressed, mm: what the hub gains over the ground less. */
    double pressed(Corner corner) {
        return hub.get(corner) - ground.get(corner);
    }

    /** Something was turned. */
    boolean any() {
        return hub.stream().anyMatch(mm -> mm != 0) || ground.stream().anyMatch(mm -> mm != 0);
    }
}
