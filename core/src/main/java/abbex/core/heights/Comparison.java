package abbex.core.heights;

import abbex.core.figure.Finding;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Tyre;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** What a comparison starts from, and the findings it gathers on its way. */
record Comparison(
        Vehicle vehicle,
        HeightSheet before,
        HeightSheet after,
        Advertised advertised,
        Limits limits,
        List<Finding> findings) {
    private static final List<SheetState.Item> LOADED = List.of(
            SheetState.Item.LOAD,
            SheetState.Item.PRELOAD,
            SheetState.Item.BAG_PRESSURE,
            SheetState.Item.RIDE_MODE,
            SheetState.Item.NOSE_LIFT);

    /** Tools, a wheel, half a tank: 15 kg over an end on 60 N/mm, and as much again, in mm (ours). */
    private static final double UNSAID_LOAD = 2;

    /** Of a hundred sheets without a mistake so few may be asked about by what is compared of their readings, each kind (ours). */
    static final double READ_SURE = 0.994;

    static Comparison of(Vehicle vehicle, HeightSheet before, HeightSheet after, Advertised advertised, Limits limits) {
        return new Comparison(vehicle, before, after, advertised, limits, new ArrayList<>());
    }

    void say(HeightFinding finding) {
        findings.add(finding);
    }

    /** The same wheels on both sheets, as far as anybody said. */
    boolean sameWheels() {
        return !otherWheels(before, after);
    }

    /** On one of the two sheets it was not said which of unlike wheels stood there. */
    boolean doubtfulWheels() {
        return before.basis().wheels().doubtful() || after.basis().wheels().doubtful();
    }

    /** What was told that moves heights between the two. */
    KnownChange known() {
        return new KnownChange(this);
    }

    /** Other wheels on two sheets, or perhaps other ones: the vehicle has some, and it was not said which stood there. */
    static boolean otherWheels(HeightSheet one, HeightSheet other) {
        return one.state().differs(other.state(), SheetState.Item.WHEEL_SET)
                || one.basis().wheels().doubtful()
                || other.basis().wheels().doubtful();
    }

    /** The tyre of an end on one of both sheets: that of its own set, else the vehicle's as it came. */
    Optional<Tyre> tyre(HeightSheet sheet, End end) {
        return sheet.basis()
                .wheels()
                .tyres()
                .get(end)
                .or(() -> sheet == before || sameWheels() ? vehicle.tyre(end) : Optional.empty());
    }

    /** Something of load, preload, bags, ride mode or nose lift that one sheet tells and the other leaves blank: who knows. */
    boolean halfSaid() {
        return LOADED.stream()
                .anyMatch(item -> before.state().said(item).isPresent()
                        != after.state().said(item).isPresent());
    }

    /** What a load that neither sheet tells may move the body by, one standard deviation; nothing where it was told. */
    Uncertainty unsaidLoad() {
        boolean told = before.state().said(SheetState.Item.LOAD).isPresent()
                && after.state().said(SheetState.Item.LOAD).isPresent();
        return told ? Uncertainty.NONE : Uncertainty.known(UNSAID_LOAD);
    }

    /** What both sheets say of load, preload, bags, ride mode and nose lift is the same, as far as anybody said. */
    boolean sameState() {
        return LOADED.stream()
                .filter(item -> item != SheetState.Item.LOAD || !known().loadsTold())
                .noneMatch(item -> before.state().differs(after.state(), item));
    }

    /**
     * Left against right changed by more than the tape and the scatter of new springs explain, at 95 % for both ends
     * together.
     */
    boolean sidesMoved(Estimate change) {
        Uncertainty wide = change.uncertainty()
                .and(Uncertainty.known(limits.of(Limit.SPRINGS_OF_SIDES).mm()));
        return new Estimate(change.value(), wide).differsFromZero(Length.ZERO, End.values().length, 0.95);
    }

    /** What the heights of another vehicle or side may be off by for all of them together, one standard deviation. */
    Uncertainty standIns() {
        return Uncertainty.known(Math.hypot(
                before.basis().standIn().standardMm(), after.basis().standIn().standardMm()));
    }

    /** The two sheets were taken in different bays, as somebody said. */
    boolean otherBay() {
        return before.state().differs(after.state(), SheetState.Item.BAY);
    }

    /** Both floors are known, so that what differs between them has been taken off. */
    boolean floorsKnown() {
        return before.basis().floor().isPresent() && after.basis().floor().isPresent();
    }

    /** Twist of body and floor that the diagonal difference may show, at k = 2. */
    Length twist() {
        Length own = limits.twist(vehicle.kind()).times(2);
        return otherBay() && floorsKnown()
                ? Length.ofRoundedMm(Math.hypot(own.mm(), 2 * Floor.SURVEYED_DIAGONAL))
                : own;
    }

    static List<Corner> corners(Predicate<Corner> which) {
        List<Corner> found = new ArrayList<>(4);
        for (Corner corner : Corner.WALK) {
            if (which.test(corner)) {
                found.add(corner);
            }
        }
        return List.copyOf(found);
    }
}
