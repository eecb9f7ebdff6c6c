package abbex.core.heights;

/**
 * A height that would tell which of several suspicious readings it is.
 *
 * @param spot where
 * @param repeat true when it is read there already, so that somebody else has to read it
 */
public record Asked(MeasuringPoint spot, boolean repeat) {}
