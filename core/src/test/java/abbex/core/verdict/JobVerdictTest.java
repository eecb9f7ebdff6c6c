package abbex.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.ClearanceFinding;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Sweep;
import abbex.core.clearance.Verdict;
import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import abbex.core.ground.GroundFinding;
import abbex.core.motion.Pose;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.wheels.WheelFinding;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class JobVerdictTest {
    private static final Finding TOUCHES = new ClearanceFinding.Touches(
            new ClearanceFinding.At(Corner.LF, ProbePlace.STRUT, 12),
            new Estimate(Length.ofMm(3), Uncertainty.NONE),
            ClearanceFinding.Swept.STANDING);
    private static final Finding STUDS = new WheelFinding.StudsShort(End.REAR, "4", "6.5");
    private static final Finding PASSES = new GroundFinding.Passes("lip", Length.ofMm(40));
    private static final Finding LAMP =
            new GroundFinding.BeamDown(abbex.core.units.Angle.ofDegrees(0.4), Length.ofMm(70));

    private static JobVerdict of(Found... found) {
        return new JobVerdict(List.of(found));
    }

    /** Whatever is clear elsewhere, and in whatever order the stations speak. */
    @Test
    void the_worst_that_any_station_found_is_what_the_whole_is() {
        List<Found> all = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            all.add(new Found(Station.GROUND, PASSES));
        }
        all.add(new Found(Station.GROUND, LAMP));
        all.add(new Found(Station.CLEARANCE, TOUCHES));
        Random random = new Random(3);
        for (int i = 0; i < 20; i++) {
            Collections.shuffle(all, random);
            JobVerdict verdict = new JobVerdict(all);
            assertTrue(verdict.stops());
            assertEquals(TOUCHES, verdict.worst().orElseThrow().finding());
            assertEquals(LAMP, verdict.worst(Station.GROUND).orElseThrow().finding());
            assertEquals(
                    List.of(TOUCHES, LAMP),
                    verdict.toAnswer().stream().map(Found::finding).toList());
        }
    }

    @Test
    void two_stops_are_in_the_order_of_the_work_and_one_finding_is_answered_once() {
        JobVerdict verdict = of(
                new Found(Station.CLEARANCE, TOUCHES),
                new Found(Station.WHEELS, STUDS),
                new Found(Station.CLEARANCE, TOUCHES));
        assertEquals(
                List.of(STUDS, TOUCHES),
                verdict.toAnswer().stream().map(Found::finding).toList());
    }

    @Test
    void what_is_clear_needs_no_answer_and_what_was_not_looked_at_is_open() {
        JobVerdict verdict = of(
                new Found(Station.GROUND, PASSES),
                new Found(Station.CLEARANCE, new ClearanceFinding.ClearanceUnknown()));
        assertFalse(verdict.stops());
        assertEquals(List.of(), verdict.toAnswer());
        assertEquals(List.of(Station.CLEARANCE), List.copyOf(verdict.open().keySet()));
        assertEquals(Severity.NOTE, verdict.worst().orElseThrow().finding().severity(), "not clear");
    }

    @Test
    void a_stop_is_not_answered_by_telling_the_customer() {
        Found stop = new Found(Station.CLEARANCE, TOUCHES);
        assertFalse(JobVerdict.Answer.TOLD.fits(stop));
        assertTrue(JobVerdict.Answer.TOLD.fits(new Found(Station.GROUND, LAMP)));
        assertTrue(JobVerdict.Answer.FIXED.fits(stop) && JobVerdict.Answer.ACCEPTED.fits(stop));
    }

    /** The word that the place has on its own page and what is said of it beside others are one. */
    @Test
    void a_place_says_beside_others_what_it_says_on_its_own_page() {
        for (double gap = -4; gap < 14; gap += 0.25) {
            for (double standard : new double[] {0.3, 1.5, 4}) {
                Verdict one = new Verdict(ProbePlace.STRUT, new Sweep.Least(gap, new Pose(0, 0, 0)), standard, 5);
                Severity said = one.finding(Corner.LF, 12, ClearanceFinding.Swept.PLANNED)
                        .map(Finding::severity)
                        .orElse(Severity.CLEAR);
                assertEquals(
                        switch (one.word()) {
                            case TOUCHES -> Severity.STOP;
                            case CLOSE -> Severity.LOOK;
                            default -> Severity.CLEAR;
                        },
                        said);
            }
        }
    }
}
