package abbex.core.heights;

import abbex.core.vehicle.Corner;
import java.util.Optional;
import java.util.Set;

/**
 * What the heights of a sheet rest on besides its readings.
 *
 * @param stage at which point of the work it was taken
 * @param repeatability how well the points are found
 * @param floor the survey of the floor it stood on, if there is one
 * @param standIn what the heights were taken from, if not from this vehicle
 * @param arches the corners whose lip was worked on, and nothing else, between the sheet before and this one
 * @param wheels the wheels it stood on
 * @param turned what was turned on purpose since the first sheet
 */
public record Basis(
        Stage stage,
        Repeatability repeatability,
        Optional<Floor> floor,
        SubstituteBaseline standIn,
        Set<Corner> arches,
        SheetWheels wheels,
        OnPurpose turned) {
    public static final Basis USUAL = new Basis(
            Stage.OTHER,
            Repeatability.USUAL,
            Optional.empty(),
            SubstituteBaseline.NONE,
            Set.of(),
            SheetWheels.UNKNOWN,
            OnPurpose.NOTHING);

    public Basis {
        arches = Set.copyOf(arches);
    }

    public Basis at(Stage other) {
        return new Basis(other, repeatability, floor, standIn, arches, wheels, turned);
    }

    public Basis on(Floor other) {
        return new Basis(stage, repeatability, Optional.of(other), standIn, arches, wheels, turned);
    }

    Basis onUnknownFloor() {
        return new Basis(stage, repeatability, Optional.empty(), standIn, arches, wheels, turned);
    }

    public Basis by(Repeatability other) {
        return new Basis(stage, other, floor, standIn, arches, wheels, turned);
    }

    public Basis from(SubstituteBaseline other) {
        return new Basis(stage, repeatability, floor, other, arches, wheels, turned);
    }

    public Basis worked(Set<Corner> corners) {
        return new Basis(stage, repeatability, floor, standIn, corners, wheels, turned);
    }

    public Basis wheels(SheetWheels other) {
        return new Basis(stage, repeatability, floor, standIn, arches, other, turned);
    }

    public Basis turned(OnPurpose other) {
        return new Basis(stage, repeatability, floor, standIn, arches, wheels, other);
    }
}
