package abbex.core.alignment;

/** Both wheels of an axle. */
public record AxleToe(Toe left, Toe right) {
    /** Degrees, in positive. */
    public double total() {
        return left.degrees() + right.degrees();
    }

    /** Of a rear axle: where it steers the vehicle to, degrees, to the right positive. Source: definition. */
    public double thrust() {
        return (left.degrees() - right.degrees()) / 2;
    }

    /** A limit that is given for the axle is half of it for each wheel. */
    public static Toe each(double total) {
        return new Toe(total / 2);
    }
}
