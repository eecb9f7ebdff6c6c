package abbex.core.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a drop takes with it, against arithmetic by hand: 3,500 N at 0.95, from 22 N/mm and 360 mm to 34 N/mm and a length. */
class TravelTest {
    private static final double RATIO = 0.95;
    private static final double FORCE = 3500 / RATIO;

    private static Told sure(double value) {
        return Told.measured(value, 0);
    }

    private static SpringFacts spring(double rate, double free, double solid) {
        return SpringFacts.measured(new Spring(new SpringLaw.Linear(rate, free - solid), free));
    }

    private static EndNow now(double load, double rod) {
        return new EndNow(
                sure(load),
                sure(RATIO),
                sure(RATIO),
                sure(20),
                Optional.of(spring(22, 360, 100)),
                Optional.empty(),
                new DamperFacts(sure(0), Optional.of(sure(530)), Optional.of(sure(340))),
                Optional.of(sure(rod)),
                Optional.of(StopFacts.foam(60, 4)));
    }

    private static KitPlan plan(EndNow now, EndKit kit) {
        return KitPlan.predict(
                PerEnd.of(end -> now),
                PerEnd.of(end -> end == End.FRONT ? kit : EndKit.NOTHING),
                PerEnd.of(end -> EndPlan.USUAL_SETTLING));
    }

    private static boolean says(KitPlan plan, Class<? extends KitFinding> what) {
        return plan.findings().stream().anyMatch(what::isInstance);
    }

    @Test
    void travel_droop_and_slack_by_hand() {
        KitPlan plan = plan(now(3500, 95), EndKit.NOTHING.withSpring(spring(34, 275, 90)));
        double drop = (360 - FORCE / 22 - 275 + FORCE / 34) / RATIO;
        EndPlan front = plan.ends().front().orElseThrow();
        assertEquals(drop, front.setDown().value(), 1e-9);
        Travel travel = plan.travel().front().orElseThrow();
        assertEquals(35 / RATIO, travel.toStop().was().orElseThrow(), 1e-9);
        assertEquals(35 / RATIO - drop, travel.toStop().is().orElseThrow(), 1e-9);
        assertEquals(95 / RATIO - drop, travel.toMetal().is().orElseThrow(), 1e-9);
        assertEquals(95 / RATIO + drop, travel.droop().is().orElseThrow(), 1e-9);
        assertEquals(
                95 + RATIO * drop - FORCE / 34, travel.slack().orElseThrow().value(), 1e-9);
        assertEquals(275 - FORCE / 34, travel.spring().is().orElseThrow().ride(), 1e-9);
        // 34 N/mm at 0.95: 30.685 N/mm under 356.9 kg (mechanics; spring-4 is the same formula).
        assertEquals(
                Math.sqrt(34 * RATIO * RATIO * 1000 / (3500 / 9.80665)) / 2 / Math.PI,
                travel.ride().is().orElseThrow().hertz(),
                1e-9);
        assertTrue(says(plan, KitFinding.LooseAtDroop.class) && says(plan, KitFinding.LittleTravel.class));
        assertTrue(plan.ends().rear().isEmpty());
    }

    /** With the stop in its way it comes down less than by its springs alone, and says so; trimmed by whole rings it does not. */
    @Test
    void on_its_stop_and_trimmed() {
        EndKit kit = EndKit.NOTHING.withSpring(spring(34, 250, 90));
        KitPlan plan = plan(now(3500, 95), kit);
        double free = (360 - FORCE / 22 - 250 + FORCE / 34) / RATIO;
        EndPlan front = plan.ends().front().orElseThrow();
        assertTrue(front.onStop() && front.setDown().value() < free - 1, front::toString);
        assertTrue(says(plan, KitFinding.PerhapsOnStops.class) || says(plan, KitFinding.OnStops.class));
        KitPlan trimmed = plan(now(3500, 95), kit.withStop(StopFacts.foam(15, 1)));
        assertEquals(free, trimmed.ends().front().orElseThrow().setDown().value(), 1e-6);
    }

    /** Of a stop without rings so much of its length goes as is missing to half an inch, at most half of it. */
    @Test
    void a_stop_without_rings_is_trimmed_by_length() {
        EndKit kit = EndKit.NOTHING.withSpring(spring(34, 275, 90)).withStop(StopFacts.foam(60, 1));
        KitPlan plan = plan(now(3500, 95), kit);
        double left = plan.travel().front().orElseThrow().toStop().is().orElseThrow();
        KitFinding.LittleTravel little = plan.findings().stream()
                .filter(KitFinding.LittleTravel.class::isInstance)
                .map(KitFinding.LittleTravel.class::cast)
                .findFirst()
                .orElseThrow();
        assertEquals(0, little.rings().rings());
        assertEquals(Math.ceil((12.7 - left) * RATIO), little.rings().off().mm(), 1e-6);
        assertEquals(left + little.rings().off().mm() / RATIO, little.then().mm(), 1e-3);
        KitPlan low = plan(
                now(3500, 95), EndKit.NOTHING.withSpring(spring(34, 200, 90)).withStop(StopFacts.foam(60, 1)));
        assertTrue(
                low.findings().stream()
                        .filter(KitFinding.OnStops.class::isInstance)
                        .map(KitFinding.OnStops.class::cast)
                        .anyMatch(on -> on.rings().off().mm() == 30),
                low.findings()::toString);
    }

