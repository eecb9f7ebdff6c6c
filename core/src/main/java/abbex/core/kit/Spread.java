package abbex.core.kit;

import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How far what comes of a plan may lie from its value.
 *
 * <p>The motion ratio bends the answer most: it is looked at in steps, and every other input is moved by its own width to either
 * side, which gives mean, variance and skewness of the free travel as far as they are sums. Where the stop may be in the way
 * the rest follows its curve, wherever the stop may be met. Widths themselves are known to a sixth, so that 95 % reach as far as
 * Student's t with 18 degrees of freedom (JCGM 100:2008, G.4.2).
 */
final class Spread {
    private static final double SIDE = Math.sqrt(3);

    /** Degrees of freedom of widths known to a sixth: 1 / (2 (1/6)²). */
    private static final double FREEDOM = 18;

    private static final NormalDistribution STANDARD = NormalDistribution.of(0, 1);

    private static final double NORMAL = STANDARD.inverseCumulativeProbability(0.975);

    /** How much further 95 % reach than they would if the widths were sure. */
    static final double WIDER = TDistribution.of(FREEDOM).inverseCumulativeProbability(0.975) / NORMAL;

    /** Ratios are looked at in pieces, finest where 95 % end; in deviations. */
    private static final double[] ENDS = {
        -4.2, -3.3, -2.75, -2.35, -2.05, -1.8, -1.5, -1.2, -0.85, -0.45, 0, 0.45, 0.85, 1.2, 1.5, 1.8, 2.05, 2.35, 2.75,
        3.3, 4.2
    };

    /** How likely the ratio lies in each piece. */
    private static final double[] LIKELY = new double[ENDS.length - 1];

    private static final double[] ALL = {1};

    /** Places at which the stop may be met, in deviations, and how likely each is. */
    private static final double[] MET = new double[7];

    private static final double[] MET_LIKELY = new double[MET.length];

    static {
        for (int i = 0; i < LIKELY.length; i++) {
            LIKELY[i] = STANDARD.probability(ENDS[i], ENDS[i + 1]);
        }
        share(LIKELY);
        for (int i = 0; i < MET.length; i++) {
            MET[i] = i - MET.length / 2;
            MET_LIKELY[i] = STANDARD.density(MET[i]);
        }
        share(MET_LIKELY);
    }

    private static void share(double[] parts) {
        double sum = 0;
        for (double part : parts) {
            sum += part;
        }
        for (int i = 0; i < parts.length; i++) {
            parts[i] /= sum;
        }
    }

    /** No ratio is less, whatever its width. */
    private static final double LEAST_RATIO = EndNow.LEAST_RATIO / 2;

    private static final int RATIO = Input.RATIO.ordinal();

    private final EndModel model;
    private final double[] p;
    private final double[] likely;

    /** At the ends of the pieces: mean and standard deviation of the free travel, and how much more a stop lifts there. */
    private final double[] mean;

    private final double[] standard;
    private final double[] lifts;

    private final double skew;
    private final double contact;
    private final double roomStandard;
    private final double slopeStandard;
    private final double stiffness;

    Spread(EndModel model) {
        this.model = model;
        p = model.at.clone();
        double width = model.standard[RATIO] * WIDER;
        boolean sure = width == 0;
        double[] standards = new double[3];
        double[] shifts = new double[3];
        double[] skews = new double[3];
        for (int i = 0; i < 3; i++) {
            p[RATIO] = ratio(2 * (i - 1), width);
            look(i, shifts, standards, skews);
        }
        skew = skews[1];
        likely = sure ? ALL : LIKELY;
        mean = new double[likely.length + 1];
        standard = new double[mean.length];
        lifts = new double[mean.length];
        for (int i = 0; i < mean.length; i++) {
            double x = sure ? 0 : ENDS[i];
            p[RATIO] = ratio(x, width);
            mean[i] = model.free(p) + between(shifts, x);
            standard[i] = Math.max(1e-6, between(standards, x));
            lifts[i] = Math.pow(model.at[RATIO] / p[RATIO], model.bySprings() ? 2 : 0);
        }
        p[RATIO] = model.at[RATIO];
        contact = model.contact(p);
        int rod = Input.ROD_RATIO.ordinal();
        roomStandard = model.standard[Input.ROD.ordinal()] / p[rod] * WIDER;
        slopeStandard = model.standard[rod] / p[rod] * WIDER;
        int rate = Input.WHEEL_RATE.ordinal();
        stiffness = Math.hypot(
                        model.standard[Input.STOP.ordinal()],
                        model.bySprings() ? 0 : model.standard[rate] / model.at[rate])
                * WIDER;
    }

    private double ratio(double x, double width) {
        return Math.max(LEAST_RATIO, model.at[RATIO] + x * width);
    }

    /** Through what was seen at -2, 0 and 2, and no further than a little beyond. */
    private static double between(double[] seen, double place) {
        double x = Math.max(-1.25, Math.min(1.25, place / 2));
        return seen[1] + x * (seen[2] - seen[0]) / 2 + x * x * (seen[2] + seen[0] - 2 * seen[1]) / 2;
    }

