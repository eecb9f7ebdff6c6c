package abbex.core.heights;

import static abbex.core.heights.Sheets.codes;
import static abbex.core.heights.Sheets.finding;
import static abbex.core.heights.Sheets.sheet;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Severity;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Tyre;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What the sheet says aloud. The stories are invented; limits are common practice, each may be changed. */
class FindingsTest {
    private static final Vehicle CAR = Vehicle.of(VehicleKind.CAR).withWheelbase(Length.ofMm(2640));

    private static Sheets before() {
        return sheet().with(Method.GF, "26 3/8", "26 3/8", "26 5/8", "26 5/8")
                .with(Method.HF, "14 3/8", "14 3/8", "14 5/8", "14 5/8")
                .with(Method.FG, "7", "7", "7 3/4", "7 3/4")
                .pressures(33, 33, 33, 33);
    }

    private static Sheets after() {
        return sheet().with(Method.GF, "25 3/16", "25 3/16", "25 13/16", "25 13/16")
                .with(Method.HF, "13 3/16", "13 3/16", "13 13/16", "13 13/16")
                .with(Method.FG, "5 7/8", "5 7/8", "6 7/8", "6 7/8")
                .pressures(33, 33, 33, 33);
    }

    private static Advertised promise(String front, String rear) {
        return new Advertised(Map.of(
                End.FRONT, new Advertised.Range(Sheets.inches(front), Sheets.inches(front)),
                End.REAR, new Advertised.Range(Sheets.inches(rear), Sheets.inches(rear))));
    }

    private static DropSheet compare(Sheets before, Sheets after) {
        return DropSheet.compare(CAR, before.done(), after.done());
    }

    @Test
    void a_clean_job_has_nothing_to_look_at() {
        DropSheet sheet =
                DropSheet.compare(CAR, before().done(), after().done(), promise("1 3/16", "13/16"), Limits.USUAL);
        assertTrue(
                sheet.findings().stream().noneMatch(f -> f.severity().compareTo(Severity.NOTE) > 0),
                codes(sheet).toString());
        assertTrue(codes(sheet)
                .containsAll(List.of(
                        "AS_PROMISED", "LEFT_RIGHT_GOOD", "DIAGONAL_HELD", "RAKE_CHANGED", "RAKE_OVER_WHEELBASE")));
        assertEquals(
                Length.ofInches(1, 3, 16),
                sheet.ends().get(End.FRONT).drop().orElseThrow().value().value());
    }

    @Test
    void the_box_promised_more() {
        DropSheet sheet = DropSheet.compare(CAR, before().done(), after().done(), promise("2", "1"), Limits.USUAL);
        assertEquals(
                End.FRONT, finding(sheet, HeightFinding.LessThanPromised.class).place());
        assertEquals(End.REAR, finding(sheet, HeightFinding.LessButUsual.class).place());
        DropSheet more = DropSheet.compare(CAR, before().done(), after().done(), promise("5/8", "5/8"), Limits.USUAL);
        assertEquals(
                End.FRONT, finding(more, HeightFinding.MoreThanPromised.class).place());
        assertEquals(End.REAR, finding(more, HeightFinding.MoreButUsual.class).place());
    }

    @Test
    void a_low_tyre_reads_as_drop() {
        DropSheet sheet = compare(before(), after().with(Method.TG).pressures(21, 33, 33, 33));
        assertEquals(
                Corner.LF, finding(sheet, HeightFinding.StatePressure.class).place());
        Sheets low = sheet().with(Method.GF, "24 7/8", "25 3/16", "25 13/16", "25 13/16")
                .with(Method.HF, "13 3/16", "13 3/16", "13 13/16", "13 13/16");
        assertEquals(
                Corner.LF,
                finding(compare(before(), low), HeightFinding.TyreOrMisread.class)
                        .place());
        assertEquals(
                End.FRONT,
                finding(compare(before(), low), HeightFinding.TyreSides.class).place());
        assertTrue(codes(compare(before(), low)).contains("PRESSURE_NOT_TAKEN"), "a blank pressure is never equal");
    }

