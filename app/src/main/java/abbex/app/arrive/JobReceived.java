package abbex.app.arrive;

import abbex.app.people.Person;
import java.time.Instant;
import java.util.UUID;

/** Said when a vehicle has been received: its first sheet can be opened. */
public record JobReceived(Person by, UUID job, Instant at) {}
