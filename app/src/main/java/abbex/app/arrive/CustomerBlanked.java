package abbex.app.arrive;

import java.util.Map;
import java.util.UUID;

/**
 * A customer of a stay was deleted, or taken out of a text about it.
 *
 * @param gone what stands no more, with what stands in its place
 */
public record CustomerBlanked(UUID job, Map<String, String> gone) {}
