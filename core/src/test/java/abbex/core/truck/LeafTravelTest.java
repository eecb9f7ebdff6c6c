package abbex.core.truck;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

/**
 * The three-link model against thin leaves that bend as far as they like (Euler's elastica), solved by a general integrator for
 * ordinary differential equations.
 */
class LeafTravelTest {
    /** Stiffness of a leaf at its seat, N·mm²: about 25 N/mm for an arm of 650 mm. */
    private static final double STIFF = 25 * Math.pow(650, 3) / 3;

    /** An arm's end seen from its seat: along, and over the seat's tangent. */
    private record End(double along, double over) {}

    /**
     * An arm clamped at its seat with a force on its eye across the seat's tangent.
     *
     * @param uniform true for one of the same section all along, false for one that thins out to its eye
     * @param bow its own curvature, 1/mm
     */
    private static End arm(double length, double force, double bow, boolean uniform) {
        DoubleUnaryOperator reach = guess -> bent(length, force, bow, uniform, guess)[0];
        double along = length;
        for (int i = 0; i < 60; i++) {
            along = 0.5 * along + 0.5 * reach.applyAsDouble(along);
        }
        double[] end = bent(length, force, bow, uniform, along);
        return new End(end[0], end[1]);
    }

    private static double[] bent(double length, double force, double bow, boolean uniform, double reach) {
        DormandPrince853Integrator integrator = new DormandPrince853Integrator(1e-3, length, 1e-10, 1e-10);
        return integrator
                .integrate(
                        new OrdinaryDifferentialEquation() {
                            @Override
                            public int getDimension() {
                                return 3;
                            }

                            @Override
                            public double[] computeDerivatives(double s, double[] y) {
                                double stiff = STIFF * (uniform ? 1 : Math.max(1e-3, 1 - s / length));
                                double bend = force * (reach - y[0]) / stiff;
                                return new double[] {Math.cos(y[2]), Math.sin(y[2]), bow - bend};
                            }
                        },
                        new ODEState(0, new double[] {0, 0, 0}),
                        length)
                .getPrimaryState();
    }

    /** Axle over a frame whose eyes are level: where it is along, how high, and how its seat lies. */
    private record Stood(double back, double up, double turn) {}

    private static Stood stands(double fixed, double shackled, double load, double bow, boolean uniform) {
        // Shares by the levers; levels by the eyes: the seat turns until both are as high.
        End one = arm(fixed, load * shackled / (fixed + shackled), bow, uniform);
        End other = arm(shackled, load * fixed / (fixed + shackled), bow, uniform);
        double turn = Math.atan2(one.over() - other.over(), one.along() + other.along());
        double back = one.along() * Math.cos(turn) + one.over() * Math.sin(turn);
        double up = -(one.over() * Math.cos(turn) - one.along() * Math.sin(turn));
        return new Stood(back, up, turn);
    }

    @Test
    void it_goes_where_thin_leaves_go_within_what_is_carried_as_uncertainty() {
        double worstPath = 0;
        double worstTurn = 0;
        for (boolean uniform : new boolean[] {true, false}) {
            for (double[] pack : new double[][] {{650, 650}, {600, 750}, {560, 760}, {700, 620}}) {
                for (double bow : new double[] {1.2e-4, 3.5e-4}) {
                    double rate = 3 * STIFF / Math.pow(650, 3) * 2;
                    Stood here = stands(pack[0], pack[1], 60 * rate, bow, uniform);
                    LeafTravel model = new LeafTravel(pack[0], pack[1], -here.up());
                    for (double load : new double[] {10, 30, 90, 110}) {
                        Stood there = stands(pack[0], pack[1], load * rate, bow, uniform);
                        double up = there.up() - here.up();
                        if (Math.abs(up) > 60) {
                            continue;
                        }
                        LeafTravel.Move move = model.move(up);
                        worstPath = Math.max(worstPath, Math.abs(there.back() - here.back() - move.back()));
                        worstTurn = Math.max(
                                worstTurn, Math.abs(-Math.toDegrees(there.turn() - here.turn()) - move.nose()));
                    }
                }
            }
        }
        System.out.printf("three links against thin leaves: path %.2f mm, turn %.2f deg%n", worstPath, worstTurn);
        assertTrue(worstPath < 2 * LeafTravel.PATH_OFF, worstPath + " mm");
        assertTrue(worstTurn < 2 * LeafTravel.TURN_OFF, worstTurn + " degrees");
    }

    @Test
    void an_axle_in_the_middle_does_not_turn_and_one_nearer_to_its_fixed_eye_dips_its_nose() {
        assertEquals(0, new LeafTravel(650, 650, 60).move(40).nose(), 1e-12);
        assertTrue(new LeafTravel(600, 750, 60).move(40).nose() < 0);
        assertTrue(new LeafTravel(750, 600, 60).move(40).nose() > 0);
    }

    @Test
    void a_travel_that_no_pack_makes_is_refused() {
        assertThrows(IllegalArgumentException.class, () -> new LeafTravel(650, 650, 0).move(600));
    }
}
