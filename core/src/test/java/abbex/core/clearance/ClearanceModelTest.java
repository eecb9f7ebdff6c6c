package abbex.core.clearance;

import static abbex.core.clearance.ClearanceTest.fitment;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.TyreBody.Face;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.clearance.Verdict.Word;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSizes;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A corner with what was probed there: remedies, both sides, what is put over a tyre, probes that contradict each other. */
class ClearanceModelTest {
    private static final Motion MOTION = new StraightMotion(
            new Range(60, 70, Math.toRadians(32), Math.toRadians(38), Math.toRadians(3)), Math.toRadians(-0.02), 60);
    private static final Fitment NOW = fitment("225/45R17 91W", "7.5Jx17 ET45");

    private static GapReading probe(ProbePlace place, double clock, Face face, long mm) {
        return new GapReading(place, clock, face, Length.ofMm(mm), Length.ZERO);
    }

    @Test
    void lowering_and_a_wider_tyre_turn_clear_into_touching() {
        List<GapReading> probes = List.of(
                new GapReading(ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, Length.ofMm(110), Length.ZERO),
                new GapReading(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, Length.ofMm(20), Length.ZERO));
        List<Verdict> before = house(probes, NOW, 0).worstFirst();
        assertTrue(before.stream().allMatch(v -> v.word() == Word.CLEAR), before.toString());
        List<Verdict> after =
                house(probes, fitment("255/40R18", "9Jx18 ET45"), 60).worstFirst();
        assertTrue(after.stream().noneMatch(v -> v.word() == Word.CLEAR), after.toString());
    }

    private static ClearanceModel house(List<GapReading> probes, Fitment planned, double lowered) {
        return ClearanceModel.of(
                probes.stream().map(p -> LocatedGap.byHand(p, NOW)).toList(), planned, Worn.NOTHING, lowered, MOTION);
    }

    /** The amount that is named clears every place; one step less does not; alone where one does, else two. */
    @Test
    void a_remedys_amount_clears_and_one_step_less_does_not() {
        Random random = new Random(66);
        int alone = 0;
        int together = 0;
        for (int i = 0; i < 40; i++) {
            List<GapReading> probes = new ArrayList<>();
            probes.add(new GapReading(
                    ProbePlace.FENDER_LIP, 12, Face.TREAD, Length.ofMm(95 + random.nextInt(40)), Length.ZERO));
            probes.add(new GapReading(
                    ProbePlace.LINER_FRONT, 3, Face.TREAD, Length.ofMm(35 + random.nextInt(40)), Length.ZERO));
            probes.add(new GapReading(
                    ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, Length.ofMm(8 + random.nextInt(20)), Length.ZERO));
            ClearanceModel house = house(probes, fitment("235/40R18 95W", "8Jx18 ET45"), random.nextInt(30));
            List<Cure> cures = Remedies.find(house);
            assertTrue(cures.isEmpty() || !house.clear());
            for (Cure cure : cures) {
                assertTrue(cure.proof().stream().allMatch(v -> v.word() == Word.CLEAR), cure.toString());
                ClearanceModel less = house;
                for (int d = 0; d < cure.doses().size(); d++) {
                    Cure.Dose dose = cure.doses().get(d);
                    less = less.with(dose.remedy(), d == 0 ? dose.steps() - 1 : dose.steps());
                }
                assertTrue(!less.clear(), cure.doses() + " does with a step less");
                alone += cure.doses().size() == 1 ? 1 : 0;
                together += cure.doses().size() == 2 ? 1 : 0;
            }
        }
        System.out.printf("remedies: %d alone, %d in pairs%n", alone, together);
        assertTrue(alone > 10 && together > 5, alone + " alone, " + together + " together");
    }

