package abbex.core.heights;

import static abbex.core.heights.HeightFinding.*;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What all sheets of a job say together; readings by hand, expectations by arithmetic. */
class JobChecksTest {
    private static final Vehicle CAR = Vehicle.of(VehicleKind.CAR);

    private static Assessment judge(HeightSheet... sheets) {
        return Assessment.of(CAR, List.of(sheets), Advertised.NOTHING, Limits.USUAL);
    }

    private static Sheets arrived() {
        return Sheets.sheet()
                .basis(Basis.USUAL.at(Stage.AS_ARRIVED))
                .with(Method.GF, "26 1/2", "26 1/2", "27", "27")
                .with(Method.HF, "14 1/4", "14 1/4", "14 1/2", "14 1/2")
                .with(Method.FG, "7", "7", "7 1/2", "7 1/2");
    }

    /** An inch down at all corners. */
    private static Sheets lowered(Basis basis) {
        return Sheets.sheet()
                .basis(basis)
                .with(Method.GF, "25 1/2", "25 1/2", "26", "26")
                .with(Method.HF, "13 1/4", "13 1/4", "13 1/2", "13 1/2")
                .with(Method.FG, "6", "6", "6 1/2", "6 1/2");
    }

    private static final Basis DOWN = Basis.USUAL.at(Stage.FIRST_SET_DOWN);

    @Test
    void any_two_sheets_are_compared() {
        HeightSheet driven = Sheets.sheet()
                .basis(Basis.USUAL.at(Stage.AFTER_SHORT_DRIVE))
                .with(Method.GF, "25 1/4", "25 1/4", "25 7/8", "25 7/8")
                .with(Method.HF, "13", "13", "13 3/8", "13 3/8")
                .done();
        List<HeightSheet> all = List.of(arrived().done(), lowered(DOWN).done(), driven);
        Assessment last = Assessment.of(CAR, all, new Assessment.Pair(1, 2), Advertised.NOTHING, Limits.USUAL);
        Estimate drop =
                last.drops().corners().get(Corner.LF).byMethod().get(Method.HF).value();
        assertEquals(Sheets.inches("1/4"), drop.value(), "13 1/4 less 13, exactly");
        Estimate adjusted = last.adjusted(Corner.LF, Method.HF).orElseThrow();
        assertEquals(6.35, adjusted.value().mm(), adjusted.expanded().mm());
        assertTrue(adjusted.uncertainty().standard() < drop.uncertainty().standard(), "all readings know more");
    }

    @Test
    void stages_and_times_out_of_order_are_said() {
        HeightSheet settled = lowered(Basis.USUAL.at(Stage.SETTLED)).done();
        HeightSheet down = lowered(DOWN).done();
        assertTrue(Sheets.codes(judge(arrived().done(), settled, down).drops()).contains("STAGES_OUT_OF_ORDER"));
        HeightSheet trial = lowered(Basis.USUAL.at(Stage.TRIAL)).done();
        assertFalse(
                Sheets.codes(judge(arrived().done(), settled, trial).drops()).contains("STAGES_OUT_OF_ORDER"));
        Instant noon = Instant.parse("2026-03-01T12:00:00Z");
        HeightSheet late = timed(noon);
        HeightSheet early = timed(noon.minusSeconds(60));
        assertTrue(Sheets.codes(judge(late, early).drops()).contains("READ_BEFORE_ITS_STAGE"));
        assertFalse(Sheets.codes(judge(early, late).drops()).contains("READ_BEFORE_ITS_STAGE"));
    }

    private static HeightSheet timed(Instant at) {
        MeasuringPoint spot = MeasuringPoint.of(Corner.LF, Method.HF);
        return Sheets.sheet()
                .reading(new Reading(spot, Sheets.read("14", Method.HF), "OV", at, false))
                .done();
    }

