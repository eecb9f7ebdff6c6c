package abbex.core.springs;

import java.util.List;

/**
 * A bump stop of equal rings: each is crushed alike, so that fewer rings are stiffer. Its force is a table of one ring, straight
 * in between and going on as steeply as it ends.
 *
 * @param ring force against crush of one ring, beginning with none at none
 * @param rings whole rings
 * @param ringHeight mm
 */
public record BumpStop(SpringLaw.Measured ring, int rings, double ringHeight) {
    public BumpStop {
        if (rings < 1 || !(ringHeight > 0) || ring.solid() > ringHeight) {
            throw new IllegalArgumentException(
                    "bump stop: " + rings + " rings of " + ringHeight + " mm crushed by " + ring.solid());
        }
    }

    /** A stop as one piece. */
    public static BumpStop of(List<SpringLaw.Point> table, double height) {
        return new BumpStop(new SpringLaw.Measured(table), 1, height);
    }

    public double height() {
        return rings * ringHeight;
    }

    /** How far it is crushed at most, mm. */
    public double most() {
        return rings * ring.solid();
    }

    /** With so many rings cut off; never all of it. */
    public BumpStop trimmed(int off) {
        if (off >= rings) {
            throw new IllegalArgumentException("bump stop: " + off + " of " + rings + " rings; one stays at least");
        }
        return new BumpStop(ring, rings - off, ringHeight);
    }

    /** Force at a crush of the whole stop, N; none while it is not touched. */
    public double force(double crush) {
        return crush <= 0 ? 0 : ring.force(crush / rings);
    }

    /** Rate there, N/mm. */
    public double rate(double crush) {
        return crush <= 0 ? 0 : ring.rate(crush / rings) / rings;
    }
}
