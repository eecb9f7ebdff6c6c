package abbex.core.motorcycle;

/**
 * A plane four-bar: crank and rocker on the ground, a coupler between their ends. Lengths in one unit.
 *
 * @param ground from the crank's pivot to the rocker's
 */
public record FourBar(double crank, double coupler, double rocker, double ground) {
    public FourBar {
        if (!(crank > 0 && coupler > 0 && rocker > 0 && ground > 0)) {
            throw new IllegalArgumentException(
                    "bars: " + crank + ", " + coupler + ", " + rocker + ", " + ground + "; each more than 0");
        }
    }

    /**
     * By how much it cannot close at an angle of the crank; 0 where it can.
     *
     * @param degrees of the crank from the line to the rocker's pivot
     */
    public double gap(double degrees) {
        double away = reach(Math.toRadians(degrees));
        return Math.max(0, Math.max(away - (coupler + rocker), Math.abs(coupler - rocker) - away));
    }

    private double reach(double angle) {
        return Math.hypot(ground - crank * Math.cos(angle), crank * Math.sin(angle));
    }

    /**
     * The rocker's angle from the same line, degrees, by the circles about the crank's end and the rocker's pivot; NaN where they
     * do not meet.
     *
     * @param crossed the other of the two ways in which it closes
     */
    public double rocker(double degrees, boolean crossed) {
        if (gap(degrees) > 0) {
            return Double.NaN;
        }
        double angle = Math.toRadians(degrees);
        double x = crank * Math.cos(angle) - ground;
        double y = crank * Math.sin(angle);
        double away = Math.hypot(x, y);
        double along = (rocker * rocker - coupler * coupler + away * away) / (2 * away);
        double aside = Math.sqrt(Math.max(0, rocker * rocker - along * along)) * (crossed ? 1 : -1);
        return Math.toDegrees(Math.atan2(along * y + aside * x, along * x - aside * y));
    }
}
