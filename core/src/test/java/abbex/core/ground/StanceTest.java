package abbex.core.ground;

import static abbex.core.heights.Sheets.sheet;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Reason;
import abbex.core.heights.Contribution;
import abbex.core.heights.HeightFormula;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Limits;
import abbex.core.heights.Method;
import abbex.core.heights.RideHeight;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the heights of a vehicle make of its picture, and a way that is solved once. */
class StanceTest {
    private static final double INCH = 25.4;

    private static final PerEnd<OptionalDouble> TYRES = new PerEnd<>(OptionalDouble.of(640), OptionalDouble.of(650));

    private static Stance.Told told(List<HeightSheet> sheets, double plannedFront, Optional<Length> drop) {
        Estimate down = new Estimate(Length.ofRoundedMm(plannedFront), Uncertainty.NONE);
        RideHeight ride = RideHeight.of(Vehicle.of(VehicleKind.CAR), sheets, Limits.USUAL);
        return new Stance.Told(
                sheets,
                plannedFront == 0
                        ? ride
                        : ride.planning(List.of(
                                new Contribution("springs", End.FRONT, down, Reason.of(HeightFormula.PLANNED, down)))),
                new PerEnd<>(drop, drop));
    }

    @Test
    void lips_and_radii_are_those_that_were_measured() {
        HeightSheet newest = sheet().with(Method.GF, "26", "26 1/2", "27", "27")
                .with(Method.HF, "14", "14", "14 1/2", "")
                .done();
        Stance stance = Stance.of(2600, TYRES, told(List.of(newest), 0, Optional.of(Length.ofMm(40))), List.of(), 0)
                .orElseThrow();
        assertEquals(12.25 * INCH, stance.planned().frontRadius(), 1e-6, "ground to lip less hub to lip, both sides");
        assertEquals(12.5 * INCH, stance.planned().rearRadius(), 1e-6, "the side that has both");
        Stance.Outline was = stance.outlines().get(0);
        Stance.Outline is = stance.outlines().get(1);
        assertEquals(List.of(Stance.When.WAS, Stance.When.IS), List.of(was.when(), is.when()));
        assertEquals(26.25 * INCH, is.front(), 1e-6);
        assertEquals(27 * INCH, is.rear(), 1e-6);
        assertEquals(40, was.front() - is.front(), 1e-6);
        assertEquals(2, stance.outlines().size(), "nothing else is planned");
    }

    @Test
    void what_is_planned_goes_down_and_a_lift_raises_the_nose_only() {
        HeightSheet arrived = sheet().with(Method.GF, "26", "26", "27", "27").done();
        List<Underbody.Point> lip = List.of(new Underbody.Point("lip", 800, 150));
        Stance stance = Stance.of(2600, TYRES, told(List.of(arrived), 30, Optional.empty()), lip, 45)
                .orElseThrow();
        assertEquals(0.97 * 320, stance.planned().frontRadius(), 1e-9, "no hub heights: by the tyre");
        assertEquals(
                List.of(Stance.When.IS, Stance.When.PLANNED),
                stance.outlines().stream().map(Stance.Outline::when).toList());
        assertEquals(26 * INCH - 30 + 45, stance.going().front(), 1e-6);
        assertEquals(27 * INCH, stance.going().rear(), 1e-6);
        assertEquals(
                150 + 45 * (2600 + 800) / 2600.0,
                stance.lifted().points().get(0).height(),
                1e-9);
        assertEquals(
                Optional.empty(),
                Stance.of(2600, PerEnd.of(e -> OptionalDouble.empty()), told(List.of(), 0, Optional.empty()), lip, 0));
    }

    /** The law of a way that is solved once: any place of it as the crossing itself says, none with less air than the least. */
    @Test
    void a_way_says_at_each_place_what_the_crossing_says_there() {
        Random random = new Random(91);
        Underbody under = new Underbody(
                2600, 310, 320, List.of(new Underbody.Point("lip", 800, 140), new Underbody.Point("pan", -1300, 120)));
        for (Profile.Usual usual : Profile.Usual.values()) {
            Passage way = Passage.of(under, usual.profile());
            assertEquals(Crossing.run(under, usual.profile()), way.least().orElseThrow());
            assertEquals(way.least().orElseThrow().pose(), way.tightest().pose());
            for (int i = 0; i < 50; i++) {
                double along = way.first() - 500 + random.nextDouble() * (way.last() - way.first() + 1000);
                Passage.Here here = way.at(along);
                double held = Math.max(way.first(), Math.min(way.last(), along));
                assertEquals(
                        Crossing.at(under, usual.profile(), held), here.least().orElseThrow());
                assertTrue(here.least().get().air() >= way.least().get().air() - Crossing.TOLERANCE);
            }
        }
        Passage bare = Passage.of(new Underbody(2600, 310, 320, List.of()), Profile.Usual.values()[0].profile());
        assertEquals(Optional.empty(), bare.least());
        assertEquals(Optional.empty(), bare.tightest().least());
    }
}
