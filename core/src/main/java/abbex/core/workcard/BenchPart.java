package abbex.core.workcard;

import abbex.core.figure.Place;

/**
 * A part of a job: one that the kit brought, or one that came off.
 *
 * @param key its kind, old or new, and its place
 * @param fate where it is
 * @param stepless nothing on the card says where it goes
 */
public record BenchPart(String key, String kind, boolean supplied, Place place, Fate fate, boolean stepless) {
    /** Where a part is. */
    public enum Fate {
        /** It was not taken off yet. */
        ON_VEHICLE,
        /** It lies on the bench. */
        ON_BENCH,
        FITTED,
        /** Old and on again. */
        BACK,
        HANDED_OVER,
        BAGGED,
        /** Left off, for a reason. */
        LEFT_OFF;

        /** Nobody has to ask for it any more. */
        public boolean settled() {
            return this != ON_BENCH && this != ON_VEHICLE;
        }
    }

    /** What the bench has to lose before wheels go on: what was brought for the vehicle, and what has to go back. */
    public boolean open() {
        return fate == Fate.ON_BENCH;
    }
}
