package abbex.app.arrive;

import abbex.core.units.Length;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** The wheel sets of a vehicle, for stations before the one where they are kept. */
public interface KnownWheels {
    /**
     * A set.
     *
     * @param sizes what tells it from another: tyres and wheels as typed
     * @param fitted it stands on the vehicle or is planned to
     * @param diameters of its tyres without load, where they can be read
     */
    record Known(String name, String sizes, boolean fitted, PerEnd<Optional<Length>> diameters) {}

    List<Known> of(UUID shop, UUID vehicle);
}
