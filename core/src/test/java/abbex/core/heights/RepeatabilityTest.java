package abbex.core.heights;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A shop's own repeatability; the pooled variance by JCGM 100:2008, 4.2.4 (from memory), the shrinking is ours. */
class RepeatabilityTest {
    private static final double USUAL = Method.HF.repeatability().mm();
    /** The marks of a millimetre tape: half a millimetre over the root of three (JCGM 100:2008, 4.3.7). */
    private static final double SCALE = 0.5 / Math.sqrt(3);

    private static List<Reading> read(double... mm) {
        return java.util.stream.DoubleStream.of(mm)
                .mapToObj(v -> Reading.of(
                        MeasuringPoint.of(Corner.LF, Method.HF),
                        TapeReading.of(Length.ofRoundedMm(v), Graduation.MILLIMETRE)))
                .toList();
    }

    @Test
    void ten_pairs_two_millimetres_apart_by_hand() {
        List<List<Reading>> pairs =
                Stream.generate(() -> read(350, 352)).limit(10).toList();
        Repeatability.Own own = Repeatability.pooled(pairs).own(Method.HF);
        // Each pair: (1 + 1) squares at one degree of freedom, less the marks' variance.
        double pooled = 2 - SCALE * SCALE;
        assertEquals(10, own.freedom());
        assertEquals(Math.sqrt(pooled), own.pooled(), 1e-9);
        assertEquals(
                Math.sqrt((10 * USUAL * USUAL + 10 * pooled) / 20), own.used().standard(), 1e-9);
        assertEquals(20, own.used().degreesOfFreedom());
    }

    @Test
    void nine_degrees_of_freedom_are_not_enough() {
        List<List<Reading>> pairs =
                Stream.generate(() -> read(350, 352)).limit(9).toList();
        Repeatability nine = Repeatability.pooled(pairs);
        assertFalse(nine.own(Method.HF).enough());
        assertEquals(USUAL, nine.of(Method.HF).standard());
        assertEquals(Double.POSITIVE_INFINITY, nine.of(Method.HF).degreesOfFreedom());
        List<List<Reading>> three =
                Stream.generate(() -> read(350, 351, 352)).limit(5).toList();
        assertEquals(10, Repeatability.pooled(three).own(Method.HF).freedom(), "three readings bring two");
        assertEquals(USUAL, Repeatability.pooled(three).of(Method.GF).standard(), "another method keeps its own");
    }

    @Test
    void a_misread_repeat_is_no_scatter() {
        List<List<Reading>> pairs =
                new ArrayList<>(Stream.generate(() -> read(350, 351)).limit(12).toList());
        double before = Repeatability.pooled(pairs).of(Method.HF).standard();
        pairs.add(read(350, 375.4));
        Repeatability.Own own = Repeatability.pooled(pairs).own(Method.HF);
        assertEquals(1, own.leftOut());
        assertEquals(before, own.used().standard());
    }

    /** Drawn repeats of a known scatter: the pooled one comes near it, what is used lies between it and the default. */
    @Test
    void drawn_repeats_give_back_their_scatter() {
        Random random = new Random(42);
        for (double truth : new double[] {0.4, 0.6, 1.1, 3 * USUAL, 5 * USUAL}) {
            List<List<Reading>> pairs = new ArrayList<>();
            for (int i = 0; i < 400; i++) {
                double height = 340 + 20 * random.nextDouble();
                pairs.add(read(
                        Math.rint(height + truth * random.nextGaussian()),
                        Math.rint(height + truth * random.nextGaussian())));
            }
            Repeatability.Own own = Repeatability.pooled(pairs).own(Method.HF);
            assertEquals(truth, own.pooled(), 0.12 * truth);
            double used = own.used().standard();
            assertTrue(used >= Math.min(own.pooled(), USUAL) && used <= Math.max(own.pooled(), USUAL));
        }
    }

    /** Few repeats behind it: Student's t takes the place of two (JCGM 100:2008, G.3; t for 20 degrees of freedom 2.086). */
    @Test
    void a_drop_by_the_shops_own_is_expanded_by_students_t() {
        List<List<Reading>> pairs =
                Stream.generate(() -> read(350, 352)).limit(10).toList();
        Basis own = Basis.USUAL.by(Repeatability.pooled(pairs));
        HeightSheet before = HeightSheet.of(SheetState.NOT_TAKEN, own, read(350));
        Height height = before.at(Corner.LF, Method.HF).orElseThrow();
        double point = own.repeatability().of(Method.HF).standard();
        assertEquals(Math.hypot(SCALE, point), height.estimate().uncertainty().standard(), 1e-9);
        double freedom = height.estimate().uncertainty().degreesOfFreedom();
        // Welch-Satterthwaite: the marks are known, so the freedom grows by (u / u_point)^4.
        assertEquals(20 * Math.pow(Math.hypot(SCALE, point) / point, 4), freedom, 1e-6);
        double factor = height.estimate().uncertainty().coverageFactor(0.95);
        assertTrue(factor > 2.05 && factor < 2.086, "k " + factor);
    }

    /** A shop three times as rough as usual, of whose pairs one in twenty is an inch or two off: its scatter is learned, they are not. */
    @Test
    void a_rough_shop_learns_its_truth_and_not_its_mistakes() {
        Random random = new Random(43);
        double truth = 3 * USUAL;
        List<List<Reading>> pairs = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            double height = 340 + 20 * random.nextDouble();
            double slip = i % 20 == 0 ? (1 + random.nextInt(2)) * 25.4 : 0;
            pairs.add(read(
                    Math.rint(height + truth * random.nextGaussian()),
                    Math.rint(height + slip + truth * random.nextGaussian())));
        }
        Repeatability.Own own = Repeatability.pooled(pairs).own(Method.HF);
        assertTrue(own.leftOut() >= 15 && own.leftOut() <= 22, own.leftOut() + " left out of 20 mistakes");
        assertEquals(truth, own.pooled(), 0.15 * truth);
    }
}
