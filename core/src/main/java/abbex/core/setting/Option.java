package abbex.core.setting;

/**
 * One thing that can be done at an adjuster.
 *
 * @param move what it moves at the wheel if the adjuster does as it is believed to, mm, up positive
 * @param minutes of work; 0 for leaving it
 */
public record Option(double move, double minutes, How how) {
    public static final Option LEAVE = new Option(0, 0, How.LEAVE);

    boolean changes() {
        return !(how instanceof How.Leave);
    }
}
