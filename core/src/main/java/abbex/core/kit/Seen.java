package abbex.core.kit;

import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;

/**
 * A height that was planned and measured, at a corner or at the one wheel of an end.
 *
 * @param sheet after the work, counted from 0
 * @param off by how much it stands higher than planned, mm
 * @param tape one standard deviation of the reading, mm
 * @param before the same of the reading that the plan started from
 * @param settled how much of the settling is over by then, from 0 to 1
 */
public record Seen(MeasuringPoint spot, int sheet, double off, double tape, double before, double settled) {
    public Seen {
        if (!(tape > 0 && before > 0 && settled >= 0 && settled <= 1)) {
            throw new IllegalArgumentException("seen: tape " + tape + ", before " + before + " mm, settled " + settled);
        }
        if (!(spot.place() instanceof WheelPlace)) {
            throw new IllegalArgumentException("seen: " + spot + " falls by no end alone");
        }
    }

    public Seen(Corner corner, Method method, int sheet, double off, double tape, double before, double settled) {
        this(MeasuringPoint.of(corner, method), sheet, off, tape, before, settled);
    }

    public End end() {
        return ((WheelPlace) spot.place()).end();
    }

    boolean at(Corner corner) {
        return spot.place() == corner;
    }

    boolean beside(Seen other) {
        return spot.place().equals(other.spot.place());
    }

    boolean tyreInIt() {
        return spot.way().tyreInIt();
    }
}