    /** The lip of the left front was rolled up by 5/16: GF and HF there grow by it, and no drop is made of it. */
    @Test
    void a_lip_that_was_moved_is_a_new_datum() {
        Basis worked = DOWN.worked(Set.of(Corner.LF));
        HeightSheet rolled = Sheets.sheet()
                .basis(worked)
                .with(Method.GF, "26 13/16", "26 1/2", "27", "27")
                .with(Method.HF, "14 9/16", "14 1/4", "14 1/2", "14 1/2")
                .with(Method.FG, "7", "7", "7 1/2", "7 1/2")
                .done();
        HeightSheet later = Sheets.sheet()
                .basis(Basis.USUAL.at(Stage.AFTER_SHORT_DRIVE))
                .with(Method.GF, "25 13/16", "25 1/2", "26", "26")
                .with(Method.HF, "13 9/16", "13 1/4", "13 1/2", "13 1/2")
                .with(Method.FG, "6", "6", "6 1/2", "6 1/2")
                .done();
        Assessment job = judge(arrived().done(), rolled, later);
        assertEquals(List.of(), job.suspects());
        Estimate lip = Sheets.finding(job.drops(), HeightFinding.LipMoved.class).up();
        assertEquals(25.4 * 5 / 16, lip.value().mm(), 0.5);
        assertTrue(lip.expanded().mm() > 0.5 && lip.expanded().mm() < 3, "± " + lip.expanded());
        Estimate drop =
                job.drops().corners().get(Corner.LF).best().orElseThrow().value();
        assertEquals(25.4, drop.value().mm(), 0.5, "an inch down, not 11/16");
        double plain = job.drops()
                .corners()
                .get(Corner.RF)
                .best()
                .orElseThrow()
                .value()
                .uncertainty()
                .standard();
        assertTrue(drop.uncertainty().standard() > plain, "what the lip is not known to is in it");
        Estimate adjusted = job.adjusted(Corner.LF, Method.HF).orElseThrow();
        assertEquals(25.4, adjusted.value().mm(), adjusted.expanded().mm());
        // Without a word of the work on the arch the same readings are a riddle.
        Assessment unsaid = judge(
                arrived().done(),
                Sheets.sheet()
                        .basis(DOWN)
                        .with(Method.HF, "14 9/16", "14 1/4", "14 1/2", "14 1/2")
                        .done());
        assertTrue(unsaid.drops().findings().stream().anyMatch(f -> f.severity().ordinal() > 1));
    }

    @Test
    void a_lip_that_nobody_measured_before_says_nothing_of_the_drop() {
        HeightSheet before = Sheets.sheet()
                .with(Method.FG, "7", "7", "7 1/2", "7 1/2")
                .at(Corner.LF, Method.GF, "26")
                .done();
        HeightSheet after = Sheets.sheet()
                .basis(DOWN.worked(Set.of(Corner.RF)))
                .with(Method.FG, "6", "6", "6 1/2", "6 1/2")
                .at(Corner.RF, Method.GF, "25")
                .done();
        Assessment job = judge(before, after);
        assertTrue(Sheets.codes(job.drops()).contains("LIP_UNKNOWN"));
        assertTrue(job.drops().corners().get(Corner.RF).byMethod().containsKey(Method.FG), "the frame still tells");
    }

    @Test
    void what_stands_in_brings_its_own_doubt() {
        HeightSheet other =
                arrived().basis(Basis.USUAL.from(SubstituteBaseline.SAME_KIND)).done();
        Assessment job = judge(other, lowered(DOWN).done());
        assertEquals(
                SubstituteBaseline.SAME_KIND,
                Sheets.finding(job.drops(), HeightFinding.StandIn.class).substitute());
        Estimate drop =
                job.drops().corners().get(Corner.LF).best().orElseThrow().value();
        Estimate own = judge(arrived().done(), lowered(DOWN).done())
                .drops()
                .corners()
                .get(Corner.LF)
                .best()
                .orElseThrow()
                .value();
        assertEquals(own.value(), drop.value());
        double standIn = SubstituteBaseline.SAME_KIND.standardMm();
        assertEquals(
                Math.hypot(own.uncertainty().standard(), standIn),
                drop.uncertainty().standard(),
                1e-9);
    }

    @Test
    void two_sheets_with_nothing_in_common_say_so() {
        HeightSheet ground =
                Sheets.sheet().with(Method.GF, "26", "26", "26", "26").done();
        HeightSheet hub = Sheets.sheet().with(Method.HF, "13", "13", "13", "13").done();
        Assessment job = judge(ground, hub);
        assertTrue(Sheets.codes(job.drops()).contains("NOTHING_IN_COMMON"));
        assertTrue(job.drops().corners().values().stream()
                .allMatch(c -> c.byMethod().isEmpty()));
        assertFalse(Sheets.codes(judge(ground, HeightSheet.empty()).drops()).contains("NOTHING_IN_COMMON"));
    }

