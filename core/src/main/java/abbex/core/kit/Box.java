package abbex.core.kit;

import abbex.core.heights.Advertised;

/** What the number on a box tells. */
final class Box {
    /** ± 1/4 in at k = 2 until a shop knows better (common practice). */
    static final double STANDARD = 25.4 / 8;

    private Box() {}

    /** The middle of the range, as wide as the range is and as boxes are off: by what a shop has seen for it, or any. */
    static Told told(Advertised.Range box, Told off) {
        double range = box.most().minus(box.least()).mm() / Math.sqrt(12);
        return new Told(box.mean().mm() + off.value(), Math.hypot(off.standard(), range), Told.Origin.PRINTED);
    }
}