    @Test
    void a_hub_reading_slipped_by_half_an_inch() {
        Sheets slipped = after();
        slipped.readings()
                .replaceAll(r -> r.spot() == MeasuringPoint.of(Corner.RF, Method.HF)
                        ? Reading.of(r.spot(), Sheets.read("13 11/16", Method.HF))
                        : r);
        DropSheet sheet = compare(before(), slipped);
        assertEquals(
                Corner.RF, finding(sheet, HeightFinding.TyreOrMisread.class).place());
        assertEquals(
                Corner.RF, finding(sheet, HeightFinding.WheelAgainstFrame.class).place());
        assertEquals(
                List.of(Method.HF),
                finding(sheet, HeightFinding.DiagonalOneMethod.class).moved());
        assertEquals(End.FRONT, finding(sheet, HeightFinding.LeftRightNew.class).place());
    }

    @Test
    void the_diagonal_moved_in_every_method() {
        Sheets bound = sheet().with(Method.GF, "25 3/16", "25 11/16", "25 13/16", "25 13/16")
                .with(Method.HF, "13 3/16", "13 11/16", "13 13/16", "13 13/16");
        assertEquals(
                Severity.LOOK,
                finding(compare(before(), bound), HeightFinding.DiagonalMoved.class)
                        .severity());
        DropSheet truck = DropSheet.compare(Vehicle.of(VehicleKind.TRUCK), before().done(), bound.done());
        assertFalse(codes(truck).contains("DIAGONAL_HELD") && codes(truck).contains("DIAGONAL_MOVED"));
    }

    @Test
    void crooked_before_is_said_before_anything_is_loosened() {
        Sheets crooked = sheet().with(Method.HF, "14", "14 3/8", "14 5/8", "14 5/8");
        DropSheet arrived = DropSheet.compare(CAR, crooked.done(), HeightSheet.empty());
        assertEquals(
                Corner.LF, finding(arrived, HeightFinding.LeftRightBefore.class).lower());
        Sheets still = sheet().with(Method.HF, "12 13/16", "13 3/16", "13 13/16", "13 13/16");
        DropSheet sheet = compare(crooked, still);
        assertEquals(
                Severity.LOOK,
                finding(sheet, HeightFinding.LeftRightAsBefore.class).severity());
        assertEquals(
                Method.HF, finding(sheet, HeightFinding.DiagonalBefore.class).method());
        assertFalse(codes(sheet).contains("LEFT_RIGHT_NEW"));
    }

    /** 25 5/8 beside 22 5/8 by one method: asked before anything is loosened, at that end alone. */
    @Test
    void an_inch_misread_at_arrival_is_asked_at_once() {
        Sheets one = sheet().with(Method.GF, "22 5/8", "25 5/8", "26 1/8", "26 1/16");
        DropSheet arrived = DropSheet.compare(CAR, one.done(), HeightSheet.empty());
        assertEquals(
                End.FRONT, finding(arrived, HeightFinding.SidesFarApart.class).place());
        assertEquals(
                1,
                arrived.findings().stream()
                        .filter(f -> f.severity() == Severity.LOOK)
                        .count(),
                arrived.findings().toString());
        // Hubs show the same lean: it leans.
        Sheets leans = sheet().with(Method.GF, "24 5/8", "25 5/8", "26 1/8", "26 1/16")
                .with(Method.HF, "13", "14", "14 5/8", "14 9/16");
        assertFalse(
                codes(DropSheet.compare(CAR, leans.done(), HeightSheet.empty())).contains("SIDES_FAR_APART"));
    }

    /** Read to half an inch, sides that were not seen apart are not said to match; read to a sixteenth they are. */
    @Test
    void sides_that_could_not_have_been_seen_apart_are_not_said_to_match() {
        for (int perInch : new int[] {2, 16}) {
            Sheets before = sheet();
            Sheets after = sheet();
            for (Corner corner : Corner.WALK) {
                MeasuringPoint spot = MeasuringPoint.of(corner, Method.HF);
                Graduation tape = new Graduation(LengthUnit.INCH, perInch);
                before.reading(Reading.of(spot, TapeReading.of(Length.ofInches(14, 0, 1), tape)));
                after.reading(Reading.of(spot, TapeReading.of(Length.ofInches(13, 0, 1), tape)));
            }
            assertEquals(
                    perInch == 16,
                    codes(DropSheet.compare(CAR, before.done(), after.done())).contains("LEFT_RIGHT_GOOD"),
                    "1/" + perInch + " in");
        }
    }

