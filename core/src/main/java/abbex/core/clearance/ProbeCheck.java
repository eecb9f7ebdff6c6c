package abbex.core.clearance;

import java.util.ArrayList;
import java.util.List;

/** Finds probes of a corner that cannot both be true. */
public final class ProbeCheck {
    /** Two gaps at one spot that lie further apart than this cannot both be (ours: four of a probe's deviations, both). */
    private static final double APART = 6;

    private ProbeCheck() {}

    /** Why two probes contradict each other. */
    public enum Why {
        /** One spot, two gaps: so far apart that one was misread. */
        TWO_GAPS,
        /** The one lies where the tyre stood that the other was measured from. */
        INSIDE
    }

    /**
     * Two that cannot both be true.
     *
     * @param first place in the list
     * @param by how far they are apart, or how deep the one lies inside, in mm
     */
    public record Contradiction(int first, int second, Why why, double by) {}

    /** Every pair that contradicts itself, each once. */
    public static List<Contradiction> of(List<LocatedGap> probes) {
        List<Contradiction> found = new ArrayList<>();
        for (int i = 0; i < probes.size(); i++) {
            for (int k = i + 1; k < probes.size(); k++) {
                LocatedGap a = probes.get(i);
                LocatedGap b = probes.get(k);
                double[] p = a.at(0);
                double[] q = b.at(0);
                double apart = Math.hypot(Math.hypot(p[0] - q[0], p[1] - q[1]), p[2] - q[2]);
                if (a.probe().sameSpot(b.probe())
                        && a.probe().face() == b.probe().face()
                        && a.probe().clock() == b.probe().clock()
                        && apart > APART) {
                    found.add(new Contradiction(i, k, Why.TWO_GAPS, apart));
                    continue;
                }
                double deep = Math.max(inside(a, b), inside(b, a));
                if (deep > APART) {
                    found.add(new Contradiction(i, k, Why.INSIDE, deep));
                }
            }
        }
        return found;
    }

    /** How deep a probed point lies in the tyre that stood there when the other was measured. */
    private static double inside(LocatedGap point, LocatedGap standing) {
        double[] p = point.at(standing.stood());
        return -TyreBody.of(standing.from()).distance(p[1], Math.hypot(p[0], p[2]));
    }
}