    /** A car that is the same on both sides, probed the same on both sides, is told the same of both sides. */
    @Test
    void both_sides_of_a_symmetric_car_are_judged_alike() {
        Random random = new Random(67);
        for (int i = 0; i < 60; i++) {
            List<GapReading> left = new ArrayList<>();
            List<GapReading> right = new ArrayList<>();
            for (int k = 0; k < 5; k++) {
                ProbePlace place = ProbePlace.values()[random.nextInt(ProbePlace.values().length)];
                Face face = Face.values()[random.nextInt(5)];
                double clock = 0.5 + 0.5 * random.nextInt(24);
                long gap = 5 + random.nextInt(110);
                left.add(probe(place, clock, face, gap));
                right.add(probe(place, clock == 12 ? 12 : 12 - clock == 0 ? 12 : 12 - clock, face, gap));
            }
            Fitment planned = fitment("235/40R18 95W", "8.5Jx18 ET40");
            double lowered = random.nextInt(60);
            ClearanceModel lf = house(left, planned, lowered, Corner.LF);
            ClearanceModel rf = house(right, planned, lowered, Corner.RF);
            for (int k = 0; k < 5; k++) {
                Verdict a = lf.verdicts().get(k);
                Verdict b = rf.verdicts().get(k);
                double tolerance = 2 * Sweep.tolerance(a.least().gap());
                assertEquals(
                        a.least().gap(), b.least().gap(), tolerance, left.get(k).toString());
                double edge =
                        Math.min(Math.abs(a.least().gap()), Math.abs(a.least().gap() - a.needed() - a.margin()));
                assertTrue(a.word() == b.word() || edge < tolerance, a + " and " + b);
            }
        }
    }

    private static ClearanceModel house(List<GapReading> probes, Fitment planned, double lowered, Corner corner) {
        Range range = Range.usual(corner);
        double out = corner.isLeft() ? -1 : 1;
        return ClearanceModel.of(
                probes.stream().map(p -> LocatedGap.byHand(p, NOW)).toList(),
                planned,
                Worn.NOTHING,
                lowered,
                new StraightMotion(range, 0, Math.toRadians(-0.02), out * Math.toRadians(0.003), 60));
    }

    /** The inner wheel of a turn steers further: the left one to the left. */
    @Test
    void the_inner_wheel_turns_in_further() {
        Range left = Range.usual(Corner.LF);
        Range right = Range.usual(Corner.RF);
        assertTrue(left.left() > left.right());
        assertEquals(left.left(), right.right());
        assertEquals(0, Range.usual(Corner.LR).left());
    }

    /**
     * By hand: 3 mm from calliper to barrel stay 3 mm at every pose on the same wheel, 1/16 in is needed; a wheel an inch larger
     * leaves 12.7 more, one an inch smaller goes 9.7 mm into it; of another wheel of its size nobody knows the barrel.
     */
    @Test
    void a_calliper_stands_inside_the_wheel() {
        List<LocatedGap> calliper =
                List.of(LocatedGap.byHand(probe(ProbePlace.CALLIPER, 9, Face.INNER_SIDEWALL, 3), NOW));
        Verdict same = ClearanceModel.of(calliper, NOW, Worn.CHAINS, 40, MOTION)
                .verdicts()
                .get(0);
        assertEquals(3, same.least().gap(), 1e-6);
        assertEquals(25.4 / 16, same.needed(), 1e-9);
        assertEquals(Word.CLEAR, same.word());
        assertTrue(ClearanceModel.of(calliper, NOW, Worn.NOTHING, 0, MOTION).clear());
        Verdict larger = ClearanceModel.of(calliper, fitment("225/40R18 92W", "7.5Jx18 ET45"), Worn.NOTHING, 0, MOTION)
                .verdicts()
                .get(0);
        assertEquals(15.7, larger.least().gap(), 1e-6);
        Verdict smaller = ClearanceModel.of(calliper, fitment("205/55R16 91V", "7Jx16 ET45"), Worn.NOTHING, 0, MOTION)
                .verdicts()
                .get(0);
        assertEquals(-9.7, smaller.least().gap(), 1e-6);
        Verdict other = ClearanceModel.of(calliper, fitment("225/45R17 91W", "8Jx17 ET35"), Worn.NOTHING, 0, MOTION)
                .verdicts()
                .get(0);
        assertEquals(Word.CLOSE, other.word());
        assertTrue(other.mayTouch());
    }

