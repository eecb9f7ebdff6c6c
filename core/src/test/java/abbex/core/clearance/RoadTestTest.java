package abbex.core.clearance;

import static abbex.core.clearance.ClearanceTest.fitment;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.RoadTest.Cause;
import abbex.core.clearance.RoadTest.Mark;
import abbex.core.clearance.TyreBody.Face;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a drive says: marks fix places, the pose that made them is named, no mark proves as far as was driven. */
class RoadTestTest {
    private static final Fitment ON = fitment("225/45R17 91W", "7.5Jx17 ET45");
    private static final Range DRIVEN = new Range(40, 45, Math.toRadians(32), Math.toRadians(38), Math.toRadians(2.5));

    private static RoadTest drive(double lowered) {
        return new RoadTest(ON, lowered, new StraightMotion(DRIVEN, 0, Math.toRadians(-0.02), 0, 60));
    }

    private static LocatedGap probed(ProbePlace place, double clock, Face face, double mm) {
        return LocatedGap.byHand(new GapReading(place, clock, face, Length.ofRoundedMm(mm), Length.ZERO), ON);
    }

    /** Round trip: a place of which the nearest driven pose just touches is found again from its mark. */
    @Test
    void a_mark_puts_a_place_where_the_nearest_pose_driven_just_touches_it() {
        Random random = new Random(75);
        int read = 0;
        for (int i = 0; i < 200; i++) {
            ProbePlace place = random.nextBoolean() ? ProbePlace.FENDER_LIP : ProbePlace.LINER_FRONT;
            Face face = Face.values()[random.nextInt(5)];
            double clock = 1 + 0.5 * random.nextInt(22);
            double lowered = random.nextInt(40);
            Optional<Mark> mark = drive(lowered).mark(place, clock, face);
            if (mark.isEmpty()) {
                continue;
            }
            read++;
            Range r = DRIVEN;
            // By bump, by the locks or by the lean alone; by all together only where none of them gets there.
            double apart = Double.POSITIVE_INFINITY;
            for (Range alone : List.of(
                    new Range(r.droop(), r.bump(), 0, 0, 0),
                    new Range(0, 0, r.left(), r.right(), 0),
                    new Range(0, 0, 0, 0, r.roll()))) {
                apart = Math.min(apart, gap(mark.get(), lowered, place, alone));
            }
            assertTrue(
                    Math.abs(apart) < 0.2 || Math.abs(gap(mark.get(), lowered, place, r)) < 0.2,
                    place + " at " + clock + " " + face + ": " + apart);
            assertEquals(lowered, mark.get().probed().stood());
        }
        assertTrue(read > 150, read + " read");
    }

    private static double gap(Mark mark, double lowered, ProbePlace place, Range range) {
        return Sweep.run(
                        TyreBody.of(ON),
                        mark.probed().at(lowered, drive(lowered).motion()),
                        place.carrier(),
                        drive(lowered).motion().withRange(range))
                .gap();
    }

    /** Lock in the yard and bumps on the road are not lock over a bump: a place that only both reach is not moved. */
    @Test
    void what_was_not_driven_together_moves_nothing() {
        RoadTest drive = drive(0);
        LocatedGap ahead = probed(ProbePlace.LINER_FRONT, 2, Face.OUTER_SHOULDER, 1);
        LocatedGap moved = drive.unmarked(ahead);
        double together = Sweep.run(TyreBody.of(ON), moved.at(0), ProbePlace.LINER_FRONT.carrier(), drive.motion())
                .gap();
        assertTrue(together < -5, "all at once it would still touch: " + together);
    }

    @Test
    void the_pose_is_named_from_where_the_mark_lies() {
        // Over the tread's middle only bump reaches.
        Mark over = drive(0).mark(ProbePlace.INNER_ARCH, 12, Face.TREAD).orElseThrow();
        assertEquals(Cause.BUMP, over.cause());
        assertEquals(45, over.pose().bump(), 2);
        // Ahead of the wheel, beside the tread, only a lock does.
        Mark ahead =
                drive(0).mark(ProbePlace.LINER_FRONT, 3, Face.INNER_SIDEWALL).orElseThrow();
        assertEquals(Cause.LOCK, ahead.cause());
        assertTrue(ahead.without() > 20, ahead.toString());
        // At the top of the outer sidewall the tyre leans out: a corner made it, not bumps.
        Mark beside = new RoadTest(ON, 0, new StraightMotion(new Range(0, 0, 0, 0, Math.toRadians(2.5)), 0, 0, 0, 60))
                .mark(ProbePlace.FENDER_LIP, 12, Face.OUTER_SIDEWALL)
                .orElseThrow();
        assertEquals(Cause.LEAN, beside.cause());
        assertTrue(beside.pose().roll() < 0, "the body leans in over its wheel");
    }

    @Test
    void no_mark_moves_a_place_that_was_said_to_be_nearer_and_leaves_the_others() {
        LocatedGap near = probed(ProbePlace.INNER_ARCH, 12, Face.TREAD, 30);
        LocatedGap far = probed(ProbePlace.INNER_ARCH, 12, Face.TREAD, 80);
        RoadTest drive = drive(0);
        assertEquals(far, drive.unmarked(far));
        LocatedGap moved = drive.unmarked(near);
        assertTrue(moved.probe().gap().mm() > 40, moved.toString());
        assertEquals(
                moved.probe().gap().mm(),
                drive.mark(near).orElseThrow().probed().probe().gap().mm(),
                1e-6,
                "the least that no mark allows is what a mark would say");
        // A mark brings a place nearer that was probed too far away.
        assertTrue(drive.mark(far).orElseThrow().probed().probe().gap().mm() < 60);
    }

    @Test
    void proven_is_what_was_driven_and_no_further() {
        RoadTest drive = drive(30);
        Range bump = new Range(40, 45, 0, 0, 0);
        assertTrue(drive.proves(ON, 30, bump));
        assertTrue(!drive.proves(ON, 31, bump), "lower than was driven");
        assertTrue(!drive.proves(ON, 30, new Range(40, 46, 0, 0, 0)));
        assertTrue(!drive.proves(ON, 30, DRIVEN), "nobody told that they came together");
        assertTrue(!drive.proves(fitment("235/45R17 94W", "7.5Jx17 ET45"), 30, bump));
    }

    @Test
    void a_knuckle_keeps_its_distance_whatever_was_driven() {
        assertTrue(drive(0).mark(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL).isPresent());
        assertEquals(
                Cause.STANDING,
                drive(0).mark(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL)
                        .orElseThrow()
                        .cause());
    }

    /** An axle is proven as far as its lesser side went; a side that went nowhere proves nothing of it. */
    @Test
    void an_end_is_proven_as_far_as_the_wheel_that_went_least() {
        assertEquals(OptionalDouble.of(31), RoadTest.proven(List.of(48.0, 31.0)));
        assertEquals(OptionalDouble.empty(), RoadTest.proven(List.of(48.0, 0.0)));
        assertEquals(OptionalDouble.empty(), RoadTest.proven(List.of(0.0)));
        assertEquals(OptionalDouble.empty(), RoadTest.proven(List.of()));
    }

    /** Nobody went anywhere: that proves nothing, not even that a vehicle at rest is clear. */
    @Test
    void a_drive_of_no_bump_lock_or_lean_proves_nothing() {
        Range none = new Range(0, 0, 0, 0, 0);
        RoadTest still = new RoadTest(ON, 40, new StraightMotion(none, 0, 60));
        assertFalse(still.proves(ON, 40, none));
    }
}