    /** A 17 in rim's radius is 235 mm over its edge: 9 1/4 in short of the hub at every corner, and nothing else is said of it. */
    @Test
    void rims_read_from_their_upper_edge_are_named_as_such() {
        Sheets upper = sheet().with(Method.HF, "14", "14", "14 5/8", "14 9/16")
                .with(Method.RIM, "4 3/4", "4 3/4", "5 3/8", "5 5/16");
        DropSheet arrived = DropSheet.compare(CAR, upper.done(), HeightSheet.empty());
        finding(arrived, HeightFinding.RimUpperEdge.class);
        assertEquals(
                1,
                arrived.findings().stream()
                        .filter(f -> f.severity() == Severity.LOOK)
                        .count(),
                arrived.findings().toString());
        Sheets lower = sheet().with(Method.HF, "14", "14", "14 5/8", "14 9/16")
                .with(Method.RIM, "23 1/4", "23 1/4", "23 7/8", "23 13/16");
        assertFalse(
                codes(DropSheet.compare(CAR, lower.done(), HeightSheet.empty())).contains("RIM_UPPER_EDGE"));
    }

    @Test
    void a_corner_went_up() {
        DropSheet sheet = compare(
                sheet().with(Method.HF, "14", "14", "14", "14"),
                sheet().with(Method.HF, "14 1/4", "14 1/4", "13 1/2", "13 1/2"));
        assertEquals(
                Sheets.inches("1/4"),
                finding(sheet, HeightFinding.CornerRose.class).by().value());
    }

    @Test
    void wrong_column_and_wrong_unit() {
        DropSheet column = DropSheet.compare(
                CAR, sheet().at(Corner.RF, Method.HF, "26 3/8").done(), HeightSheet.empty());
        assertEquals(
                List.of(Method.GF, Method.RIM),
                finding(column, HeightFinding.WrongColumn.class).fits());
        Reading bare = Reading.of(
                MeasuringPoint.of(Corner.RF, Method.GF),
                TapeText.parse("26", LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, TapeText.Allowed.POSITIVE)
                        .asReading()
                        .orElseThrow());
        DropSheet unit = DropSheet.compare(CAR, sheet().reading(bare).done(), HeightSheet.empty());
        assertEquals(
                LengthUnit.INCH, finding(unit, HeightFinding.UnitDoubt.class).meant());
        DropSheet odd =
                DropSheet.compare(CAR, sheet().at(Corner.RF, Method.GF, "95").done(), HeightSheet.empty());
        assertEquals(
                Severity.LOOK, finding(odd, HeightFinding.UnusualHeight.class).severity());
    }

    @Test
    void after_without_before_and_what_is_still_to_read() {
        DropSheet sheet =
                compare(sheet().with(Method.HF, "14", "", "14", "14"), sheet().with(Method.HF, "13", "13", "", "13"));
        assertEquals(
                List.of(Corner.RF), finding(sheet, HeightFinding.NoBefore.class).at());
        assertEquals(
                List.of(Corner.RR),
                finding(sheet, HeightFinding.StillToRead.class).at());
        assertEquals(Corner.LF, finding(sheet, HeightFinding.OneSideOnly.class).measured());
        assertTrue(codes(sheet).contains("NO_FRAME"));
    }

    @Test
    void before_corrected_after_the_after() {
        Instant noon = Instant.parse("2026-11-25T12:00:00Z");
        MeasuringPoint spot = MeasuringPoint.of(Corner.LF, Method.HF);
        DropSheet sheet = compare(
                sheet().reading(new Reading(spot, Sheets.read("14", Method.HF), "OV", noon.plusSeconds(600), true)),
                sheet().reading(new Reading(spot, Sheets.read("13", Method.HF), "OV", noon, false)));
        assertEquals(
                spot, finding(sheet, HeightFinding.BeforeCorrectedLater.class).place());
    }

