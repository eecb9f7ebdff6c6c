package abbex.core.clearance;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * A gap was read from a wheel that leant as it does: only what leans it otherwise since counts. The figures were worked out apart
 * from this program, by a wheel's section turned in the plane of its axis.
 */
class CamberTest {
    private static final Fitment ON = ClearanceTest.fitment("225/45R17 91W", "8Jx17 ET45");

    private static StraightMotion motion(double camber, double perMm) {
        return new StraightMotion(
                new Range(50, 45, 0, 0, Math.toRadians(2)), Math.toRadians(camber), Math.toRadians(perMm), 0, 60);
    }

    private static LocatedGap lip() {
        return LocatedGap.byHand(
                new GapReading(
                        ProbePlace.FENDER_LIP,
                        12,
                        TyreBody.Face.OUTER_SIDEWALL,
                        Length.ofMm(14),
                        Length.ZERO,
                        new GapReading.Spot(GapReading.Spot.EYE, Optional.of(Length.ofMm(10)))),
                ON);
    }

    private static double least(LocatedGap probed, double lowered, StraightMotion motion) {
        return ClearanceModel.of(List.of(probed), ON, TyreBody.Worn.NOTHING, lowered, motion)
                .verdicts()
                .get(0)
                .least()
                .gap();
    }

    /** It touches by 1.4 mm, and a car's own camber makes nothing clear: 11.5 was said. */
    @Test
    void a_camber_that_it_always_had_gives_no_room() {
        assertEquals(-1.4, least(lip(), 0, motion(0, -0.02)), 0.4);
        assertEquals(-1.4, least(lip(), 0, motion(-2.5, -0.02)), 1.0);
        assertEquals(-1.4, least(lip(), 0, motion(1.5, -0.02)), 1.0);
    }

    /** 25 mm from the inner sidewall, 60 mm lower at 0.04 degrees a mm: the top comes in by what leans it since. */
    @Test
    void lowering_takes_its_camber_with_it() {
        LocatedGap frame = LocatedGap.byHand(
                new GapReading(ProbePlace.FRAME, 12, TyreBody.Face.INNER_SIDEWALL, Length.ofMm(25), Length.ZERO), ON);
        double stays = least(frame, 60, motion(0, 0));
        double leans = least(frame, 60, motion(0, -0.04));
        assertEquals(4.3, leans, 2, "14.8 was said");
        assertTrue(leans < stays - 8, stays + ", " + leans);
        // However much it leant when the gap was read.
        assertEquals(leans, least(frame, 60, motion(-2, -0.04)), 2);
        // Read at the lowered height nothing leans it since but the bump.
        LocatedGap there = new LocatedGap(frame.probe(), ON, 60, LocatedGap.BY_HAND);
        double since = least(there, 60, motion(0, -0.04));
        assertTrue(since > leans + 2, since + ", " + leans);
    }

    /** At the pose at which it was read the gap is what was read, whatever leans it. */
    @Test
    void the_gap_is_found_again_where_it_was_read() {
        Random random = new Random(381);
        for (int i = 0; i < 500; i++) {
            TyreBody.Face face = TyreBody.Face.values()[random.nextInt(TyreBody.Face.values().length)];
            double gap = 5 + random.nextInt(60);
            double lowered = random.nextInt(80);
            StraightMotion motion = motion(random.nextDouble() * 8 - 5, random.nextDouble() * 0.08 - 0.05);
            LocatedGap probed = LocatedGap.byHand(
                    new GapReading(
                            ProbePlace.INNER_ARCH,
                            1 + random.nextInt(12),
                            face,
                            Length.ofMm((long) gap),
                            Length.ofMm(random.nextInt(30))),
                    ON);
            double bump = probed.probe().bump().mm() - lowered;
            assertEquals(
                    gap,
                    Sweep.gap(
                            TyreBody.of(ON),
                            probed.at(lowered, motion),
                            ProbePlace.INNER_ARCH.carrier(),
                            motion,
                            new Pose(bump, 0, 0)),
                    1e-6,
                    probed + " by " + motion);
        }
    }
}
