package abbex.core.heights;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.units.Estimate;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Laws of the adjustment; drawn jobs, and some by hand. */
class AdjustmentTest {
    private static final List<Method> FOUR = List.of(Method.GF, Method.HF, Method.RIM, Method.FG);
    private static final PriorDeviations USUAL = PriorDeviations.of(VehicleKind.CAR, Limits.USUAL);

    private static List<Reading> readings(HeightSheet sheet) {
        List<Reading> all = new ArrayList<>();
        sheet.all().forEach(h -> all.addAll(h.readings()));
        return all;
    }

    private static Estimate drop(List<HeightSheet> sheets, Corner corner, Method method) {
        return Adjustment.of(DrawnJob.CAR, sheets, USUAL)
                .drop(0, 1, corner, method)
                .orElseThrow();
    }

    @Test
    void does_not_depend_on_the_order_of_the_readings() {
        Random random = new Random(31);
        for (int i = 0; i < 50; i++) {
            List<HeightSheet> sheets = new DrawnJob(random, FOUR, 2).sheets();
            List<HeightSheet> shuffled = sheets.stream()
                    .map(s -> {
                        List<Reading> all = readings(s);
                        Collections.shuffle(all, random);
                        return HeightSheet.of(SheetState.NOT_TAKEN, all);
                    })
                    .toList();
            for (Corner corner : Corner.values()) {
                assertEquals(drop(sheets, corner, Method.HF), drop(shuffled, corner, Method.HF));
            }
        }
    }

    @Test
    void does_not_depend_on_the_unit_it_is_written_in() {
        Random random = new Random(36);
        for (int i = 0; i < 50; i++) {
            List<HeightSheet> sheets = new DrawnJob(random, FOUR, 2).sheets();
            List<HeightSheet> metric = sheets.stream()
                    .map(s -> HeightSheet.of(
                            SheetState.NOT_TAKEN,
                            readings(s).stream()
                                    .map(AdjustmentTest::inMillimetres)
                                    .toList()))
                    .toList();
            for (Corner corner : Corner.values()) {
                assertEquals(drop(sheets, corner, Method.RIM), drop(metric, corner, Method.RIM));
            }
        }
    }

    /** What was read on a 1/16 in tape, written in millimetres. */
    private static Reading inMillimetres(Reading reading) {
        String text = TapeText.number(reading.value(), LengthUnit.MILLIMETRE) + " mm";
        TapeReading again = TapeText.parse(
                        text,
                        LengthUnit.INCH,
                        Graduation.SIXTEENTH_INCH,
                        reading.spot().method().allowed())
                .asReading()
                .orElseThrow();
        return Reading.of(reading.spot(), again);
    }

    @Test
    void a_mirrored_car_has_a_mirrored_answer() {
        Random random = new Random(32);
        for (int i = 0; i < 50; i++) {
            DrawnJob job = new DrawnJob(random, FOUR, 2);
            job.plant();
            List<HeightSheet> sheets = job.sheets();
            List<HeightSheet> mirrored = sheets.stream()
                    .map(s -> HeightSheet.of(
                            SheetState.NOT_TAKEN,
                            readings(s).stream()
                                    .map(r -> Reading.of(
                                            MeasuringPoint.of(
                                                    r.spot().corner().across(),
                                                    r.spot().method()),
                                            r.tape()))
                                    .toList()))
                    .toList();
            for (Corner corner : Corner.values()) {
                Estimate here = drop(sheets, corner, Method.GF);
                Estimate there = drop(mirrored, corner.across(), Method.GF);
                assertEquals(here.value().mm(), there.value().mm(), 1e-5);
                assertEquals(here.uncertainty().standard(), there.uncertainty().standard(), 1e-9);
            }
            List<Outlier> suspects = Adjustment.of(DrawnJob.CAR, sheets, USUAL).suspects();
            List<Outlier> others = Adjustment.of(DrawnJob.CAR, mirrored, USUAL).suspects();
            assertEquals(suspects.size(), others.size());
            if (suspects.size() == 1) {
                assertEquals(
                        suspects.get(0).spot().corner().across(),
                        others.get(0).spot().corner());
            }
        }
    }

