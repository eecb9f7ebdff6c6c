package abbex.core.kit;

import abbex.core.springs.BumpStop;
import abbex.core.springs.SpringLaw;
import java.util.List;
import java.util.Optional;

/**
 * An end with a kit as a function of what goes into it: how far the wheel would go up with no stop in its way, and where it
 * meets the stop. Both in mm of the wheel, up from where it stands now: more is a lower body.
 */
final class EndModel {
    final double[] at = new double[Input.COUNT];
    final double[] standard = new double[Input.COUNT];
    final Told.Origin[] origin = new Told.Origin[Input.COUNT];

    /** Stands where no spring is known: nobody asks it. */
    private static final SpringLaw NO_SPRING = new SpringLaw.Linear(1, 1);

    private static final BumpStop NO_STOP =
            BumpStop.of(List.of(new SpringLaw.Point(0, 0), new SpringLaw.Point(1, 1)), 1);

    private final SpringLaw old;
    private final SpringLaw fitted;
    private final boolean oldKnown;
    private final boolean bySprings;
    private final boolean told;
    private final boolean sameSpring;
    private final boolean sameDamper;
    private final boolean seatsMeasured;
    private boolean springWeighs;
    /** So much of the springs' line is the printed number's, which tells it by itself: 0 to 1. */
    private double printed;

    private final boolean gasCounts;
    private final boolean boxWhole;
    private final Told settling;
    private final double closer;
    private final double beside;
    private final boolean pressed;
    private final BumpStop oldStop;
    private final boolean stopped;
    private final BumpStop stop;

    private EndModel(EndNow now, EndKit kit, Told settling) {
        sameSpring = kit.spring().isEmpty();
        old = now.spring().map(s -> s.spring().law()).orElse(NO_SPRING);
        oldKnown = now.spring().isPresent();
        fitted = kit.spring().map(s -> s.spring().law()).orElse(old);
        seatsMeasured = now.seats().isPresent() && !sameSpring;
        bySprings = sameSpring ? oldKnown && kit.springBox().isEmpty() : oldKnown || seatsMeasured;
        sameDamper = kit.damper().isEmpty();
        gasCounts = !kit.boxCounts();
        boxWhole = kit.boxWhole();
        closer = closer(now, kit);
        beside = kit.parts().stream()
                .filter(part -> part.atWheel() && !part.usesTravel())
                .mapToDouble(Part::move)
                .sum();
        boolean roomKnown = now.rod().isPresent();
        pressed = roomKnown && now.stop().isPresent();
        oldStop = now.stop().map(StopFacts::stop).orElse(NO_STOP);
        stopped = roomKnown && kit.stop().or(now::stop).isPresent();
        stop = kit.stop().or(now::stop).map(StopFacts::stop).orElse(NO_STOP);
        told = bySprings || kit.spring().isEmpty() || kit.springBox().isPresent();
        fill(now, kit);
        boolean settles = kit.spring().isPresent() || kit.springBox().isPresent();
        this.settling = settles ? settling : Told.measured(0, 0);
    }

    /** What comes on top of it all once it has settled, mm. */
    Told settling() {
        return settling;
    }

    /** Something tells what the spring that goes in does. */
    boolean told() {
        return told;
    }

    static EndModel of(EndNow now, EndKit kit, Told settling) {
        return new EndModel(now, kit, settling);
    }

    /** By how much less of the rod shows at the same height, for the new damper goes in less far than the old one; mm. */
    private static double closer(EndNow now, EndKit kit) {
        Optional<Told> was = now.damper().shortest();
        Optional<Told> is = kit.damper().flatMap(DamperFacts::shortest);
        return was.isPresent() && is.isPresent() ? is.get().value() - was.get().value() : 0;
    }

    private void fill(EndNow now, EndKit kit) {
        set(Input.LOAD, now.load());
        set(Input.RATIO, now.ratio());
        set(Input.ROD_RATIO, now.rodRatio());
        set(Input.SLOPE, now.slope());
        set(Input.WHEEL_RATE, now.wheelRate());
        set(Input.OLD_GAS, now.damper().gas());
        set(Input.NEW_GAS, kit.damper().map(DamperFacts::gas).orElse(Told.measured(0, 0)));
        now.spring().ifPresent(s -> spring(Input.OLD_RATE, Input.OLD_LENGTH, s));
        kit.spring().ifPresent(s -> spring(Input.NEW_RATE, Input.NEW_LENGTH, s));
        now.seats().ifPresent(s -> set(Input.SEATS, s));
        now.rod().ifPresent(r -> set(Input.ROD, r));
        if (!bySprings()) {
            kit.springBox()
                    .ifPresent(box -> set(Input.BOX, Box.told(box, kit.own().off())));
        }
        kit.stop().or(now::stop).ifPresent(facts -> set(Input.STOP, new Told(1, facts.force(), facts.origin())));
        parts(kit);
        springWeighs = oldKnown && seatsMeasured && weighsBetter(now);
        if (bySprings && !sameSpring) {
            kit.springBox().ifPresent(box -> weigh(Box.told(box, kit.own().off())));
        }
    }

