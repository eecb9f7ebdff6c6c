package abbex.core.day;

/**
 * A piece of a job that is not interrupted: between two of them who has the vehicle may help at another.
 *
 * @param minutes on the grid, more than none
 * @param hands 1, or 2 where a second person is called
 */
public record Stint(int minutes, int hands) {
    public Stint {
        if (minutes <= 0 || minutes % Day.GRID != 0) {
            throw new IllegalArgumentException("a stint is some minutes of the grid long: " + minutes);
        }
        if (hands < 1 || hands > 2) {
            throw new IllegalArgumentException("a stint takes one pair of hands or two: " + hands);
        }
    }
}