    @Test
    void another_reading_never_widens_an_interval() {
        Random random = new Random(33);
        for (int i = 0; i < 50; i++) {
            List<HeightSheet> sheets = new DrawnJob(random, FOUR, 2).sheets();
            MeasuringPoint left = MeasuringPoint.of(Corner.values()[random.nextInt(4)], FOUR.get(random.nextInt(4)));
            List<HeightSheet> fewer = List.of(sheets.get(0), sheets.get(1).without(left));
            for (Corner corner : Corner.values()) {
                Optional<Estimate> before =
                        Adjustment.of(DrawnJob.CAR, fewer, USUAL).drop(0, 1, corner, Method.GF);
                double now = drop(sheets, corner, Method.GF).uncertainty().standard();
                // The frame points' places are solved about the pose that the readings give: another reading, another
                // pose.
                before.ifPresent(b -> assertTrue(
                        now <= b.uncertainty().standard() * 1.01,
                        () -> now + " over " + b.uncertainty().standard()));
            }
        }
    }

    private static HeightSheet sheet(SheetState state, Method method, String... texts) {
        List<Reading> all = new ArrayList<>();
        for (int i = 0; i < texts.length; i++) {
            if (!texts[i].isEmpty()) {
                TapeReading read = TapeText.parse(
                                texts[i], LengthUnit.INCH, Graduation.SIXTEENTH_INCH, TapeText.Allowed.POSITIVE)
                        .asReading()
                        .orElseThrow();
                all.add(Reading.of(MeasuringPoint.of(Corner.WALK.get(i), method), read));
            }
        }
        return HeightSheet.of(state, all);
    }

    @Test
    void too_few_readings_give_what_can_be_given_and_accuse_nobody() {
        Adjustment none = Adjustment.of(DrawnJob.CAR, List.of(HeightSheet.empty(), HeightSheet.empty()), USUAL);
        assertEquals(List.of(), none.suspects());
        assertEquals(Optional.empty(), none.drop(0, 1, Corner.LF, Method.HF));
        HeightSheet before = sheet(SheetState.NOT_TAKEN, Method.HF, "14", "", "", "");
        HeightSheet after = sheet(SheetState.NOT_TAKEN, Method.HF, "13", "", "", "");
        Adjustment one = Adjustment.of(DrawnJob.CAR, List.of(before, after), USUAL);
        assertEquals(List.of(), one.suspects());
        assertEquals(
                25.4, one.drop(0, 1, Corner.LF, Method.HF).orElseThrow().value().mm(), 0.01);
        HeightSheet elsewhere = sheet(SheetState.NOT_TAKEN, Method.GF, "", "", "26", "26");
        Adjustment apart = Adjustment.of(DrawnJob.CAR, List.of(before, elsewhere), USUAL);
        assertEquals(List.of(), apart.suspects());
        assertEquals(Optional.empty(), apart.drop(0, 1, Corner.LF, Method.GF), "nothing in common");
    }

    /** Another pressure at a corner is a reason for its radius, and nobody misread. */
    @Test
    void what_was_said_of_the_state_is_a_reason() {
        List<Reading> before = new ArrayList<>();
        List<Reading> after = new ArrayList<>();
        before.addAll(readings(sheet(SheetState.NOT_TAKEN, Method.GF, "26", "26", "26 1/2", "26 1/2")));
        before.addAll(readings(sheet(SheetState.NOT_TAKEN, Method.HF, "14", "14", "14 1/2", "14 1/2")));
        after.addAll(readings(sheet(SheetState.NOT_TAKEN, Method.GF, "24 1/2", "25", "25 1/2", "25 1/2")));
        after.addAll(readings(sheet(SheetState.NOT_TAKEN, Method.HF, "13", "13", "13 1/2", "13 1/2")));
        SheetState full = SheetState.of(Map.of(Corner.LF, Pressure.ofPsi(33)), Map.of());
        SheetState low = SheetState.of(Map.of(Corner.LF, Pressure.ofPsi(21)), Map.of());
        List<HeightSheet> unsaid =
                List.of(HeightSheet.of(SheetState.NOT_TAKEN, before), HeightSheet.of(SheetState.NOT_TAKEN, after));
        List<HeightSheet> said = List.of(HeightSheet.of(full, before), HeightSheet.of(low, after));
        assertTrue(!Adjustment.of(DrawnJob.CAR, unsaid, USUAL).suspects().isEmpty());
        double worst = Adjustment.of(DrawnJob.CAR, said, USUAL).suspects().stream()
                .mapToDouble(s -> Math.abs(s.weight()))
                .max()
                .orElse(0);
        double worstUnsaid = Math.abs(
                Adjustment.of(DrawnJob.CAR, unsaid, USUAL).suspects().get(0).weight());
        assertTrue(worst < worstUnsaid, worst + " with a reason, " + worstUnsaid + " without");
    }

