package abbex.core.kit;

import abbex.core.springs.BumpStop;
import abbex.core.springs.SpringLaw;
import java.util.ArrayList;
import java.util.List;

/**
 * A bump stop by its figures.
 *
 * @param force how far its force may be off, as a part of it, one standard deviation
 */
public record StopFacts(BumpStop stop, double force, Told.Origin origin) {
    /** Rings that nobody measured are as stiff as most, within a third (ours). */
    private static final double ANY_FORCE = 0.33;

    /** A foam ring under force, as parts of its height and N (common practice). */
    private static final double[][] FOAM = {{0.25, 250}, {0.45, 900}, {0.6, 2200}, {0.7, 4500}};

    /** A foam stop of so many rings, mm high altogether. */
    public static StopFacts foam(double height, int rings) {
        double ring = height / rings;
        List<SpringLaw.Point> table = new ArrayList<>(List.of(new SpringLaw.Point(0, 0)));
        for (double[] point : FOAM) {
            table.add(new SpringLaw.Point(point[0] * ring, point[1]));
        }
        return typical(new BumpStop(new SpringLaw.Measured(table), rings, ring));
    }

    public static StopFacts typical(BumpStop stop) {
        return new StopFacts(stop, ANY_FORCE, Told.Origin.TYPICAL);
    }
}