    /** Two that disagree beyond what both leave open are not one figure: then the springs' own stands. */
    private static final double AGREE = 2;

    /**
     * What is printed and what the springs' figures come to are two estimates of one thing: each counts by one over its variance
     * (JCGM 100:2008), so that more told is never less known.
     */
    private void weigh(Told box) {
        double springs = springStandard();
        double apart = byFigures(at) + inBox(at) - box.value();
        if (Math.abs(apart) > AGREE * Math.hypot(springs, box.standard())) {
            return;
        }
        set(Input.BOX, box);
        printed = springs * springs / (springs * springs + box.standard() * box.standard());
    }

    private double springStandard() {
        double square = 0;
        double[] p = at.clone();
        for (int i = 0; i < p.length; i++) {
            if (standard[i] != 0) {
                p[i] = at[i] + standard[i];
                double up = byFigures(p);
                p[i] = at[i] - standard[i];
                double down = byFigures(p);
                p[i] = at[i];
                square += Math.pow((up - down) / 2, 2);
            }
        }
        return Math.sqrt(square);
    }

    /** The printed number counts beside the springs' figures. */
    boolean weighed() {
        return printed > 0;
    }

    /** The old spring between its measured seats tells its force better than the load does. */
    private static boolean weighsBetter(EndNow now) {
        SpringFacts old = now.spring().orElseThrow();
        double deflection = old.spring().free() - now.seats().orElseThrow().value();
        double bySpring = Math.hypot(
                old.rate(), Math.hypot(old.length(), now.seats().orElseThrow().standard()) / deflection);
        double byLoad = Math.hypot(
                now.load().standard() / now.load().value(),
                now.ratio().standard() / now.ratio().value());
        return deflection > 0 && deflection < old.spring().law().solid() && bySpring < byLoad;
    }

    private void spring(Input rate, Input length, SpringFacts facts) {
        set(rate, new Told(1, facts.rate(), facts.origin()));
        set(length, new Told(facts.spring().free(), facts.length(), facts.origin()));
    }

    private void parts(EndKit kit) {
        double seat = 0;
        double wheel = 0;
        double seatVariance = 0;
        double wheelVariance = 0;
        for (Part part : kit.parts()) {
            double variance = part.standard() * part.standard();
            if (part.atWheel()) {
                wheel += part.move();
                wheelVariance += variance;
            } else {
                seat += part.move();
                seatVariance += variance;
            }
        }
        set(Input.AT_SEAT, Told.measured(seat, Math.sqrt(seatVariance)));
        set(Input.AT_WHEEL, Told.measured(wheel, Math.sqrt(wheelVariance)));
    }

    void set(Input input, Told told) {
        at[input.ordinal()] = told.value();
        standard[input.ordinal()] = told.standard();
        origin[input.ordinal()] = told.origin();
    }

    /** The springs are known well enough that the box is not needed. */
    boolean bySprings() {
        return bySprings;
    }

    double free(double[] p) {
        return springLine(p) + gasLine(p) + atSeat(p) + p[Input.AT_WHEEL.ordinal()];
    }

    private double atSeat(double[] p) {
        double move = p[Input.AT_SEAT.ordinal()] / p[Input.RATIO.ordinal()];
        return move == 0 ? 0 : move * yields(p);
    }

    /**
     * How much of what springs, gas or seats give at the wheel is left where the ratio changes on the way: MR² · k ÷ (MR² · k +
     * F · dMR/dz), for a ratio that grows as the wheel goes up presses it back (statics of a spring on a lever).
     */
    private double yields(double[] p) {
        double slope = p[Input.SLOPE.ordinal()];
        if (slope == 0) {
            return 1;
        }
        double rate = wheelRate(p);
        // Where the ratio falls so fast that hardly anything holds the wheel a straight line says nothing more.
        return rate / Math.max(rate / 2, rate + slope * p[Input.LOAD.ordinal()] / p[Input.RATIO.ordinal()]);
    }

    /**
     * The force of the spring as it stands, N: by the load, less what gas and stop carry, or, where somebody measured how far
     * its seats are apart and that tells more, by the old spring itself.
     */
    private double oldForce(double[] p) {
        return springWeighs
                ? p[Input.OLD_RATE.ordinal()] * old.force(p[Input.OLD_LENGTH.ordinal()] - p[Input.SEATS.ordinal()])
                : (p[Input.LOAD.ordinal()]
                                - p[Input.ROD_RATIO.ordinal()] * (p[Input.OLD_GAS.ordinal()] + pressedNow(p)))
                        / p[Input.RATIO.ordinal()];
    }

    /** What the stop pushes already, N at the rod. */
    private double pressedNow(double[] p) {
        return !pressed ? 0 : p[Input.STOP.ordinal()] * oldStop.force(oldStop.height() - p[Input.ROD.ordinal()]);
    }

