package abbex.core.heights;

import abbex.core.units.Length;

/**
 * What a shop calls good. All defaults are common practice without a published source.
 *
 * @param sidesGood left and right of an axle within this are good (1/8 in)
 * @param sidesAccept to this when it was there before (1/4 in)
 * @param promise a drop within this of the advertised one after settling is normal (1/4 in)
 * @param twistCar how far a car's body and floor may move the diagonal difference, one standard deviation (1.5 mm)
 * @param twistTruck the same for a ladder frame (4 mm)
 * @param tyre how far a loaded radius may move by load and warmth alone (1.5 mm)
 */
public record Limits(
        Length sidesGood, Length sidesAccept, Length promise, Length twistCar, Length twistTruck, Length tyre) {
    public static final Limits USUAL = new Limits(
            Length.ofInches(0, 1, 8),
            Length.ofInches(0, 1, 4),
            Length.ofInches(0, 1, 4),
            Length.ofNm(1_500_000),
            Length.ofMm(4),
            Length.ofNm(1_500_000));
}
