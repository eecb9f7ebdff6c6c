package abbex.core.heights;

import java.util.Optional;

/**
 * A reading by where and when it was taken.
 *
 * @param stage empty where only one sheet is spoken of
 */
public record Taken(MeasuringPoint spot, Optional<Stage> stage) {}
