package abbex.core.heights;

/** A reading by where and when it was taken, where several sheets are spoken of. */
public record Taken(Spot spot, Stage stage) {}