    @Test
    void readings_that_nothing_checks_are_named() {
        HeightSheet before =
                Sheets.sheet().with(Method.HF, "14", "14", "14", "").done();
        HeightSheet after = Sheets.sheet().with(Method.HF, "13", "13", "13", "").done();
        HeightFinding.ReadingsUnchecked said =
                Sheets.finding(judge(before, after).drops(), HeightFinding.ReadingsUnchecked.class);
        assertEquals(3, said.spots().size(), "three corners always lie in a plane");
        Assessment whole = judge(
                Sheets.sheet().with(Method.HF, "14", "14", "14", "14").done(),
                Sheets.sheet().with(Method.HF, "13", "13", "13", "13").done());
        assertFalse(Sheets.codes(whole.drops()).contains("READINGS_UNCHECKED"));
    }

    /** Every reading a little off in a way that no single one explains. */
    @Test
    void contradictory_readings_without_a_culprit_are_said() {
        HeightSheet before = arrived()
                .with(Method.RIM, "23 1/2", "23 1/2", "23 3/4", "23 3/4")
                .done();
        HeightSheet after = Sheets.sheet()
                .basis(DOWN)
                .with(Method.GF, "25 1/2", "25 5/16", "26", "26 3/16")
                .with(Method.HF, "13 5/16", "13 3/8", "13 3/8", "13 5/16")
                .with(Method.RIM, "22 11/16", "22 3/8", "22 7/8", "22 9/16")
                .with(Method.FG, "6 1/8", "5 7/8", "6 9/16", "6 3/8")
                .done();
        Assessment job = judge(before, after);
        assertTrue(
                job.adjustment().probability() < 1e-6,
                "by chance " + job.adjustment().probability());
        boolean said = Sheets.codes(job.drops()).contains("READINGS_RESTLESS");
        assertEquals(job.suspects().isEmpty(), said, Sheets.codes(job.drops()).toString());
    }

    private static SheetState bay(String name) {
        return SheetState.of(Map.of(), Map.of(SheetState.Item.BAY, name));
    }

    /** The car is moved to a bay whose floor is 10 mm higher under one wheel; heights by the statics of row floor-1. */
    @Test
    void another_bay_is_corrected_when_both_are_surveyed_and_asked_about_when_not() {
        Sheets level = Sheets.sheet().state(bay("one"));
        Sheets high = Sheets.sheet().state(bay("two"));
        double[] ground = {-2.5, 2.5, -2.5, 2.5};
        for (Corner corner : Corner.values()) {
            level.at(corner, Method.GF, "660 mm");
            high.at(corner, Method.GF, (630 + ground[corner.ordinal()]) + " mm");
        }
        Assessment unknown = judge(level.done(), high.done());
        assertTrue(Sheets.codes(unknown.drops()).contains("DIAGONAL_OTHER_BAY"));
        assertEquals(List.of(), unknown.suspects());
        Floor flat = FloorTest.floor(0, 0, 0, 0);
        Assessment known = judge(
                level.basis(Basis.USUAL.on(flat)).done(),
                high.basis(Basis.USUAL.on(FloorTest.floor(10, 0, 0, 0))).done());
        assertFalse(Sheets.codes(known.drops()).contains("DIAGONAL_OTHER_BAY"));
        assertTrue(Sheets.codes(known.drops()).contains("DIAGONAL_HELD"));
        assertTrue(Sheets.codes(known.drops()).contains("FLOOR_USED"));
        for (Corner corner : Corner.values()) {
            Estimate drop =
                    known.drops().corners().get(corner).best().orElseThrow().value();
            assertEquals(30, drop.value().mm(), 1e-3);
        }
        // One surveyed and one not: correcting one alone would make a drop of the floor.
        Assessment half = judge(
                level.basis(Basis.USUAL.on(flat)).done(),
                high.basis(Basis.USUAL).done());
        assertTrue(Sheets.codes(half.drops()).contains("FLOOR_NOT_USED"));
    }
}
