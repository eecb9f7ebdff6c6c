package abbex.core.units;

/** A plane angle. Sign: as the holder says. */
public record Angle(double rad) {
    /** The angle whose tangent is rise over run; run must not be zero. */
    public static Angle ofRise(Length rise, Length run) {
        if (run.nm() == 0) {
            throw new IllegalArgumentException("angle: run is 0");
        }
        return new Angle(Math.atan(rise.nm() / (double) run.nm()));
    }

    public static Angle ofDegrees(double degrees) {
        return new Angle(Math.toRadians(degrees));
    }

    public double degrees() {
        return Math.toDegrees(rad);
    }
}
