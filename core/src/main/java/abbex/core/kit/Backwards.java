package abbex.core.kit;

import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.analysis.solvers.UnivariateSolverUtils;
import org.hipparchus.exception.MathRuntimeException;

/** From a height that is wished back to the one figure of a part that gives it, the others as they are; all in mm. */
public final class Backwards {
    /** What no tape shows, mm. */
    private static final double MET = 0.05;

    private static final double CLOSE = 1e-4;
    private static final double FIRST_STEP = 2;
    private static final double WIDER = 1.3;
    private static final int MOST = 60;

    private Backwards() {}

    /**
     * @param height by the figure; where the parts do not meet it may jump
     * @param start the figure as it stands: the answer nearest to it is looked for
     * @param least the figure may be
     * @param most the same
     * @return empty where no figure between gives the height
     */
    public static OptionalDouble figure(
            DoubleUnaryOperator height, double wished, double start, double least, double most) {
        DoubleUnaryOperator off = figure -> height.applyAsDouble(figure) - wished;
        double from = Math.max(least, Math.min(most, start));
        if (Math.abs(off.applyAsDouble(from)) < MET) {
            return OptionalDouble.of(from);
        }
        try {
            double[] between = UnivariateSolverUtils.bracket(
                    off::applyAsDouble, from, least - CLOSE, most + CLOSE, FIRST_STEP, WIDER, MOST);
            double found = new BrentSolver(CLOSE).solve(MOST, off::applyAsDouble, between[0], between[1]);
            return Math.abs(off.applyAsDouble(found)) < MET ? OptionalDouble.of(found) : OptionalDouble.empty();
        } catch (MathRuntimeException none) {
            return OptionalDouble.empty();
        }
    }
}