    @Test
    void a_named_reading_says_what_it_should_be() {
        Random random = new Random(34);
        int named = 0;
        for (int i = 0; i < 300; i++) {
            DrawnJob job = new DrawnJob(random, List.of(Method.GF, Method.HF, Method.RIM), 2);
            job.plant();
            List<Outlier> suspects = job.adjust().suspects();
            if (suspects.size() == 1 && job.planted(suspects.get(0))) {
                MeasuringPoint spot = job.slipSpot;
                Estimate probable = suspects.get(0).probable();
                double truth = job.truth(job.slipSheet, spot.corner(), spot.method());
                assertEquals(
                        truth, probable.value().mm(), 5 * probable.uncertainty().standard());
                named++;
            }
        }
        assertTrue(named > 250, named + " named");
    }

    /**
     * Source: JCGM 100:2008, 5.2 (covariance); row drop-8. With a loaded radius that may have changed freely, GF corrected by
     * GF − HF adds nothing to the HF drop.
     */
    @Test
    void ground_heights_add_nothing_when_the_tyre_is_free() {
        Checks.Row row = Checks.row("drop-8");
        assertEquals("best drop 1 in with u 1.296 mm (GF corrected by GF - HF adds nothing)", row.expected());
        List<Reading> before = new ArrayList<>(readings(sheet(SheetState.NOT_TAKEN, Method.GF, "26 3/8")));
        before.addAll(readings(sheet(SheetState.NOT_TAKEN, Method.HF, "14")));
        List<Reading> after = new ArrayList<>(readings(sheet(SheetState.NOT_TAKEN, Method.GF, "25 1/4")));
        after.addAll(readings(sheet(SheetState.NOT_TAKEN, Method.HF, "13")));
        List<HeightSheet> sheets =
                List.of(HeightSheet.of(SheetState.NOT_TAKEN, before), HeightSheet.of(SheetState.NOT_TAKEN, after));
        PriorDeviations free = new PriorDeviations(1.5, 0.7, PriorDeviations.FREE, 1, 0.3, 0.7, PriorDeviations.ROLL);
        Adjustment alone = Adjustment.of(DrawnJob.CAR, sheets, free);
        Estimate hub = alone.drop(0, 1, Corner.LF, Method.HF).orElseThrow();
        assertEquals(25.4, hub.value().mm(), 1e-3);
        assertEquals(1.296, hub.uncertainty().standard(), 0.001);
    }

    /** Rake is rear minus front: its change is front drop minus rear drop at the frame points (geometry). */
    @Test
    void the_change_of_rake_goes_with_the_drops() {
        Random random = new Random(35);
        for (int i = 0; i < 50; i++) {
            DrawnJob job = new DrawnJob(random, FOUR, 2);
            Adjustment all = job.adjust();
            Estimate rake = all.rakeChange(0, 1, Method.FG).orElseThrow();
            double front = all.drop(0, 1, Corner.LF, Method.FG)
                            .orElseThrow()
                            .value()
                            .mm()
                    + all.drop(0, 1, Corner.RF, Method.FG).orElseThrow().value().mm();
            double rear = all.drop(0, 1, Corner.LR, Method.FG)
                            .orElseThrow()
                            .value()
                            .mm()
                    + all.drop(0, 1, Corner.RR, Method.FG).orElseThrow().value().mm();
            assertEquals((front - rear) / 2, rake.value().mm(), 1e-4);
            double truth = 0;
            for (Corner corner : Corner.values()) {
                double drop = job.truth(0, corner, Method.FG) - job.truth(1, corner, Method.FG);
                truth += (corner.end() == End.FRONT ? drop : -drop) / 2;
            }
            assertEquals(truth, rake.value().mm(), 4 * rake.uncertainty().standard());
        }
        assertEquals(
                Optional.empty(),
                new DrawnJob(random, List.of(Method.HF), 2).adjust().rakeChange(0, 1, Method.FG));
    }
}