    /** A hose goes half of every way: 60 mm over a tread that comes up 70 it keeps 60 - 35 less the grown tyre, and it bends. */
    @Test
    void a_hose_goes_half_the_way_and_bends() {
        Motion up = new StraightMotion(new Range(0, 70, 0, 0, 0), 0, 60);
        Verdict hose = ClearanceModel.of(
                        List.of(LocatedGap.byHand(probe(ProbePlace.HOSE, 12, Face.TREAD, 60), NOW)),
                        NOW,
                        Worn.NOTHING,
                        0,
                        up)
                .verdicts()
                .get(0);
        double grown = TyreBody.grown(NOW).outside() - TyreBody.of(NOW).outside();
        assertEquals(60 - 35 - grown, hose.least().gap(), Sweep.TOLERANCE);
        assertTrue(hose.standard() > 6, "it bends by as much");
        RoadTest drive = new RoadTest(NOW, 0, up);
        LocatedGap calliper = LocatedGap.byHand(probe(ProbePlace.CALLIPER, 9, Face.TREAD, 3), NOW);
        assertEquals(calliper, drive.unmarked(calliper));
        assertEquals(
                0, drive.mark(calliper).orElseThrow().probed().probe().gap().mm());
    }

    /** By hand: a quarter of the way round a tread of 300 mm is 150 π = 471.24 mm: 3 o'clock, or 9 where the eye says so. */
    @Test
    void an_hour_is_taped_along_the_tread() {
        assertEquals(3, GapReading.clock(471.24, 2.5, 300), 1e-9);
        assertEquals(9, GapReading.clock(471.24, 9.5, 300), 1e-9);
        assertEquals(12, GapReading.clock(0, 11.5, 300), 1e-9);
        assertEquals(1, GapReading.clock(157.08, 12, 300), 1e-9);
    }

    /** SAE J683 class S, from memory: 37 mm over the tread, 15 mm beside it. */
    @Test
    void a_traction_device_takes_its_room() {
        List<LocatedGap> probes = List.of(
                LocatedGap.byHand(probe(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, 40), NOW),
                LocatedGap.byHand(probe(ProbePlace.SWINGARM, 3, Face.TREAD, 60), NOW));
        List<Verdict> bare =
                ClearanceModel.of(probes, NOW, Worn.NOTHING, 0, MOTION).verdicts();
        List<Verdict> worn =
                ClearanceModel.of(probes, NOW, Worn.CHAINS, 0, MOTION).verdicts();
        assertEquals(15, bare.get(0).least().gap() - worn.get(0).least().gap(), 1e-6);
        assertEquals(37, bare.get(1).least().gap() - worn.get(1).least().gap(), 1e-6);
    }

