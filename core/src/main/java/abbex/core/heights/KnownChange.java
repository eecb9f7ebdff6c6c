package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Tyre;
import abbex.core.vehicle.WheelPlace;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was told of two sheets that moves heights between them: tyres of another radius, other pressures, what was turned on
 * purpose. It is taken off before anything is judged, with what it may be off by.
 */
final class KnownChange {
    /** A tyre's loaded radius follows its free one within this, one standard deviation, mm (ours). */
    private static final double RADIUS = 2.5;

    /** How far a car's tyre is pressed at its pressure, mm: 4 kN on 220 N/mm (common practice, from memory). */
    private static final double PRESSED = 18;

    /** Stiffness goes with pressure nearly in proportion; this much of what follows may be off (ours). */
    private static final double OFF = 0.35;

    /** What a body sinks for a kilogram, mm: four wheels of 25 N/mm (common practice, from memory). */
    private static final double PER_KG = 0.098;

    /** Rates differ and a load lies where it lies: so much of it may be off (ours). */
    private static final double LOAD_OFF = 0.5;

    /**
     * What helper bags lift a rear end by, mm a kPa: some 80 cm2 of bag over a leaf of 35 N/mm (common practice, from
     * memory).
     */
    private static final double PER_KPA = 0.22;

    private final HeightSheet before;
    private final HeightSheet after;
    private final Comparison c;
    private final OnPurpose turned;

    KnownChange(Comparison c) {
        this.c = c;
        this.before = c.before();
        this.after = c.after();
        this.turned = after.basis().turned().since(before.basis().turned());
    }

    /** Adjusters were turned on purpose between the two. */
    boolean turned() {
        return turned.any();
    }

    /** What turning on purpose did to a height, mm, up positive. */
    Estimate turned(Corner corner, Method method) {
        return new Estimate(
                Length.ofRoundedMm(turned.of(corner, method)),
                Uncertainty.known(turned.standard().get(corner)));
    }

    /**
     * What turning on purpose did to left minus right of an end, mm. A body that gives way less on one side gives way more on the
     * other, so that what the sides may be off by adds up.
     */
    Estimate turnedApart(End end, Method method) {
        double width = turned.standard().get(end.left()) + turned.standard().get(end.right());
        return new Estimate(
                Length.ofRoundedMm(turned.of(end.left(), method) - turned.of(end.right(), method)),
                Uncertainty.known(width));
    }

    /** How far the hub rose over the ground by tyres and pressures that were told, mm; empty where other tyres were not told. */
    Optional<Estimate> tyre(WheelPlace corner) {
        double mm = 0;
        double variance = 0;
        if (!c.sameWheels()) {
            Optional<Length> was = c.tyre(before, corner.end()).map(Tyre::freeRadius);
            Optional<Length> is = c.tyre(after, corner.end()).map(Tyre::freeRadius);
            if (was.isEmpty() || is.isEmpty() || c.doubtfulWheels()) {
                return Optional.empty();
            }
            mm += is.get().minus(was.get()).mm();
            variance += RADIUS * RADIUS;
        }
        double inflated = inflated(corner);
        mm += inflated;
        variance += OFF * OFF * inflated * inflated;
        return Optional.of(new Estimate(Length.ofRoundedMm(mm), Uncertainty.known(Math.sqrt(variance))));
    }

    /**
     * The same under any point that stands on both wheels, halfway between them as far as anybody said, mm; empty where an end
     * is not told.
     */
    Optional<Estimate> tyresUnder(Place point) {
        if (point instanceof WheelPlace wheel
                && c.vehicle().kind().wheelPlaces().contains(wheel)) {
            return tyre(wheel);
        }
        if (point instanceof End end) {
            return tyre(end.left()).flatMap(left -> tyre(end.right()).map(right -> Estimate.mean(left, right)));
        }
        return tyresUnder(End.FRONT).flatMap(front -> tyresUnder(End.REAR).map(rear -> between(front, rear)));
    }

    /** A quarter of the way either way is as much as a point between the axles is off the middle (ours). */
    private static Estimate between(Estimate front, Estimate rear) {
        Estimate mean = Estimate.mean(front, rear);
        double place = front.minus(rear).value().abs().mm() / 4;
        return new Estimate(mean.value(), mean.uncertainty().and(Uncertainty.known(place)));
    }

    /** How far the body sank by loads that were told, mm, down positive; nothing where either was not. */
    Estimate load() {
        OptionalDouble was = before.state().loadKg();
        OptionalDouble is = after.state().loadKg();
        double sank = was.isEmpty() || is.isEmpty() ? 0 : PER_KG * (is.getAsDouble() - was.getAsDouble());
        return new Estimate(Length.ofRoundedMm(sank), Uncertainty.known(Math.abs(LOAD_OFF * sank)));
    }

    /** How far an end sank because helper bags were let down, mm, down positive; they stand at the rear. */
    Estimate bags(End end) {
        Optional<Pressure> was = before.state().bags();
        Optional<Pressure> is = after.state().bags();
        boolean told = end == End.REAR && was.isPresent() && is.isPresent();
        double sank = told ? PER_KPA * (was.get().kPa() - is.get().kPa()) : 0;
        return new Estimate(Length.ofRoundedMm(sank), Uncertainty.known(Math.abs(LOAD_OFF * sank)));
    }

    /** Both loads were told by what they weigh. */
    boolean loadsTold() {
        return before.state().loadKg().isPresent() && after.state().loadKg().isPresent();
    }

    /** A tyre at a higher pressure is pressed less, in proportion. */
    private double inflated(Place corner) {
        Optional<Pressure> was = before.state().pressure(corner);
        Optional<Pressure> is = after.state().pressure(corner);
        return was.isEmpty() || is.isEmpty() || !was.get().differsFrom(is.get())
                ? 0
                : PRESSED * (1 - was.get().kPa() / is.get().kPa());
    }
}
