package abbex.core.truck;

/**
 * Air bags beside a spring: gauge pressure times effective area, at the bag; by the lever of its place at the axle.
 *
 * @param area effective, of one bag at the height it stands at, mm²
 * @param bags how many share the load
 * @param lever what a bag carries at the axle for each newton of its own: 1 over the axle
 * @param least gauge pressure under which a bag pinches and cracks, kPa; about 5 psi (common practice)
 * @param most kPa; about 100 psi (common practice)
 */
public record HelperBags(double area, int bags, double lever, double least, double most) {
    public static final double PSI = 6.894757293168;

    /** Under about this gauge pressure a bag pinches, kPa: 5 psi (common practice). */
    public static final double LEAST = 5 * PSI;

    public HelperBags {
        if (!(area > 0 && bags > 0 && lever > 0 && least >= 0 && most > least)) {
            throw new IllegalArgumentException(
                    "bags: " + bags + " of " + area + " mm², lever " + lever + ", " + least + " to " + most + " kPa");
        }
    }

    /** Over the axle, from 5 to 100 psi. */
    public static HelperBags pair(double area) {
        return new HelperBags(area, 2, 1, LEAST, 100 * PSI);
    }

    /** What they carry at the axle, N. */
    public double load(double kiloPascal) {
        return kiloPascal * area * bags * lever / 1000;
    }

    /**
     * What pressure carries a load.
     *
     * @param pressure kPa, never under the least nor over the most
     * @param over N that the spring has to carry as well, because the bags cannot; negative where the least pressure lifts
     */
    public record Set(double pressure, double over) {}

    /** The pressure that keeps an added load from letting the body down, both lines alike. */
    public Set carry(double newton) {
        double wanted = 1000 * newton / (area * bags * lever);
        double pressure = Math.max(least, Math.min(most, wanted));
        return new Set(pressure, newton - load(pressure));
    }

    /**
     * How a pair resists roll: joined, they share their pressure and do not; apart, each springs by itself.
     *
     * @param rate of one bag, N/mm
     * @param track between the bags, mm
     * @return N·mm for each radian of roll
     */
    public double roll(double rate, double track, boolean joined) {
        return joined ? 0 : rate * track * track / 2;
    }
}
