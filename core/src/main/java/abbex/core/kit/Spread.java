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

    /** The same where the ratio bends little. */
    private static final double[] FEW_ENDS = {-4.2, -2.5, -1.25, 0, 1.25, 2.5, 4.2};

    /** A ratio that moves less than this part of what all the rest does, two deviations away, bends little. */
    private static final double LITTLE = 0.5;

    /** How likely the ratio lies in each piece. */
    private static final double[] LIKELY = likely(ENDS);

    private static final double[] FEW_LIKELY = likely(FEW_ENDS);

    private static final double[] ALL = {1};

    /** Places at which the stop may be met, in deviations, and how likely each is. */
    private static final double[] MET = new double[7];

    private static final double[] MET_LIKELY = new double[MET.length];

    static {
        for (int i = 0; i < MET.length; i++) {
            MET[i] = i - MET.length / 2;
            MET_LIKELY[i] = STANDARD.density(MET[i]);
        }
        share(MET_LIKELY);
    }

    private static double[] likely(double[] ends) {
        double[] likely = new double[ends.length - 1];
        for (int i = 0; i < likely.length; i++) {
            likely[i] = STANDARD.probability(ends[i], ends[i + 1]);
        }
        share(likely);
        return likely;
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
        boolean little = !sure && little(width, standards[1]);
        double[] ends = little ? FEW_ENDS : ENDS;
        likely = sure ? ALL : little ? FEW_LIKELY : LIKELY;
        mean = new double[likely.length + 1];
        standard = new double[mean.length];
        lifts = new double[mean.length];
        for (int i = 0; i < mean.length; i++) {
            double x = sure ? 0 : ends[i];
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

    /** What the ratio moves is less than what all the rest does. */
    private boolean little(double width, double deviation) {
        p[RATIO] = ratio(-2, width);
        double less = model.free(p);
        p[RATIO] = ratio(2, width);
        double more = model.free(p);
        p[RATIO] = model.at[RATIO];
        double here = model.free(p);
        return Math.max(Math.abs(less - here), Math.abs(more - here)) < LITTLE * deviation;
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
        return new Interval(
                rest,
                quantile(0.025, from - NORMAL * whole, whole, settling.value(), width),
                quantile(0.975, from + NORMAL * whole, whole, settling.value(), width));
    }

    /** Where spring and stop carry the load together: the free travel is where it rests, and what the stop lifts. */
    private double rest(double settling) {
        return stopped(model.free(p) + settling, SURE);
    }

    /**
     * Along the free travel what is likely is nearly normal: by chords of its deviations, and where they lead nowhere by halving.
     */
    private double quantile(double probability, double guess, double whole, double settling, double width) {
        if (whole < 1e-5) {
            return rest(settling);
        }
        double target = probability < 0.5 ? -NORMAL : NORMAL;
        double one = guess;
        double oneOff = deviations(one, settling, width) - target;
        double other = one - oneOff * whole;
        for (int i = 0; i < CHORDS && !Double.isInfinite(oneOff); i++) {
            if (Math.abs(oneOff) < CLOSE) {
                return stopped(one, NEAR);
            }
            double otherOff = deviations(other, settling, width) - target;
            double slope = (otherOff - oneOff) / (other - one);
            one = other;
            oneOff = otherOff;
            if (!(slope > 0.05 / whole)) {
                break;
            }
            other = one - oneOff / slope;
        }
        return halving(probability, guess, whole, settling, width);
    }

    private static final int CHORDS = 10;

    /** To how many mm a rest is found: a plan's own, and the end of an interval. */
    private static final double SURE = 1e-9;

    private static final double NEAR = 1e-4;

    /** In deviations: a thousandth of the half-width. */
    private static final double CLOSE = 2e-3;

    /** How many deviations of a normal distribution are as likely as to rest no further down than a free travel brings it. */
    private double deviations(double free, double settling, double width) {
        return STANDARD.inverseCumulativeProbability(Math.max(
                0, Math.min(1, below(stopped(free, NEAR), settling, width))));
    }

    /** Where a free travel comes to rest on the stop as it most likely is, to so many mm, by halving. */
    private double stopped(double free, double sure) {
        if (free <= contact) {
            return free;
        }
        double low = contact;
        double high = free;
        for (int i = 0; i < 60 && high - low > sure; i++) {
            double middle = (low + high) / 2;
            if (middle + model.lift(p, middle - contact) > free) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return (low + high) / 2;
    }

    private double halving(double probability, double guess, double whole, double settling, double width) {
        double low = guess - 8 * whole;
        double high = guess + 8 * whole;
        while (high - low > 1e-3 * whole) {
            double middle = (low + high) / 2;
            if (below(stopped(middle, NEAR), settling, width) < probability) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return stopped((low + high) / 2, NEAR);
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
