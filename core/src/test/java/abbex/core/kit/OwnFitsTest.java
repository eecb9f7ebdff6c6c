package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.heights.Advertised;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.analysis.integration.RombergIntegrator;
import org.junit.jupiter.api.Test;

/** What a shop has seen for a printed number, against a general library's quadrature of the same posterior. */
class OwnFitsTest {
    private static final double PRIOR = 25.4 / 8;

    private static double normal(double x, double variance) {
        return Math.exp(-x * x / 2 / variance) / Math.sqrt(2 * Math.PI * variance);
    }

    @Test
    void against_a_quadrature() {
        Random random = new Random(81);
        for (int n = 1; n <= 6; n++) {
            List<OwnFits.Fit> fits = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                fits.add(new OwnFits.Fit(4 * random.nextGaussian() - 2, 0.5 + random.nextDouble()));
            }
            double each = 0.4 * PRIOR * PRIOR;
            RombergIntegrator integrator = new RombergIntegrator();
            double[] moments = new double[3];
            for (int power = 0; power < 3; power++) {
                int p = power;
                moments[p] = integrator.integrate(
                        100_000,
                        kit -> {
                            double likely = normal(kit, 0.6 * PRIOR * PRIOR);
                            for (OwnFits.Fit fit : fits) {
                                likely *= normal(fit.more() - kit, each + fit.standard() * fit.standard());
                            }
                            return likely * Math.pow(kit, p);
                        },
                        -25,
                        25);
            }
            double mean = moments[1] / moments[0];
            double variance = moments[2] / moments[0] - mean * mean;
            OwnFits own = OwnFits.of(fits);
            assertEquals(mean, own.off().value(), 1e-5);
            assertEquals(Math.sqrt(variance + each), own.off().standard(), 1e-5);
            assertEquals(n >= 3, own.own());
        }
    }

    /** None is the printed number as it is; with fits the plan moves by what they say, and is no wider. */
    @Test
    void fits_move_a_plan_and_never_widen_it() {
        assertEquals(PRIOR, OwnFits.of(List.of()).off().standard(), 1e-12);
        assertFalse(OwnFits.NONE.own());
        OwnFits less = OwnFits.of(List.of(new OwnFits.Fit(-5, 1), new OwnFits.Fit(-6, 1), new OwnFits.Fit(-5.5, 1)));
        EndNow now = new EndNow(
                Told.typical(3500, 300),
                Told.typical(0.95, 0.02),
                Told.typical(0.95, 0.02),
                Told.typical(25, 5),
                Optional.empty(),
                Optional.empty(),
                new DamperFacts(Typical.TWIN_TUBE, Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
        EndKit kit = EndKit.NOTHING.withBox(new Advertised.Range(Length.ofMm(30), Length.ofMm(30)));
        Interval any =
                EndPlan.of(now, kit, EndPlan.USUAL_SETTLING).orElseThrow().setDown();
        Interval own = EndPlan.of(now, kit.withOwn(less), EndPlan.USUAL_SETTLING)
                .orElseThrow()
                .setDown();
        assertEquals(30 + less.off().value(), own.value(), 1e-9);
        assertTrue(own.half() < any.half() && less.off().value() < -3, own.toString());
    }
}
