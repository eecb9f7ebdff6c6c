package abbex.core.clearance;

import static abbex.core.clearance.ClearanceTest.fitment;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.TyreBody.Face;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.clearance.Verdict.Word;
import abbex.core.motion.Motion;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * 500 corners with invented obstacles, probed with tape noise from a tyre that is off its nominal size, judged for the same tyre
 * or another, at an hour that is told a quarter of an hour wrong, about an axis that lies 30 mm from the usual one: what is
 * called clear is so in 95 of 100, what touches is called clear, or close without "may touch", in at most 5 and named in 60,
 * what has its clearance is said to touch in at most 5; of lips with twice what they need 70 are called clear. The other widths
 * are ours: 0.8 mm of finding the place, a tape in sixteenths, tyres 1 mm off their size, one standard deviation.
 */
class SimulatedCornersTest {
    private static final Motion MOTION = new StraightMotion(
            new Range(60, 70, Math.toRadians(32), Math.toRadians(38), Math.toRadians(3)), Math.toRadians(-0.02), 60);
    private static final Fitment NOW = fitment("225/45R17 91W", "7.5Jx17 ET45");
    private static final List<Fitment> PLANNED =
            List.of(NOW, fitment("235/40R18 95W", "8Jx18 ET45"), fitment("215/45R17 87W", "7.5Jx17 ET40"));

    private static TyreBody off(TyreBody nominal, double by) {
        return new TyreBody(
                nominal.middle(),
                nominal.half() + by,
                nominal.bead(),
                nominal.outside() + by,
                nominal.shoulder(),
                nominal.heel());
    }

    private static double hours(double clock) {
        return clock <= 0 ? clock + 12 : clock > 12 ? clock - 12 : clock;
    }

    /** The same range about another axis. */
    private static Motion moves(double axis) {
        return MOTION.steeredAbout(axis - StraightMotion.USUAL_AXIS);
    }

    /** The rim against the part where it was read, and a strut beside the wheel against its edge, 3 mm over the seat. */
    private static double rim(Fitment planned, double[] truth, ProbePlace place, Face face, Motion moves) {
        TyreBody rim = TyreBody.rim(planned);
        double there = Sweep.run(rim, truth, place.carrier(), moves).gap();
        if (place != ProbePlace.STRUT || face != Face.INNER_SIDEWALL && face != Face.OUTER_SIDEWALL) {
            return there;
        }
        double in = (planned.wheel().rimCode().doubleValue() * 12.7 + 3) / Math.hypot(truth[0], truth[2]);
        double[] low = {truth[0] * in, truth[1], truth[2] * in};
        return Math.min(there, Sweep.run(rim, low, place.carrier(), moves).gap());
    }

    @ParameterizedTest
    @CsvSource({"true, 81", "false, 82"})
    void simulated_corners_are_judged_as_honestly_as_is_said(boolean needsAir, long seed) {
        Random random = new Random(seed);
        int truly = 0;
        int missed = 0;
        int free = 0;
        int cried = 0;
        int touching = 0;
        int clear = 0;
        int truthful = 0;
        int wide = 0;
        int brave = 0;
        for (int i = 0; i < 500; i++) {
            Fitment planned = PLANNED.get(random.nextInt(PLANNED.size()));
            ProbePlace place = random.nextBoolean() ? ProbePlace.FENDER_LIP : ProbePlace.STRUT;
            Face face = Face.values()[random.nextInt(5)];
            double clock = 1 + 0.5 * random.nextInt(23);
            double gap = 2 + 118 * random.nextDouble();
            double offNow = random.nextGaussian();
            double offPlanned = planned.equals(NOW) ? offNow : random.nextGaussian();
            // The hour is told to the half, and wrongly by a quarter of one; the axis lies where nobody looked.
            double hour = clock + 0.25 * random.nextGaussian();
            double axis = StraightMotion.USUAL_AXIS + 30 * random.nextGaussian();
            double taped = Math.max(0, Math.rint((gap + 0.8 * random.nextGaussian()) / 25.4 * 16)) * 25.4 / 16;
            double[] truth = new GapReading(place, hours(hour), face, Length.ofRoundedMm(gap), Length.ZERO)
                    .point(off(TyreBody.of(NOW), offNow));
            double real = Math.min(
                    Sweep.run(off(TyreBody.grown(planned), offPlanned), truth, place.carrier(), moves(axis))
                            .gap(),
                    rim(planned, truth, place, face, moves(axis)));
            Verdict told = ClearanceModel.of(
                            List.of(LocatedGap.byHand(
                                    new GapReading(place, clock, face, Length.ofRoundedMm(taped), Length.ZERO), NOW)),
                            planned,
                            Worn.NOTHING,
                            0,
                            MOTION)
                    .verdicts()
                    .get(0);
            double needed = needsAir ? place.neededMm() : 0;
            Verdict verdict = new Verdict(place, told.least(), told.standard(), needed);
            clear += verdict.word() == Word.CLEAR ? 1 : 0;
            truthful += verdict.word() == Word.CLEAR && real >= needed ? 1 : 0;
            if (place == ProbePlace.FENDER_LIP && real >= 2 * Math.max(needed, place.neededMm())) {
                wide++;
                brave += verdict.word() == Word.CLEAR ? 1 : 0;
            }
            if (real <= 0) {
                truly++;
                touching += verdict.word() == Word.TOUCHES ? 1 : 0;
                missed += verdict.word() == Word.CLEAR || verdict.word() == Word.CLOSE && !verdict.mayTouch() ? 1 : 0;
            } else if (real > needed) {
                free++;
                cried += verdict.word() == Word.TOUCHES ? 1 : 0;
            }
        }
        System.out.printf(
                "corners, %s: %d touch, %d said so, %d missed; %d free, %d cried; %d clear, %d truly; %d wide lips, %d clear%n",
                needsAir ? "as much air as is needed" : "none needed",
                truly,
                touching,
                missed,
                free,
                cried,
                clear,
                truthful,
                wide,
                brave);
        assertTrue(truly > 50 && free > 50, truly + " touch, " + free + " free");
        assertTrue(missed <= 0.05 * truly, missed + " of " + truly);
        assertTrue(touching >= 0.6 * truly, touching + " of " + truly);
        assertTrue(cried <= 0.05 * free, cried + " of " + free);
        assertTrue(truthful >= 0.95 * clear, truthful + " of " + clear);
        assertTrue(brave >= 0.7 * wide, brave + " of " + wide);
    }
}
