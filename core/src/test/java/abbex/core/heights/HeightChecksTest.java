package abbex.core.heights;

import static abbex.core.heights.Sheets.sheet;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drops and rakes with a source outside the project, by the id of their row in checks.csv. */
class HeightChecksTest {
    private static final Vehicle CAR = Vehicle.of(VehicleKind.CAR);

    private static Estimate drop(Method method, String before, String after) {
        DropSheet sheet = DropSheet.compare(
                CAR,
                sheet().at(Corner.LF, method, before).done(),
                sheet().at(Corner.LF, method, after).done());
        return sheet.corners().get(Corner.LF).byMethod().get(method).value();
    }

    @ParameterizedTest
    @ValueSource(strings = {"drop-1", "drop-2", "drop-3", "drop-4", "drop-5"})
    void a_drop_is_the_exact_difference(String id) {
        Checks.Row row = Checks.row(id);
        String[] given = row.given().split(" -> ");
        assertEquals(
                Sheets.inches(row.expected().replace(" in", "")),
                drop(Method.GF, given[0], given[1]).value(),
                row.toString());
    }

    @Test
    void drop8_the_best_drop_is_the_hub_referenced_one() {
        assertEquals(
                "best drop 1 in with u 1.296 mm (GF corrected by GF - HF adds nothing)",
                Checks.row("drop-8").expected());
        DropSheet sheet = DropSheet.compare(
                CAR,
                sheet().at(Corner.LF, Method.GF, "26 3/8")
                        .at(Corner.LF, Method.HF, "14")
                        .done(),
                sheet().at(Corner.LF, Method.GF, "25 1/4")
                        .at(Corner.LF, Method.HF, "13")
                        .done());
        CornerDrop corner = sheet.corners().get(Corner.LF);
        assertEquals(Method.HF, corner.bestMethod().orElseThrow());
        assertEquals(
                Length.ofInches(1, 0, 1), corner.best().orElseThrow().value().value());
        assertEquals(1.296, corner.best().orElseThrow().value().uncertainty().standard(), 0.001);
    }

    @Test
    void drop10_expanded_uncertainty_of_one_drop() {
        assertEquals("U (k 2) 2.592 / 1.715 mm", Checks.row("drop-10").expected());
        assertEquals(2.592, drop(Method.HF, "14", "13").expanded().mm(), 0.001);
        assertEquals(1.715, drop(Method.RIM, "23", "22").expanded().mm(), 0.001);
        assertEquals(1.715, drop(Method.FG, "7", "6").expanded().mm(), 0.001);
    }

    @Test
    void rake1_is_positive_nose_down() {
        assertTrue(Checks.row("rake-1").expected().startsWith("3/4 in"));
        DropSheet sheet = DropSheet.compare(
                CAR, sheet().with(Method.FG, "4 1/2", "4 1/2", "5 1/4", "5 1/4").done(), HeightSheet.empty());
        assertEquals(
                Length.ofInches(0, 3, 4),
                sheet.rake().height().before().orElseThrow().value().value());
        assertTrue(sheet.rake().before().isEmpty(), "no base, no angle");
    }

    @Test
    void rake2_angle_over_the_base() {
        assertEquals("0.3369 deg", Checks.row("rake-2").expected());
        assertEquals(
                0.3369, Angle.ofRise(Length.ofNm(15_875_000), Length.ofMm(2700)).degrees(), 0.0005);
        DropSheet sheet = DropSheet.compare(
                CAR.withWheelbase(Length.ofMm(2700)),
                sheet().with(Method.FG, "4 1/2", "4 1/2", "5 1/8", "5 1/8").done(),
                HeightSheet.empty());
        assertEquals(0.3369, sheet.rake().before().orElseThrow().value().degrees(), 0.0005);
        assertTrue(sheet.rake().overWheelbase());
        DropSheet own = DropSheet.compare(
                CAR.withWheelbase(Length.ofMm(2700)).withFrameBase(Length.ofMm(1350)),
                sheet().with(Method.FG, "4 1/2", "4 1/2", "5 1/8", "5 1/8").done(),
                HeightSheet.empty());
        assertEquals(0.6737, own.rake().before().orElseThrow().value().degrees(), 0.0005);
        assertFalse(own.rake().overWheelbase());
    }
}
