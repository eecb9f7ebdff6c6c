package abbex.core.clearance;

import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** A corner's probes swept for another fitment and height: the places, worst first. */
public final class Clearance {
    /** Finding the face and reading a pin or a finger, one standard deviation in mm (ours). */
    private static final double PROBE = 1.0;

    /** How far the planned tyre may differ from its nominal size, one standard deviation in mm (common practice). */
    private static final double TYRE = 1.5;

    /** The same where it is the very tyre that was measured from. */
    private static final double SAME_TYRE = 0.3;

    private Clearance() {}

    /**
     * Judges every probe of a corner.
     *
     * @param measured the fitment that the gaps were measured from
     * @param planned the fitment that is to stand there; it is reckoned as large as it may grow
     * @param lowered how far the body is to come down at this corner from where it was probed, in mm, positive down
     */
    public static List<Verdict> run(
            List<Probe> probes, Fitment measured, Fitment planned, double lowered, Motion motion) {
        TyreBody was = TyreBody.of(measured);
        TyreBody is = TyreBody.grown(planned);
        boolean same = measured.tyre().equals(planned.tyre());
        double tyre = same ? SAME_TYRE : TYRE;
        List<Verdict> verdicts = new ArrayList<>();
        for (Probe probe : probes) {
            double[] point = probe.point(was);
            if (probe.place().carrier() == ProbePlace.Carrier.BODY) {
                point[2] -= lowered;
            } else if (probe.place().carrier() == ProbePlace.Carrier.ARM) {
                point[2] -= lowered / 2;
            }
            verdicts.add(new Verdict(
                    probe.place(),
                    Sweep.run(is, point, probe.place().carrier(), motion),
                    Math.hypot(PROBE, tyre),
                    probe.place().neededMm()));
        }
        verdicts.sort(Comparator.comparingDouble((Verdict v) -> v.least().gap() - v.needed()));
        return List.copyOf(verdicts);
    }
}
