package abbex.bench;

import abbex.core.heights.DropSheet;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.math.BigDecimal;
import java.math.MathContext;
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
 * A full drop sheet: four corners by five methods, uncertainties and findings, no words formed. Beside it only the drops,
 * means and diagonals of the same readings with BigDecimal millimetres, in the same run.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(3)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class DropSheetBench {
    private final Vehicle vehicle = Vehicle.of(VehicleKind.CAR).withWheelbase(Length.ofMm(2640));
    private HeightSheet before;
    private HeightSheet after;
    private BigDecimal[] decimalBefore;
    private BigDecimal[] decimalAfter;

    @Setup
    public void make() {
        Random random = new Random(7);
        List<Reading> first = new ArrayList<>();
        List<Reading> second = new ArrayList<>();
        for (Method method : Method.values()) {
            for (Corner corner : Corner.WALK) {
                int sixteenths = 16 * (8 + 4 * method.ordinal()) + random.nextInt(8);
                first.add(reading(corner, method, sixteenths));
                second.add(reading(corner, method, sixteenths - 19 + random.nextInt(3)));
            }
        }
        before = HeightSheet.of(SheetState.NOT_TAKEN, first);
        after = HeightSheet.of(SheetState.NOT_TAKEN, second);
        decimalBefore = decimals(first);
        decimalAfter = decimals(second);
    }

    private static Reading reading(Corner corner, Method method, int sixteenths) {
        return Reading.of(
                MeasuringPoint.of(corner, method),
                TapeReading.of(Length.ofInches(0, 1, 16).times(sixteenths), Graduation.SIXTEENTH_INCH));
    }

    private static BigDecimal[] decimals(List<Reading> readings) {
        return readings.stream().map(r -> r.value().in(LengthUnit.MILLIMETRE)).toArray(BigDecimal[]::new);
    }

    @Benchmark
    public DropSheet own() {
        return DropSheet.compare(vehicle, before, after);
    }

    @Benchmark
    public List<BigDecimal> decimalDropsMeansAndDiagonals() {
        List<BigDecimal> out = new ArrayList<>();
        BigDecimal two = BigDecimal.valueOf(2);
        for (int m = 0; m < decimalBefore.length; m += 4) {
            BigDecimal[] drop = new BigDecimal[4];
            for (int k = 0; k < 4; k++) {
                drop[k] = decimalBefore[m + k].subtract(decimalAfter[m + k]);
                out.add(drop[k]);
            }
            out.add(drop[0].add(drop[1]).divide(two, MathContext.DECIMAL64));
            out.add(drop[2].add(drop[3]).divide(two, MathContext.DECIMAL64));
            out.add(drop[0].add(drop[2]).subtract(drop[1]).subtract(drop[3]));
        }
        return out;
    }
}
