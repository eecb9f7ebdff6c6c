package abbex.app.measure;

import java.util.UUID;

/** Whoever knows that a vehicle was turned on after a sheet was read: what was read before stands for another height. */
public interface TurnedSince {
    /** The newest reading's number when something was turned last; 0 while nothing was. */
    long lastBefore(UUID shop, UUID sheet);
}
