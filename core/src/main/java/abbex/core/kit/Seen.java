package abbex.core.kit;

import abbex.core.heights.Method;
import abbex.core.vehicle.Corner;

/**
 * A height that was planned and measured.
 *
 * @param sheet after the work, counted from 0
 * @param off by how much it stands higher than planned, mm
 * @param tape one standard deviation of the reading, mm
 * @param before the same of the reading that the plan started from
 * @param settled how much of the settling is over by then, from 0 to 1
 */
public record Seen(Corner corner, Method method, int sheet, double off, double tape, double before, double settled) {
    public Seen {
        if (!(tape > 0 && before > 0 && settled >= 0 && settled <= 1)) {
            throw new IllegalArgumentException("seen: tape " + tape + ", before " + before + " mm, settled " + settled);
        }
    }
}
