package abbex.core.truck;

/**
 * How a leaf pack carries its axle as the load on it changes: three stiff links, the outer ones three quarters of an arm long,
 * the middle one with the axle on it (the three-link model of leaf spring design manuals, from memory). Each arm gives as a
 * leaf of uniform strength under its own share of the load, so that an axle off its pack's middle turns on its way.
 *
 * @param fixed from the fixed eye to the axle, mm
 * @param shackled from the axle to the shackled eye, mm
 * @param arch of the pack as it stands, its eyes over its seat, mm; negative where it hangs through
 */
public record LeafTravel(double fixed, double shackled, double arch) {
    private static final double LINK = 0.75;

    /** How far thin leaves go elsewhere over 60 mm: one standard deviation, mm along (held against an elastica in the tests). */
    public static final double PATH_OFF = 0.4;

    /** The same of their turn, degrees. */
    public static final double TURN_OFF = 0.03;

    /** What these were seen over, mm; less far in proportion. */
    public static final double SEEN_OVER = 60;

    public LeafTravel {
        new LeafSpan(fixed, shackled);
    }

    /**
     * Where the axle is after a travel.
     *
     * @param back towards the shackle, mm
     * @param nose of the pinion up, degrees
     */
    public record Move(double back, double nose) {}

    /** The middle link's turn after a travel up, radians, its shackled end up positive. */
    private double turn(double up) {
        return Math.atan(up * (shackled - fixed) / (shackled * fixed));
    }

    private double along(double up) {
        double turn = turn(up);
        double high = up - arch - (1 - LINK) * fixed * Math.sin(turn);
        double arm = LINK * fixed;
        return Math.sqrt(Math.max(0, arm * arm - high * high)) + (1 - LINK) * fixed * Math.cos(turn);
    }

    /** How far up a pack of so long arms and so much arch can be followed, mm; short of the links' own length. */
    public static double most(double fixed, double shackled, double arch) {
        return Math.max(0, 0.9 * LINK * Math.min(fixed, shackled) - Math.abs(arch));
    }

    /**
     * For a travel of the axle towards the frame, mm.
     *
     * @throws IllegalArgumentException for a travel that no pack of this length makes
     */
    public Move move(double up) {
        if (!(Math.abs(up) + Math.abs(arch) < LINK * Math.min(fixed, shackled))) {
            throw new IllegalArgumentException("leaf: " + up + " mm of travel with an arch of " + arch + " mm");
        }
        return new Move(along(up) - along(0), -Math.toDegrees(turn(up)));
    }
}
