package abbex.core.springs;

/** How a sprung mass rides. */
public final class Ride {
    /** Standard gravity, m/s² (3rd CGPM, 1901). */
    private static final double GRAVITY = 9.80665;

    private Ride() {}

    /** Frequency in Hz of a mass in kg on a rate at the wheel in N/mm: √(k/m) / 2π. */
    public static double frequency(double wheelRate, double mass) {
        return Math.sqrt(1000 * wheelRate / mass) / (2 * Math.PI);
    }

    /** How far a mass presses down what lets it ride at a frequency in Hz, mm: g / (2πf)². */
    public static double deflection(double frequency) {
        return 1000 * GRAVITY / Math.pow(2 * Math.PI * frequency, 2);
    }
}
