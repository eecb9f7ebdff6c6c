package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.units.Length;

/**
 * An axle moved from under its leaves to above them: the body comes down by pack, tube and both perches.
 *
 * @param pack the leaves where they lie on their perch
 * @param tube the axle's diameter
 * @param was perch between tube and leaves before
 * @param is the saddle after
 */
public record Flipped(Length pack, Length tube, Length was, Length is) implements Part {
    private static final double MADE = 1.5;

    @Override
    public double move() {
        return pack.plus(tube).plus(was).plus(is).mm();
    }

    @Override
    public double standard() {
        return MADE;
    }

    @Override
    public boolean atWheel() {
        return true;
    }

    @Override
    public Row row() {
        return Row.FLIP;
    }

    @Override
    public Reason reason() {
        return Reason.of(KitFormula.FLIP, pack, tube, was, is);
    }
}
