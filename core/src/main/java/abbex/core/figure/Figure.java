package abbex.core.figure;

/**
 * A figure with its reason.
 *
 * @param value what came out, with its uncertainty where there is one
 * @param reason how it came about
 */
public record Figure<T>(T value, Reason reason) {}