    /**
     * Each remedy gives its place the room that it says. A tyre 30 mm narrower is 20 mm narrower on this rim (an inch over its
     * measuring rim widens it by 0.4 in), half of that on a side, grown by 4 %; the only lower tyre of that width that this rim takes is 225/35R17: 10 points of
     * 225 mm are 22.5 mm, grown alike.
     */
    @ParameterizedTest
    @CsvSource({
        "TRIM_LINER, LINER_FRONT, 3, TREAD, 20",
        "TIE_BACK, HOSE, 12, INNER_SIDEWALL, 20",
        "ROLL_LIP, FENDER_LIP, 12, OUTER_SIDEWALL, 12",
        "LONGER_STOP, FENDER_LIP, 12, TREAD, 30",
        "OUTWARD, STRUT, 12, INNER_SIDEWALL, 25",
        "INWARD, FENDER_LIP, 12, OUTER_SIDEWALL, 20",
        // 10.4 of the tyre; by then the rim stands 1.3 further out: 7.5 in is 190.5 and two flanges of 12.7 over 205.2
        // · 1.04.
        "NARROWER, STRUT, 12, INNER_SIDEWALL, 9.1",
        "LOWER_ASPECT, FENDER_LIP, 12, TREAD, 23.4",
        "MOVE_BRACKET, STRUT, 12, INNER_SIDEWALL, 20",
        "HAMMER_ARCH, INNER_ARCH, 12, TREAD, 15",
        "FLARE, FENDER_LIP, 12, OUTER_SIDEWALL, 50"
    })
    void every_remedy_gives_room_where_it_says(Remedy remedy, ProbePlace place, double clock, Face face, double room) {
        Motion still = new StraightMotion(new Range(0, 70, 0, 0, 0), 0, 60);
        ClearanceModel corner = ClearanceModel.of(
                List.of(LocatedGap.byHand(probe(place, clock, face, 90), NOW)), NOW, Worn.NOTHING, 0, still);
        double before = corner.verdicts().get(0).least().gap();
        double after =
                corner.with(remedy, remedy.most()).verdicts().get(0).least().gap();
        assertEquals(room, after - before, 0.02 * room + 0.3, remedy + " " + before + " to " + after);
    }

    /**
     * By hand: 205/55R16 on 6.5J ET45 has its inner sidewall 45 + 102.5 mm inboard of the hub's face; 20 mm on stands the strut,
     * at 167.5. On 9.5J ET35 the tyre's inner side comes to 35 + (205 + 3 · 25.4 · 0.4) · 1.04 / 2 = 157.4, ten millimetres
     * short of it; the rim's edge, half an inch beyond its width, to 35 + 120.65 + 12.7 = 168.35: 0.85 mm into the strut.
     */
    @Test
    void the_rim_under_a_stretched_tyre_is_what_touches_the_strut() {
        Fitment narrow = fitment("205/55R16 91V", "6.5Jx16 ET45");
        Fitment stretched = fitment("205/55R16 91V", "9.5Jx16 ET35");
        LocatedGap strut = LocatedGap.byHand(probe(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, 20), narrow);
        Verdict verdict = ClearanceModel.of(List.of(strut), stretched, Worn.NOTHING, 0, MOTION)
                .verdicts()
                .get(0);
        assertEquals(-0.85, verdict.least().gap(), 0.05);
        assertEquals(Verdict.Word.TOUCHES, verdict.word());
        // Where the tyre stands beyond the rim nothing changes.
        Verdict usual = ClearanceModel.of(List.of(strut), narrow, Worn.NOTHING, 0, MOTION)
                .verdicts()
                .get(0);
        assertEquals(20 - 205 * 0.04 / 2, usual.least().gap(), 0.05);
    }

    /** What is bolted to the knuckle or the swingarm goes where the wheel goes: its gap is the one that was read, in any bump. */
    @ParameterizedTest
    @CsvSource({"TIE_ROD, 7, INNER_SIDEWALL", "HUGGER, 12, TREAD"})
    void what_the_wheel_carries_along_stays_where_it_is_to_it(ProbePlace place, double clock, Face face) {
        ClearanceModel corner = ClearanceModel.of(
                List.of(LocatedGap.byHand(probe(place, clock, face, 30), NOW)), NOW, Worn.NOTHING, 60, MOTION);
        double still = ClearanceModel.of(
                        List.of(LocatedGap.byHand(probe(place, clock, face, 30), NOW)),
                        NOW,
                        Worn.NOTHING,
                        0,
                        new StraightMotion(new Range(0, 0, 0, 0, 0), 0, 60))
                .verdicts()
                .get(0)
                .least()
                .gap();
        assertEquals(still, corner.verdicts().get(0).least().gap(), 1e-9);
    }

