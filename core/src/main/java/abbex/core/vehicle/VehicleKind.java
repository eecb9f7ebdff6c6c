package abbex.core.vehicle;

/** What stands on the floor: it decides which heights are usual and what may twist. */
public enum VehicleKind {
    CAR,
    TRUCK,
    MOTORCYCLE
}
