package abbex.core.heights;

import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Tyre;
import java.util.Optional;

/**
 * The wheels that a sheet stood on, beside the name of their set in its state.
 *
 * @param doubtful the vehicle has wheels of more than one kind, and it was not said which of them stood on this sheet
 * @param tyres of each end, where the set that was named says them
 */
public record SheetWheels(boolean doubtful, PerEnd<Optional<Tyre>> tyres) {
    public static final SheetWheels UNKNOWN = new SheetWheels(false, PerEnd.of(end -> Optional.empty()));
}