    /** The force of the spring with another gas and no stop, N. */
    private double forceWith(double[] p, double gas) {
        return oldForce(p)
                + p[Input.ROD_RATIO.ordinal()]
                        * (p[Input.OLD_GAS.ordinal()] + pressedNow(p) - gas)
                        / p[Input.RATIO.ordinal()];
    }

    /** What the other spring gives at the wheel with the old damper's gas. */
    double springLine(double[] p) {
        double box = p[Input.BOX.ordinal()] - inBox(p);
        if (!bySprings()) {
            return box;
        }
        return printed == 0 ? byFigures(p) : (1 - printed) * byFigures(p) + printed * box;
    }

    /** What the printed number has in it beside the springs: its dampers' gas, or all that goes in with them. */
    private double inBox(double[] p) {
        double gas = gasCounts ? 0 : gasLine(p);
        return boxWhole ? gas + atSeat(p) + p[Input.AT_WHEEL.ordinal()] : gas;
    }

    /** The same by the springs' figures alone. */
    double byFigures(double[] p) {
        double was = seatsMeasured ? p[Input.SEATS.ordinal()] : oldLength(p, oldForce(p));
        return (was - length(p, forceWith(p, p[Input.OLD_GAS.ordinal()]))) / p[Input.RATIO.ordinal()] * yields(p);
    }

    private double oldLength(double[] p, double force) {
        return p[Input.OLD_LENGTH.ordinal()] - old.deflection(force / p[Input.OLD_RATE.ordinal()]);
    }

    /** How long the spring that will be fitted is under a force. */
    private double length(double[] p, double force) {
        return sameSpring
                ? oldLength(p, force)
                : p[Input.NEW_LENGTH.ordinal()] - fitted.deflection(force / p[Input.NEW_RATE.ordinal()]);
    }

    /** What another gas force takes back. */
    double gasLine(double[] p) {
        if (sameDamper || !gasCounts && !bySprings()) {
            return 0;
        }
        double was = p[Input.OLD_GAS.ordinal()];
        double is = p[Input.NEW_GAS.ordinal()];
        return bySprings()
                ? (length(p, forceWith(p, was)) - length(p, forceWith(p, is))) / p[Input.RATIO.ordinal()] * yields(p)
                : -p[Input.ROD_RATIO.ordinal()] * (is - was) / p[Input.WHEEL_RATE.ordinal()];
    }

    /** The gas of the damper that will be fitted, N. */
    double gas(double[] p) {
        return p[(sameDamper ? Input.OLD_GAS : Input.NEW_GAS).ordinal()];
    }

    /** How much of the rod of the damper that will be fitted shows at the height as it stands, mm. */
    double rod(double[] p) {
        return p[Input.ROD.ordinal()] - closer;
    }

    /** How far the body comes down until the stop is met, mm; never where there is none. A higher spindle brings it no nearer. */
    double contact(double[] p) {
        return !stopped ? Double.POSITIVE_INFINITY : (rod(p) - stop.height()) / p[Input.ROD_RATIO.ordinal()] + beside;
    }

    /** How far the wheel would go on up, were a crushed stop not to push, mm. */
    double lift(double[] p, double crushAtWheel) {
        double ratio = p[Input.ROD_RATIO.ordinal()];
        double push = ratio * p[Input.STOP.ordinal()] * stop.force(ratio * crushAtWheel);
        if (!bySprings()) {
            return push / p[Input.WHEEL_RATE.ordinal()];
        }
        double force = forceWith(p, gas(p));
        double spring = p[Input.RATIO.ordinal()];
        return (length(p, force - push / spring) - length(p, force)) / spring * yields(p);
    }

    /** N/mm at the wheel of the spring that will be fitted, where it comes to rest with no stop in its way. */
    double wheelRate(double[] p) {
        if (!bySprings()) {
            return p[Input.WHEEL_RATE.ordinal()];
        }
        double force = forceWith(p, gas(p));
        double stiffness = p[(sameSpring ? Input.OLD_RATE : Input.NEW_RATE).ordinal()];
        double ratio = p[Input.RATIO.ordinal()];
        return ratio * ratio * stiffness * fitted.rate(fitted.deflection(force / stiffness));
    }

    /** How far what lowers the body beside its suspension does so, mm. */
    double beside() {
        return beside;
    }

    /** How far the spring that will be fitted is pressed with no stop in its way, mm. */
    double pressed(double[] p) {
        double force = forceWith(p, gas(p));
        return sameSpring
                ? old.deflection(force / p[Input.OLD_RATE.ordinal()])
                : fitted.deflection(force / p[Input.NEW_RATE.ordinal()]);
    }

    /** How far the old one is pressed as it stands, mm. */
    double oldDeflection(double[] p) {
        return old.deflection(oldForce(p) / p[Input.OLD_RATE.ordinal()]);
    }

    /** Its rate there, N/mm. */
    double oldRate(double[] p) {
        return p[Input.OLD_RATE.ordinal()] * old.rate(oldDeflection(p));
    }

    double fittedSolid() {
        return fitted.solid();
    }
}
