package abbex.core.units;

/** A distance on the road, in kilometres. */
public record Distance(double km) {
    /** Exact: the international mile (international yard and pound agreement, 1959). */
    public static final double KM_PER_MILE = 1.609344;

    public static Distance ofMiles(double miles) {
        return new Distance(miles * KM_PER_MILE);
    }

    public double miles() {
        return km / KM_PER_MILE;
    }
}