    /** A shorter damper by what was slack holds the spring; a damper as long as before does not. */
    @Test
    void a_damper_as_much_shorter_as_is_said_holds_the_spring() {
        EndKit kit = EndKit.NOTHING.withSpring(spring(34, 275, 90));
        double slack = plan(now(3500, 95), kit)
                .travel()
                .front()
                .orElseThrow()
                .slack()
                .orElseThrow()
                .value();
        EndKit shorter =
                kit.withDamper(new DamperFacts(sure(0), Optional.of(sure(530 - slack)), Optional.of(sure(340))));
        assertEquals(
                0,
                plan(now(3500, 95), shorter)
                        .travel()
                        .front()
                        .orElseThrow()
                        .slack()
                        .orElseThrow()
                        .value(),
                1e-9);
    }

    @Test
    void a_spring_that_binds_or_cannot_carry() {
        assertTrue(says(plan(now(3500, 130), EndKit.NOTHING.withSpring(spring(34, 275, 150))), KitFinding.Binds.class));
        assertTrue(says(
                plan(now(3500, 130), EndKit.NOTHING.withSpring(spring(12, 300, 120))), KitFinding.CannotCarry.class));
        KitPlan unsaid = plan(
                new EndNow(
                        sure(3500),
                        sure(RATIO),
                        sure(RATIO),
                        sure(20),
                        Optional.empty(),
                        Optional.empty(),
                        new DamperFacts(sure(0), Optional.empty(), Optional.empty()),
                        Optional.empty(),
                        Optional.empty()),
                EndKit.NOTHING.withSpring(spring(34, 275, 90)));
        assertTrue(
                says(unsaid, KitFinding.Unsaid.class) && unsaid.ends().front().isEmpty());
    }

    /** The seats of the old spring weigh it: with them the load and the ratio no longer widen the answer. */
    @Test
    void the_measurement_that_narrows_most_is_found_and_narrows() {
        EndNow guessed = new EndNow(
                Told.typical(3500, 350),
                Told.typical(RATIO, 0.08),
                Told.typical(RATIO, 0.08),
                sure(20),
                Optional.of(spring(22, 360, 100)),
                Optional.empty(),
                new DamperFacts(sure(0), Optional.empty(), Optional.empty()),
                Optional.empty(),
                Optional.empty());
        EndKit kit = EndKit.NOTHING.withSpring(spring(34, 275, 90));
        Narrowing.Gain gain =
                Narrowing.best(guessed, kit, EndPlan.USUAL_SETTLING).orElseThrow();
        double half = EndPlan.of(guessed, kit, EndPlan.USUAL_SETTLING)
                .orElseThrow()
                .setDown()
                .half();
        assertTrue(gain.half() < 0.7 * half, gain + " of " + half);
        EndPlan told = EndPlan.of(guessed.withSeats(Told.measured(360 - FORCE / 22, 1)), kit, EndPlan.USUAL_SETTLING)
                .orElseThrow();
        assertEquals(Narrowing.Measurement.SEATS, gain.of());
        assertEquals(gain.half(), told.setDown().half(), 1e-6);
    }

    /** A height of the sheet less the drop, as wide as tape and plan together; the same plan in inches and in millimetres. */
    @Test
    void heights_follow_and_units_do_not_matter() {
        HeightSheet sheet = HeightSheet.of(SheetState.NOT_TAKEN, List.of(read("14 1/2"), read("22 3/4", Method.RIM)));
        KitPlan plan = plan(now(3500, 95), EndKit.NOTHING.withParts(List.of(new Part.Perch(Length.ofInches(0, 1, 2)))));
        KitPlan metric =
                plan(now(3500, 95), EndKit.NOTHING.withParts(List.of(new Part.Perch(Length.ofRoundedMm(12.7)))));
        assertEquals(plan.ends(), metric.ends());
        PlannedHeight hub = plan.heights(sheet).get(0);
        double drop = plan.ends().front().orElseThrow().setDown().value();
        assertEquals(14.5 * 25.4 - drop, hub.setDown().value(), 1e-9);
        assertEquals(
                Math.hypot(
                        plan.ends().front().orElseThrow().setDown().half(),
                        hub.now().estimate().expanded().mm()),
                hub.setDown().half(),
                1e-3);
        assertEquals(2, plan.heights(sheet).size());
    }

    private static Reading read(String raw) {
        return read(raw, Method.HF);
    }

    private static Reading read(String raw, Method method) {
        return Reading.of(
                MeasuringPoint.of(Corner.LF, method),
                TapeText.parse(raw, LengthUnit.INCH, Graduation.SIXTEENTH_INCH, TapeText.Allowed.POSITIVE)
                        .asReading()
                        .orElseThrow());
    }
}
