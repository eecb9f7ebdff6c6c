package abbex.core.heights;

import static abbex.core.heights.Sheets.sheet;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Reason;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One ride height that all stations refer to: the sheets answer, and where they cannot it is said. */
class RideHeightTest {
    private static final Vehicle CAR = Vehicle.of(VehicleKind.CAR);

    private static final HeightSheet ARRIVED =
            sheet().with(Method.HF, "14", "14", "14 1/2", "14 1/2").done();
    private static final HeightSheet DOWN =
            sheet().with(Method.HF, "13", "13 1/4", "", "").done();
    private static final HeightSheet LATER =
            sheet().with(Method.HF, "12 1/2", "", "14", "14").done();

    private static RideHeight heights(HeightSheet... sheets) {
        return RideHeight.of(CAR, List.of(sheets), Limits.USUAL);
    }

    @Test
    void the_sheets_say_how_low_each_corner_stands() {
        RideHeight heights = heights(ARRIVED, DOWN, LATER);
        assertEquals(25.4, heights.at(1, Corner.LF).value().mm(), 0.5);
        assertEquals(19.05, heights.at(1, Corner.RF).value().mm(), 0.5);
        assertEquals(38.1, heights.now(Corner.LF).value().mm(), 0.5);
        assertEquals(
                12.7, heights.between(1, 2, Corner.LF).orElseThrow().value().mm(), 0.5);
        assertTrue(heights.now(Corner.LF).uncertainty().standard() > 0.3, "the tape's doubt comes along");
    }

    @Test
    void what_was_not_read_again_keeps_its_last_height_and_is_missed() {
        RideHeight heights = heights(ARRIVED, DOWN, LATER);
        assertEquals(19.05, heights.now(Corner.RF).value().mm(), 0.5);
        assertEquals(List.of(Corner.RF), heights.missing());
        assertEquals(0, heights.at(1, Corner.RR).value().mm(), 0);
        assertTrue(heights.unknown(1, Corner.RR));
        assertFalse(heights.unknown(0, Corner.RR), "the reference is itself");
        assertEquals(List.of(Corner.RR, Corner.LR), heights(ARRIVED, DOWN).missing());
    }

    @Test
    void never_measured_or_once_only_is_no_drop() {
        assertEquals(0, heights().now(Corner.LF).value().mm(), 0);
        assertEquals(List.of(), heights(ARRIVED).missing());
        assertEquals(0, heights(ARRIVED).planned(Corner.LF).value().mm(), 0);
    }

    @Test
    void the_plan_is_the_sum_of_its_parts_else_what_stands() {
        RideHeight heights = heights(ARRIVED, LATER);
        assertEquals(heights.now(Corner.LF), heights.planned(Corner.LF));
        RideHeight planned = heights.planning(List.of(part("springs", 30, 1), part("seat", 10, 1)));
        assertEquals(40, planned.planned(Corner.LF).value().mm(), 1e-9);
        assertEquals(Math.sqrt(2), planned.planned(Corner.LF).uncertainty().standard(), 1e-9);
        assertEquals(heights.now(Corner.RR), planned.planned(Corner.RR));
    }

    private static Contribution part(String name, double mm, double standard) {
        Estimate drop = new Estimate(Length.ofRoundedMm(mm), Uncertainty.known(standard));
        return new Contribution(name, End.FRONT, drop, Reason.of(HeightFormula.PLANNED, drop));
    }

    /** What both sheets have too much by another tyre pressure cancels in nothing that was read from the hub. */
    @Test
    void a_low_tyre_is_no_drop() {
        HeightSheet before = sheet().with(Method.GF, "26", "26", "26 1/2", "26 1/2")
                .with(Method.HF, "14", "14", "14 1/2", "14 1/2")
                .done();
        HeightSheet after = sheet().with(Method.GF, "25 1/2", "26", "26 1/2", "26 1/2")
                .with(Method.HF, "14", "14", "14 1/2", "14 1/2")
                .done();
        assertEquals(0, heights(before, after).now(Corner.LF).value().mm(), 1);
    }
}