    /** How far the mean is moved, standard deviation and skewness of the free travel at one ratio. */
    private void look(int node, double[] shifts, double[] standards, double[] skews) {
        double free = model.free(p);
        double square = 0;
        double[] slopes = new double[p.length];
        for (int i = 0; i < p.length; i++) {
            if (i == RATIO || model.standard[i] == 0) {
                continue;
            }
            double width = model.standard[i] * SIDE * WIDER;
            double was = p[i];
            p[i] = was + width;
            double up = model.free(p) - free;
            p[i] = was - width;
            double down = model.free(p) - free;
            p[i] = was;
            double moved = (up + down) / 6;
            shifts[node] += moved;
            square += (up * up + down * down) / 6 - moved * moved;
            slopes[i] = (up - down) / (2 * SIDE);
        }
        standards[node] = Math.sqrt(square);
        skews[node] = square == 0 ? 0 : skew(free, slopes, standards[node]);
    }

    /** Of a bent surface over normal inputs: three times its bend along its own slope, over that slope. */
    private double skew(double free, double[] slopes, double deviation) {
        double[] was = p.clone();
        for (int i = 0; i < p.length; i++) {
            p[i] += slopes[i] / deviation * model.standard[i] * WIDER;
        }
        double bend = model.free(p) - 2 * free;
        for (int i = 0; i < p.length; i++) {
            p[i] = 2 * was[i] - p[i];
        }
        bend += model.free(p);
        System.arraycopy(was, 0, p, 0, p.length);
        return 3 * bend / deviation;
    }

    /** Where it comes to rest, and between what. */
    Interval interval(Told settling) {
        double width = settling.standard() * WIDER;
        double middle = 0;
        double square = 0;
        for (int i = 0; i < likely.length; i++) {
            double here = (mean[i] + mean[i + 1]) / 2;
            middle += likely[i] * here;
            square += likely[i] * (standard[i] * standard[i] + here * here);
        }
        double whole = Math.sqrt(Math.max(0, square - middle * middle) + width * width);
        double from = middle + settling.value();
        double rest = rest(settling.value());
        double upper = Math.min(from + NORMAL * whole, Math.max(rest, contact));
        return new Interval(
                rest,
                quantile(0.025, from - NORMAL * whole, whole, settling.value(), width),
                quantile(0.975, upper, whole, settling.value(), width));
    }

    /** Where spring and stop carry the load together, by halving: the free travel is where it rests, and what the stop lifts. */
    private double rest(double settling) {
        double free = model.free(p) + settling;
        if (free <= contact) {
            return free;
        }
        double low = contact;
        double high = free;
        for (int i = 0; i < 60 && high - low > 1e-9; i++) {
            double middle = (low + high) / 2;
            if (middle + model.lift(p, middle - contact) > free) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return (low + high) / 2;
    }

    /** Bracketed first, then by chords that never stay at one end. */
    private double quantile(double probability, double guess, double whole, double settling, double width) {
        if (whole < 1e-5) {
            return rest(settling);
        }
        double low = guess - whole / 8;
        double lowOver = below(low, settling, width) - probability;
        double high = guess + whole / 8;
        double highOver = lowOver;
        if (lowOver > 0) {
            for (double step = whole / 4; lowOver > 0; step *= 2) {
                high = low;
                highOver = lowOver;
                low -= step;
                lowOver = below(low, settling, width) - probability;
            }
        } else {
            highOver = below(high, settling, width) - probability;
            for (double step = whole / 4; highOver < 0; step *= 2) {
                low = high;
                lowOver = highOver;
                high += step;
                highOver = below(high, settling, width) - probability;
            }
        }
        int stayed = 0;
        while (high - low > 1e-3 * whole) {
            double cut = (low * highOver - high * lowOver) / (highOver - lowOver);
            double over = below(cut, settling, width) - probability;
            if (Math.abs(over) < 2e-4) {
                return cut;
            }
            if (over > 0) {
                high = cut;
                highOver = over;
                lowOver = stayed < 0 ? lowOver / 2 : lowOver;
                stayed = -1;
            } else {
                low = cut;
                lowOver = over;
                highOver = stayed > 0 ? highOver / 2 : highOver;
                stayed = 1;
            }
        }
        return (low + high) / 2;
    }

    /** How likely it rests no further down than there. */
    private double below(double travel, double settling, double width) {
        // Another ratio of the rod brings it to the stop by so much more the further it went.
        double deviation = Math.hypot(roomStandard, travel * slopeStandard);
        if (travel < contact + MET[0] * deviation) {
            return below(travel - settling, 0, 0, width);
        }
        if (deviation == 0) {
            return onStop(travel, contact, 1, settling, width);
        }
        // Where it is met sooner for the rod's ratio, the stop pushes harder too.
        double harder = travel * slopeStandard * slopeStandard / deviation;
        double sum = 0;
        for (int j = 0; j < MET.length; j++) {
            double push = Math.max(0, 1 - MET[j] * harder);
            sum += MET_LIKELY[j] * onStop(travel, contact + MET[j] * deviation, push, settling, width);
        }
        return sum;
    }

    private double onStop(double travel, double met, double push, double settling, double width) {
        double lift = travel <= met ? 0 : push * model.lift(p, travel - met);
        return below(travel - settling, lift, lift * stiffness, width);
    }

    /** The same over all ratios: what lies between two of them is a straight line. */
    private double below(double travel, double lift, double liftWidth, double width) {
        double more = width * width + liftWidth * liftWidth;
        double sum = 0;
        double from = deviations(travel, lift, more, 0);
        for (int i = 0; i < likely.length; i++) {
            double to = deviations(travel, lift, more, i + 1);
            sum += likely[i] * Normals.mean(from, to, skew);
            from = to;
        }
        return sum;
    }

    private double deviations(double travel, double lift, double more, int i) {
        return (travel + lift * lifts[i] - mean[i]) / Math.sqrt(standard[i] * standard[i] + more);
    }
}
