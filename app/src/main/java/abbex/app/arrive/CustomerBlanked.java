package abbex.app.arrive;

import java.util.UUID;

/** Said when a stay's customer is deleted: whoever keeps the name elsewhere lets it go in the same transaction. */
public record CustomerBlanked(UUID job) {}
