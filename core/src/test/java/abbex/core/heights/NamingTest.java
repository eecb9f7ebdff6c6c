package abbex.core.heights;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * How often the wrong reading is named, by simulation of drawn jobs of two sheets (no outside source): one slip of 3/16 … 1 in
 * in either direction, anywhere. What is asked for here is what the product promises. {@code -Dabbex.jobs=2000} for all of it.
 */
class NamingTest {
    private static final int ALL = 2000;
    private static final int JOBS = Integer.getInteger("abbex.jobs", 700);
    private static final PriorDeviations USUAL = PriorDeviations.of(VehicleKind.CAR, Limits.USUAL);

    /** What happened in so many jobs, in per cent of them unless it says otherwise. */
    private static final class Tally {
        int jobs = JOBS;
        int accused;
        int restless;
        int first;
        int firstOrTwin;
        int offered;
        int offeredSize;
        int wrongAlone;
        int silent;
        int small;
        int smallFirst;
        final int[] clean = new int[2];
        final int[] after = new int[2];

        /** Per cent by which so few jobs may miss a limit that all of them hold: two standard errors, none of all. */
        double chance(double limit) {
            double part = Math.min(0.98, limit / 100);
            return 200 * Math.sqrt(part * (1 - part) * Math.max(0, 1.0 / jobs - 1.0 / ALL));
        }

        boolean reaches(int count, double limit) {
            return percent(count) >= limit - chance(limit);
        }

        double percent(int count) {
            return 100.0 * count / jobs;
        }

        double setSize() {
            return offeredSize / (double) Math.max(1, jobs - silent);
        }

        @Override
        public String toString() {
            return String.format(
                    "clean accused %.1f %%, restless %.1f %%, intervals %.1f %% | first %.1f %% (under 1/4 in %.0f %%), or twin %.1f %%, offered"
                            + " %.1f %%, set %.2f, wrong alone %.1f %%, silent %.1f %%, intervals after %.1f %%",
                    percent(accused),
                    percent(restless),
                    held(clean),
                    percent(first),
                    100.0 * smallFirst / small,
                    percent(firstOrTwin),
                    percent(offered),
                    setSize(),
                    percent(wrongAlone),
                    percent(silent),
                    held(after));
        }
    }

    private static double held(int[] intervals) {
        return 100.0 * intervals[0] / Math.max(1, intervals[1]);
    }

    private static Tally run(String names, int sheets) {
        return run(names, sheets, DrawnJob.Differs.NOTHING, JOBS);
    }

    private static Tally run(String names, int sheets, DrawnJob.Differs differs, int jobs) {
        List<Method> methods = Stream.of(names.split(" ")).map(Method::valueOf).toList();
        Random random = new Random(4);
        Tally t = new Tally();
        t.jobs = jobs;
        for (int i = 0; i < jobs; i++) {
            DrawnJob clean = new DrawnJob(random, methods, sheets, differs);
            Adjustment adjusted = clean.adjust();
            t.accused += adjusted.suspects().isEmpty() ? 0 : 1;
            t.restless += adjusted.suspects().isEmpty() && adjusted.restless() ? 1 : 0;
            count(clean, adjusted, methods, sheets, t.clean);
            DrawnJob job = new DrawnJob(random, methods, sheets, differs);
            job.plant();
            name(job, job.adjust().suspects(), t);
            count(job, job.adjust(), methods, sheets, t.after);
        }
        System.out.println(names + ", " + sheets + " sheets, differs " + differs + ": " + t);
        return t;
    }

    private static void name(DrawnJob job, List<Outlier> suspects, Tally t) {
        boolean small = Math.abs(job.slip) < 25.4 / 4;
        t.small += small ? 1 : 0;
        if (suspects.isEmpty()) {
            t.silent++;
            return;
        }
        boolean right = job.planted(suspects.get(0));
        t.first += right ? 1 : 0;
        t.smallFirst += right && small ? 1 : 0;
        t.firstOrTwin += right || job.twin(suspects.get(0)) ? 1 : 0;
        t.offered += suspects.stream().anyMatch(job::planted) ? 1 : 0;
        t.offeredSize += suspects.size();
        t.wrongAlone += suspects.size() == 1 && !right ? 1 : 0;
        suspects.forEach(s -> job.again(s.sheet(), s.spot()));
    }

    @ParameterizedTest(name = "{0}: offered {1}, first {2}, first under 1/4 in {3}, first or twin {4}")
    @CsvSource({
        "GF HF RIM,         88, 94, 60,  0",
        "GF HF RIM FG,      88,  0,  0, 95",
        "GF HF RIM FG TG,   88,  0,  0, 95",
        "GF HF,             88,  0,  0,  0",
        "GF RIM,            88,  0,  0,  0",
        "HF RIM,            88,  0,  0,  0",
        "HF FG,             88,  0,  0,  0"
    })
    void two_sheets(String names, double offered, double first, double small, double firstOrTwin) {
        Tally t = run(names, 2);
        assertTrue(t.reaches(t.offered, offered), t.toString());
        assertTrue(t.reaches(t.first, first), t.toString());
        assertTrue(100.0 * t.smallFirst / t.small >= small, t.toString());
        assertTrue(t.reaches(t.firstOrTwin, firstOrTwin), t.toString());
        assertTrue(t.setSize() <= 3, t.toString());
        assertTrue(t.percent(t.wrongAlone) <= 1.5, t.toString());
        assertTrue(t.percent(t.accused + t.restless) <= 3, t.toString());
        assertTrue(held(t.clean) >= 93 && held(t.clean) <= 97, t.toString());
        assertTrue(held(t.after) >= 93 && held(t.after) <= 97, t.toString());
    }