    /**
     * By hand: the stop sits on the body. Raised by 20 mm the lip is 20 mm further from the wheel at rest, and the wheel
     * has 20 mm more before the stop ends its way: into the arch it comes as far as before, whatever camber comes with bump.
     */
    @ParameterizedTest
    @CsvSource({"0, 0", "-0.0006, 0", "0.0009, 3", "-0.0006, 3"})
    void less_drop_leaves_the_wheel_as_far_in_the_arch_at_the_stop(double camberPerMm, double rollDegrees) {
        Motion moves = new StraightMotion(new Range(60, 70, 0.6, 0.5, Math.toRadians(rollDegrees)), camberPerMm, 60);
        ClearanceModel corner = ClearanceModel.of(
                List.of(
                        LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 12, Face.TREAD, 90), NOW),
                        LocatedGap.byHand(probe(ProbePlace.LINER_FRONT, 10, Face.TREAD, 60), NOW)),
                NOW,
                Worn.NOTHING,
                0,
                moves);
        List<Verdict> before = corner.verdicts();
        List<Verdict> after = corner.with(Remedy.LESS_DROP, 4).verdicts();
        for (int i = 0; i < before.size(); i++) {
            assertEquals(before.get(i).least().gap(), after.get(i).least().gap(), 0.11, "the sweep's own 0.1 mm");
        }
        // A proof that leaves the stop where it was relative to the wheel calls this clear: 70 mm of bump into 60 mm of
        // gap.
        assertTrue(Remedies.find(corner).stream()
                .flatMap(c -> c.doses().stream())
                .noneMatch(d -> d.remedy() == Remedy.LESS_DROP));
    }

    @Test
    void camber_gives_room_at_the_top_outside() {
        ClearanceModel corner = house(List.of(probe(ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, 60)), NOW, 0);
        assertTrue(corner.with(Remedy.CAMBER, 5).verdicts().get(0).least().gap()
                > corner.verdicts().get(0).least().gap() + 3);
    }

    @Test
    void two_probes_that_cannot_both_be_are_named() {
        Fitment wide = fitment("255/40R18 99W", "9Jx18 ET30");
        List<LocatedGap> probes = List.of(
                LocatedGap.byHand(probe(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, 20), NOW),
                LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 12, Face.OUTER_SIDEWALL, 10), NOW),
                LocatedGap.byHand(probe(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, 29), NOW),
                LocatedGap.byHand(probe(ProbePlace.LINER_REAR, 9, Face.TREAD, 40), wide));
        List<ProbeCheck.Contradiction> found = ProbeCheck.of(probes);
        assertEquals(2, found.size(), found.toString());
        assertEquals(new ProbeCheck.Contradiction(0, 2, ProbeCheck.Why.TWO_GAPS, 9), rounded(found.get(0)));
        // The wide wheel stood there: the lip cannot be where its sidewall was.
        assertEquals(ProbeCheck.Why.INSIDE, found.get(1).why());
        assertEquals(List.of(1, 3), List.of(found.get(1).first(), found.get(1).second()));
        assertTrue(ProbeCheck.of(probes.subList(0, 2)).isEmpty());
    }

    private static ProbeCheck.Contradiction rounded(ProbeCheck.Contradiction c) {
        return new ProbeCheck.Contradiction(c.first(), c.second(), c.why(), Math.rint(c.by()));
    }

    /** Geometry: the lip probed straight out from the sidewall stands that far outside it; 12 o'clock over the tread. */
    @Test
    void what_the_eye_sees() {
        Motion still = new StraightMotion(new Range(0, 0, 0, 0, 0), 0, 60);
        ClearanceModel corner = ClearanceModel.of(
                List.of(
                        LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 12, Face.TREAD, 60), NOW),
                        LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 9, Face.TREAD, 48), NOW),
                        LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 3, Face.TREAD, 66), NOW),
                        LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 12, Face.OUTER_SIDEWALL, 14), NOW)),
                NOW,
                Worn.NOTHING,
                0,
                still);
        Eye eye = Eye.of(corner);
        assertEquals(-14, eye.poke().orElseThrow(), 1e-9, "tucked in");
        assertTrue(eye.over().orElseThrow() <= 60 + 1e-9);
        assertTrue(eye.evenness().orElseThrow() >= 18 - 1e-9);
        assertEquals(80, Eye.alike(eye(38, 42), eye(50)).orElseThrow());
        assertTrue(Eye.alike(eye(), eye(50)).isEmpty());
        assertEquals(100, Eye.alike(eye(50), eye(50)).orElseThrow());
        assertTrue(Eye.alike(eye(-3), eye(50)).isEmpty());
    }

    private static List<Eye> eye(double... mm) {
        return java.util.Arrays.stream(mm)
                .mapToObj(m -> new Eye(OptionalDouble.of(m), OptionalDouble.empty(), OptionalDouble.empty()))
                .toList();
    }

    /** Offset first, then lip, stop, height and size; no tyre is offered that is not made. */
    @Test
    void remedies_come_in_the_order_of_what_they_cost_and_only_sizes_that_exist() {
        assertEquals(
                List.of(
                        Remedy.OUTWARD,
                        Remedy.INWARD,
                        Remedy.TRIM_LINER,
                        Remedy.TIE_BACK,
                        Remedy.ROLL_LIP,
                        Remedy.LONGER_STOP,
                        Remedy.LESS_DROP,
                        Remedy.NARROWER,
                        Remedy.LOWER_ASPECT),
                List.of(Remedy.values()).subList(0, 9));
        Random random = new Random(68);
        for (int i = 0; i < 60; i++) {
            ClearanceModel house = house(
                    List.of(probe(ProbePlace.FENDER_LIP, 12, Face.TREAD, 60 + random.nextInt(60))),
                    fitment("235/40R18 95W", "8Jx18 ET45"),
                    random.nextInt(30));
            for (Cure cure : Remedies.find(house)) {
                cure.tyre().ifPresent(tyre -> assertTrue(TyreSizes.made(tyre), tyre.text()));
            }
        }
        assertEquals(
                "225/45R17",
                OtherTyres.narrower(fitment("235/45R17 94W", "8Jx17 ET45"), 1).text());
        assertEquals(
                fitment("235/45R17 94W", "5Jx17 ET45").tyre(),
                OtherTyres.lower(fitment("235/45R17 94W", "5Jx17 ET45"), 1),
                "none that this rim takes");
    }

    /** A wheel further in comes nearer to strut and inner arch: where neither was measured, both are named. */
    @Test
    void no_remedy_is_proven_towards_what_was_never_measured() {
        Motion still = new StraightMotion(new Range(0, 70, 0, 0, 0), 0, 60);
        ClearanceModel lip = ClearanceModel.of(
                List.of(LocatedGap.byHand(probe(ProbePlace.FENDER_LIP, 12, Face.OUTER_SIDEWALL, 1), NOW)),
                NOW,
                Worn.NOTHING,
                0,
                still);
        Cure inward = Remedies.find(lip).stream()
                .filter(cure -> cure.doses().size() == 1 && cure.doses().get(0).remedy() == Remedy.INWARD)
                .findFirst()
                .orElseThrow();
        assertEquals(Set.of(ProbePlace.STRUT, ProbePlace.INNER_ARCH), Set.copyOf(inward.unmeasured()));
    }

    /** 8 ± 3 mm where 6 are required: a gap that reads 5 mm more is clear, and what it would decide is said first. */
    @Test
    void where_the_interval_straddles_a_reading_decides() {
        Verdict open = new Verdict(ProbePlace.STRUT, new Sweep.Least(8, Pose.RIDE), 3, 6);
        assertEquals(Word.CLOSE, open.word());
        assertEquals(6 + 1.645 * 3 - 8, open.straddles().orElseThrow(), 1e-9);
        assertTrue(new Verdict(ProbePlace.STRUT, new Sweep.Least(-8, Pose.RIDE), 1, 6)
                .straddles()
                .isEmpty());
    }
}