    @Test
    void two_people_repeat_and_disagree() {
        MeasuringPoint spot = MeasuringPoint.of(Corner.LF, Method.HF);
        HeightSheet sheet = sheet().reading(new Reading(spot, Sheets.read("14", Method.HF), "OV", Instant.EPOCH, false))
                .reading(new Reading(spot, Sheets.read("14 3/8", Method.HF), "JB", Instant.EPOCH, false))
                .done();
        assertEquals(
                Sheets.inches("14 3/16"),
                sheet.at(Corner.LF, Method.HF).orElseThrow().value());
        assertEquals(
                spot,
                finding(DropSheet.compare(CAR, sheet, HeightSheet.empty()), HeightFinding.RepeatsDisagree.class)
                        .place());
        HeightSheet agree = sheet().reading(new Reading(spot, Sheets.read("14", Method.HF), "OV", Instant.EPOCH, false))
                .reading(new Reading(spot, Sheets.read("14 1/16", Method.HF), "JB", Instant.EPOCH, false))
                .done();
        assertFalse(codes(DropSheet.compare(CAR, agree, HeightSheet.empty())).contains("REPEATS_DISAGREE"));
    }

    @Test
    void unlike_states() {
        SheetState road =
                SheetState.of(Map.of(), Map.of(SheetState.Item.WHEEL_SET, "road 17", SheetState.Item.LOAD, "Empty"));
        SheetState track = SheetState.of(
                Map.of(),
                Map.of(
                        SheetState.Item.WHEEL_SET,
                        "track 18",
                        SheetState.Item.LOAD,
                        "empty ",
                        SheetState.Item.FUEL,
                        "full"));
        DropSheet sheet = compare(before().state(road), after().state(track));
        assertEquals(
                SheetState.Item.WHEEL_SET,
                finding(sheet, HeightFinding.StateDiffers.class).item());
        assertEquals(
                SheetState.Item.FUEL,
                finding(sheet, HeightFinding.StateHalfTaken.class).item());
        assertEquals(
                1,
                sheet.findings().stream()
                        .filter(f -> f instanceof HeightFinding.StateDiffers)
                        .count());
    }

    @Test
    void ground_to_lip_alone_has_the_tyre_in_it() {
        DropSheet sheet = compare(
                sheet().with(Method.GF, "26", "26", "26", "26"), sheet().with(Method.GF, "25", "25", "25", "25"));
        assertEquals(Corner.WALK, finding(sheet, HeightFinding.TyreInDrop.class).at());
        DropSheet frame =
                compare(sheet().with(Method.FG, "7", "7", "7", "7"), sheet().with(Method.FG, "6", "6", "6", "6"));
        assertTrue(frame.corners().get(Corner.LF).best().isEmpty());
        assertTrue(codes(frame).contains("ONLY_FRAME"));
    }

    @Test
    void a_rim_is_a_rim() {
        DropSheet sheet = compare(
                before().with(Method.RIM, "23 5/8", "23 5/8", "23 7/8", "23 7/8"),
                after().with(Method.RIM, "22 7/16", "22 7/16", "23 7/16", "23 1/16"));
        assertEquals(
                Corner.RR, finding(sheet, HeightFinding.RimRadiusMoved.class).place());
        assertEquals(
                End.REAR, finding(sheet, HeightFinding.RimRadiusSides.class).place());
        assertEquals(Method.RIM, sheet.corners().get(Corner.LF).bestMethod().orElseThrow());
    }

    @Test
    void tread_to_lip_and_the_tyres_free_radius() {
        Vehicle tyres =
                CAR.withTyre(End.FRONT, Tyre.of(Length.ofMm(634))).withTyre(End.REAR, Tyre.of(Length.ofMm(634)));
        DropSheet sheet = DropSheet.compare(tyres, before().done(), after().done());
        Length gap = sheet.corners()
                .get(Corner.LF)
                .gap()
                .after()
                .orElseThrow()
                .value()
                .value();
        assertEquals(Sheets.inches("13 3/16").minus(Length.ofMm(317)), gap);
        DropSheet moved = compare(
                before().with(Method.TG, "1 7/8", "1 7/8", "2 1/8", "2 1/8"),
                after().with(Method.TG, "11/16", "1 1/16", "1 5/16", "1 5/16"));
        assertEquals(
                Corner.RF, finding(moved, HeightFinding.FreeRadiusMoved.class).place());
    }

    @Test
    void finer_than_the_tape_is_said_once() {
        DropSheet sheet = DropSheet.compare(
                CAR,
                sheet().with(Method.HF, "14 1/32", "14 3/32", "14 5/8", "14 5/8")
                        .done(),
                HeightSheet.empty());
        assertEquals(
                1,
                sheet.findings().stream()
                        .filter(f -> f instanceof HeightFinding.FinerThanTape)
                        .count());
    }
}