    /**
     * What differs between the sheets, or was never measured, differs by widths of its own, 0.7 to 1.4 of the program's: nobody is
     * accused for it, intervals hold, and naming loses at most three points of what the core named on the same draws before it
     * knew of these widths (its figures of 78c2ff8, run once; it accused up to 40 % of the clean jobs for it).
     */
    @ParameterizedTest(name = "{0}, {1}: offered {2}, before {3}, first or twin before {4}")
    @CsvSource({
        "GF HF RIM,     LOAD,      92, 94.3, 93.3",
        "GF HF RIM FG,  LOAD,      94, 95.5, 94.5",
        "GF HF RIM,     BAY,       94, 97.3, 97.1",
        "GF HF RIM FG,  BAY,       95, 97.9, 97.7",
        "GF HF RIM FG TG, PRESSURES, 94, 96.9, 96.7",
        "GF HF RIM,     PRESSURES, 90, 92.1, 77.4",
        "GF HF RIM FG,  WHEELS,    93, 96.7, 71.0",
        "GF HF RIM,     WHEELS,    91, 94.4, 47.5",
        "GF HF RIM FG,  FRAME,     94, 96.2, 95.9",
        "HF FG,         FRAME,     88, 92.0, 90.8",
        "GF HF RIM,     STAND_IN,  85, 58.7, 58.2",
        "GF HF RIM FG,  STAND_IN,  84, 48.3, 47.9"
    })
    void states_that_differ(String names, DrawnJob.Differs differs, double offered, double before, double firstBefore) {
        Tally t = run(names, 2, differs, 3 * JOBS / 4);
        assertTrue(t.reaches(t.offered, Math.max(offered, before - 3)), t.toString());
        assertTrue(t.reaches(t.firstOrTwin, firstBefore - 3), t.toString());
        assertTrue(t.percent(t.wrongAlone) <= 1.5, t.toString());
        assertTrue(t.percent(t.accused + t.restless) <= 3, t.toString());
        assertTrue(held(t.clean) >= 93 && held(t.clean) <= 97, t.toString());
        // With a misread tape in them, named or not.
        assertTrue(held(t.after) >= 92.5 - t.chance(95) / 2 && held(t.after) <= 97, t.toString());
    }

    /** Beside an oracle that knows every width and noise, set to the same rate of false alarms. */
    @ParameterizedTest
    @CsvSource({
        "GF HF RIM, NOTHING",
        "GF HF, NOTHING",
        "HF RIM, NOTHING",
        "GF HF RIM FG, NOTHING",
        "GF HF RIM FG, FRAME",
        "GF HF RIM, LOAD",
        "GF HF RIM, STAND_IN"
    })
    void reaches_what_an_oracle_names(String names, DrawnJob.Differs differs) {
        List<Method> methods = Stream.of(names.split(" ")).map(Method::valueOf).toList();
        Random random = new Random(5);
        int accused = 0;
        double[] cleanOracle = new double[JOBS];
        int named = 0;
        double[] right = new double[JOBS];
        for (int i = 0; i < JOBS; i++) {
            DrawnJob clean = new DrawnJob(random, methods, 2, differs);
            accused += clean.adjust().suspects().isEmpty() ? 0 : 1;
            cleanOracle[i] =
                    Math.abs(clean.oracle().mostSuspicious().orElseThrow().weight());
            DrawnJob job = new DrawnJob(random, methods, 2, differs);
            job.plant();
            List<Outlier> suspects = job.adjust().suspects();
            named += !suspects.isEmpty() && hit(job, suspects.get(0)) ? 1 : 0;
            Outlier most = job.oracle().mostSuspicious().orElseThrow();
            right[i] = hit(job, most) ? Math.abs(most.weight()) : 0;
        }
        Arrays.sort(cleanOracle);
        double limit = cleanOracle[JOBS - 1 - accused];
        long oracle = Arrays.stream(right).filter(w -> w > limit).count();
        String said = names + ", " + differs + ": named " + named + ", an oracle " + oracle + " of " + JOBS + " at "
                + accused + " false alarms";
        System.out.println(said);
        assertTrue(named >= 0.97 * oracle, said);
    }

