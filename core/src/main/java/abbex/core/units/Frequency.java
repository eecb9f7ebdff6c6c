package abbex.core.units;

/** A frequency, in hertz. */
public record Frequency(double hertz) {}
