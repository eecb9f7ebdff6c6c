package abbex.core.heights;

import abbex.core.units.Length;

/** A length that a shop may set as it likes. All defaults are common practice or ours, none with a published source. */
public enum Limit {
    /** Left and right of an axle within this are good. */
    SIDES_GOOD(Length.ofInches(0, 1, 8), Length.ofInches(2, 0, 1)),
    /** Accepted to this when it was there before. */
    SIDES_ACCEPT(Length.ofInches(0, 1, 4), Length.ofInches(2, 0, 1)),
    /** What new springs, seats and bushings honestly do to left against right of an axle, one standard deviation. */
    SPRINGS_OF_SIDES(Length.ofMm(1), Length.ofMm(25)),
    /** A drop within this of the advertised one after settling is normal. */
    PROMISE(Length.ofInches(0, 1, 4), Length.ofInches(2, 0, 1)),
    /** Change of a car's diagonal difference by twist of body and floor, one standard deviation. */
    TWIST_CAR(Length.ofNm(1_500_000), Length.ofMm(50)),
    /** The same for a ladder frame. */
    TWIST_TRUCK(Length.ofMm(4), Length.ofMm(50)),
    /** How far a loaded radius may move by load and warmth alone before it is asked about. */
    TYRE(Length.ofNm(1_500_000), Length.ofMm(25)),
    /** Change of all loaded radii together between two sheets, one standard deviation. */
    TYRES_OF_SHEET(Length.ofNm(700_000), Length.ofMm(25)),
    /** Change of one loaded radius between two sheets, one standard deviation. */
    TYRE_OF_CORNER(Length.ofNm(500_000), Length.ofMm(25)),
    /** Loaded radius left against right of an axle, one standard deviation. */
    TYRE_OF_SIDES(Length.ofMm(1), Length.ofMm(25)),
    /** Rim radius of one wheel against the other of its axle, one standard deviation. */
    RIM(Length.ofNm(300_000), Length.ofMm(25)),
    /** Unloaded radius of one tyre against the other of its axle, one standard deviation. */
    TREAD(Length.ofNm(700_000), Length.ofMm(25)),
    /** Axle to frame that a daily truck wants at the rear. */
    AXLE_TRAVEL(Length.ofInches(3, 0, 1), Length.ofInches(12, 0, 1));

    /** A width of nothing would make the equations unsolvable; a tenth of a millimetre is finer than any tape. */
    private static final Length LEAST = Length.ofNm(100_000);

    private final Length usual;
    private final Length most;

    Limit(Length usual, Length most) {
        this.usual = usual;
        this.most = most;
    }

    public Length usual() {
        return usual;
    }

    public Length least() {
        return LEAST;
    }

    public Length most() {
        return most;
    }

    public boolean allows(Length length) {
        return length.compareTo(LEAST) >= 0 && length.compareTo(most) <= 0;
    }
}