    /** Mistakes of every kind: how often the reading is among those that are named, and its kind told when it is named alone (a swap also when two are named). */
    @ParameterizedTest(name = "{0}: named {1}, told {2}")
    @CsvSource({
        "SLIPPED_UNIT, 97, 85",
        "TRANSPOSED, 97, 85",
        "OTHER_METHOD, 97, 85",
        "OTHER_SHEET, 95, 80",
        "OTHER_MARK, 85, 70",
        "SWAPPED_CORNERS, 90, 90"
    })
    void every_kind_of_mistake(Slip kind, double named, double told) {
        List<Method> methods = List.of(Method.GF, Method.HF, Method.RIM);
        Random random = new Random(6);
        int jobs = 0;
        int offered = 0;
        int alone = 0;
        int right = 0;
        while (jobs < JOBS / 4) {
            DrawnJob job = new DrawnJob(random, methods, 2);
            if (!job.plant(kind)) {
                continue;
            }
            jobs++;
            List<HeightSheet> sheets = job.sheets();
            List<Outlier> suspects = job.adjust().suspects();
            offered += suspects.stream().anyMatch(job::involved) ? 1 : 0;
            boolean swap = kind == Slip.SWAPPED_CORNERS && !suspects.isEmpty();
            if (swap || suspects.size() == 1 && job.planted(suspects.get(0))) {
                alone++;
                right += Slips.explain(sheets, suspects.get(0), all -> Adjustment.of(DrawnJob.CAR, all, USUAL)) == kind
                        ? 1
                        : 0;
            }
        }
        double shareNamed = 100.0 * offered / jobs;
        double shareTold = 100.0 * right / Math.max(1, alone);
        String said = String.format("%s: named %.1f %%, kind told %.1f %%", kind, shareNamed, shareTold);
        System.out.println(said);
        assertTrue(shareNamed >= named && shareTold >= told, said);
    }

    /** Two methods on one sheet: any of four, and no single height tells; nothing is asked for that would not help. */
    @Test
    void nothing_is_asked_for_that_settles_nothing() {
        Random random = new Random(8);
        for (int i = 0; i < 100; i++) {
            DrawnJob job = new DrawnJob(random, List.of(Method.GF, Method.HF), 1);
            job.plant();
            Adjustment adjusted = job.adjust();
            List<Outlier> suspects = adjusted.suspects();
            if (suspects.size() > 2) {
                assertEquals(Optional.empty(), adjusted.settles(suspects, 0));
            }
        }
    }

    /** When the data cannot choose, the one height that is asked for is read, and then they do choose. */
    @ParameterizedTest
    @CsvSource({"GF HF RIM, 1, 95", "HF FG, 2, 95"})
    void the_height_that_is_asked_for_settles_it(String names, int sheets, double wanted) {
        List<Method> methods = Stream.of(names.split(" ")).map(Method::valueOf).toList();
        Random random = new Random(7);
        int open = 0;
        int asked = 0;
        int before = 0;
        int settled = 0;
        int wrong = 0;
        for (int i = 0; i < JOBS / 4; i++) {
            DrawnJob job = new DrawnJob(random, methods, sheets);
            job.plant();
            Adjustment adjusted = job.adjust();
            List<Outlier> suspects = adjusted.suspects();
            if (suspects.size() < 2) {
                continue;
            }
            open++;
            Optional<MeasuringPoint> next = adjusted.settles(suspects, sheets - 1);
            if (next.isEmpty()) {
                continue;
            }
            asked++;
            before += job.planted(suspects.get(0)) ? 1 : 0;
            List<Outlier> after = job.readNext(next.get());
            settled += after.size() == 1 && job.planted(after.get(0)) ? 1 : 0;
            wrong += after.size() == 1 && !job.planted(after.get(0)) ? 1 : 0;
        }
        String said = String.format(
                "%s, %d sheets: %d open, asked in %d, named first before %.0f %%, settled by it %.0f %%, wrong alone %.1f %%",
                names, sheets, open, asked, 100.0 * before / asked, 100.0 * settled / asked, 100.0 * wrong / asked);
        System.out.println(said);
        assertTrue(100.0 * settled / asked >= wanted, said);
        assertTrue(100.0 * wrong / asked <= 1.5, said);
    }

    /** The reading itself or its twin. */
    private static boolean hit(DrawnJob job, Outlier suspect) {
        return job.planted(suspect) || job.twin(suspect);
    }

    /** One sheet alone: two methods say one of two ends, a third often names the one; nobody is blamed alone wrongly. */
    @ParameterizedTest
    @CsvSource({"GF HF RIM", "GF HF", "GF HF RIM FG"})
    void one_sheet(String names) {
        Tally t = run(names, 1);
        assertTrue(t.percent(t.wrongAlone) <= 1.5, t.toString());
        assertTrue(t.percent(t.accused) <= 3, t.toString());
        assertTrue(t.percent(t.offered) > 50, t.toString());
    }

    private static void count(DrawnJob job, Adjustment a, List<Method> methods, int sheets, int[] intervals) {
        for (int s = 1; s < sheets; s++) {
            for (Corner corner : Corner.values()) {
                for (Method method : methods) {
                    double truth = job.truth(0, corner, method) - job.truth(s, corner, method);
                    Estimate drop = a.drop(0, s, corner, method).orElseThrow();
                    intervals[0] += Math.abs(drop.value().mm() - truth)
                                    <= drop.expanded().mm()
                            ? 1
                            : 0;
                    intervals[1]++;
                }
            }
        }
    }
}
