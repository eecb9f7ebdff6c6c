package abbex.bench;

import abbex.core.clearance.ClearanceModel;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.LocatedGap;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Remedies;
import abbex.core.clearance.TyreBody;
import abbex.core.clearance.TyreBody.Face;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A vehicle of four corners with twelve probes each, three of them not clear and helped by pairs at most: every remedy, every pair.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(5)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 2, time = 2)
public class RemediesBench {
    private final List<ClearanceModel> corners = new ArrayList<>();

    @Setup
    public void setup() {
        Random random = new Random(9);
        Fitment now = fitment("225/45R17 91W", "7.5Jx17 ET45");
        Fitment planned = fitment("245/40R18 97W", "8.5Jx18 ET38");
        for (Corner corner : Corner.values()) {
            List<LocatedGap> probes = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                ProbePlace place = ProbePlace.values()[i % ProbePlace.values().length];
                Face face = Face.values()[random.nextInt(5)];
                // Tight over the lip and at the liner, so that none alone does for all.
                long gap = i < 4 ? 62 + random.nextInt(30) : 75 + random.nextInt(60);
                probes.add(LocatedGap.byHand(
                        new GapReading(place, 1 + random.nextInt(12), face, Length.ofMm(gap), Length.ZERO), now));
            }
            corners.add(ClearanceModel.of(
                    probes,
                    planned,
                    TyreBody.Worn.NOTHING,
                    30,
                    new StraightMotion(Range.usual(corner), Math.toRadians(-0.02), 60)));
        }
    }

    private static Fitment fitment(String tyre, String wheel) {
        return new Fitment(
                Wheel.parse(wheel).asWheel().orElseThrow(),
                TyreSize.parse(tyre).asSize().orElseThrow());
    }

    @Benchmark
    public int vehicle() {
        int cures = 0;
        for (ClearanceModel corner : corners) {
            cures += Remedies.find(corner).size();
        }
        return cures;
    }
}
