package abbex.core.balance;

import java.util.Arrays;

/**
 * What scales under the wheels show, in one unit of any kind, corners in the order LF, RF, RR, LR. Percentages by definition
 * (common practice).
 */
public record WheelLoads(double lf, double rf, double rr, double lr) {
    public WheelLoads {
        if (!(lf > 0 && rf > 0 && rr > 0 && lr > 0)) {
            throw new IllegalArgumentException("a wheel that carries nothing: " + lf + " " + rf + " " + rr + " " + lr);
        }
    }

    public double total() {
        return lf + rf + rr + lr;
    }

    /** Right front and left rear of the whole, in per cent. */
    public double cross() {
        return 100 * (rf + lr) / total();
    }

    /** In per cent of the whole. */
    public double left() {
        return 100 * (lf + lr) / total();
    }

    /** In per cent of the whole. */
    public double rear() {
        return 100 * (rr + lr) / total();
    }

    /** No body is so far out; scales that were put down wrong are, per cent (ours). */
    private static final double FAR = 4;

    private static final double NEAR = 2;

    /** So far out that two scales of an end may stand changed over: with them put right it is not. */
    public boolean perhapsSwapped() {
        double front = new WheelLoads(rf, lf, rr, lr).cross();
        double rear = new WheelLoads(lf, rf, lr, rr).cross();
        return Math.abs(cross() - 50) > FAR && Math.min(Math.abs(front - 50), Math.abs(rear - 50)) < NEAR;
    }

    /** Nobody who drives is lighter, nor heavier, N (common practice): what differs by less is fuel or a scale. */
    private static final double LIGHTEST = 300;

    private static final double HEAVIEST = 1500;

    /** Together more or less than another time by about what a person weighs: somebody may have sat in it. Both in N. */
    public boolean byAPersonFrom(double otherTotal) {
        double more = Math.abs(total() - otherTotal);
        return more > LIGHTEST && more < HEAVIEST;
    }

    /**
     * What each wheel has to carry more for another cross: half of the shift comes onto each wheel of one diagonal and leaves
     * each of the other, so that neither side nor end changes.
     *
     * @param wanted per cent
     * @return more at each corner, in the unit of the scales
     */
    public double[] shift(double wanted) {
        double more = (wanted - cross()) / 100 * total() / 2;
        return new double[] {-more, more, -more, more};
    }

    /**
     * Adjuster moves at the wheel that shift loads without a corner rising or falling over the floor: each wheel's move is its
     * load over the rate of its spring in series with its tyre. Bars are apart. Source: statics.
     *
     * @param newtons more at each wheel
     * @param springs wheel rates, N/mm
     * @param tyres vertical rates, N/mm; infinite for a rigid one
     * @return mm, up positive
     */
    public static double[] moves(double[] newtons, double[] springs, double[] tyres) {
        double[] moves = new double[newtons.length];
        Arrays.setAll(moves, i -> newtons[i] * (1 / springs[i] + 1 / tyres[i]));
        return moves;
    }
}
