package abbex.core.heights;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import abbex.core.Draws;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of the comparison over seeded draws: invented heights, no published source needed. */
class DropSheetLawsTest {
    private static final Vehicle CAR = Vehicle.of(VehicleKind.CAR).withWheelbase(Length.ofMm(2640));

    static LongStream seeds() {
        return Draws.seeds();
    }

    private static List<Reading> draw(Random random) {
        List<Reading> readings = new ArrayList<>();
        for (Method method : Method.values()) {
            for (Corner corner : Corner.WALK) {
                int people = random.nextInt(8) == 0 ? 2 : random.nextInt(6) == 0 ? 0 : 1;
                for (int i = 0; i < people; i++) {
                    int sixteenths = 16 * (method == Method.TG ? 2 : method.ordinal() * 4 + 8) + random.nextInt(96);
                    readings.add(new Reading(
                            MeasuringPoint.of(corner, method),
                            Sheets.read(
                                    Length.ofNm(sixteenths * 4 * Length.NM_PER_64TH)
                                            .in(LengthUnit.INCH)
                                            .toPlainString(),
                                    method),
                            "p" + i,
                            java.time.Instant.ofEpochSecond(random.nextInt(1000)),
                            random.nextInt(10) == 0));
                }
            }
        }
        return readings;
    }

    private static HeightSheet of(List<Reading> readings) {
        return HeightSheet.of(SheetState.NOT_TAKEN, readings);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void drop_is_antisymmetric(long seed) {
        Draws.each(seed, random -> {
            HeightSheet a = of(draw(random));
            HeightSheet b = of(draw(random));
            DropSheet there = DropSheet.compare(CAR, a, b);
            DropSheet back = DropSheet.compare(CAR, b, a);
            for (Corner corner : Corner.WALK) {
                assertEquals(
                        there.corners().get(corner).best().map(f -> f.value().negate()),
                        back.corners().get(corner).best().map(f -> f.value()));
            }
            for (End end : End.values()) {
                assertEquals(
                        there.ends().get(end).drop().map(f -> f.value().negate()),
                        back.ends().get(end).drop().map(f -> f.value()));
            }
            there.diagonals()
                    .forEach((method, d) -> assertEquals(
                            d.change().map(f -> f.value().negate()),
                            back.diagonals().get(method).change().map(f -> f.value())));
        });
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void findings_do_not_depend_on_the_order_of_entry(long seed) {
        Draws.each(seed, random -> {
            List<Reading> before = draw(random);
            List<Reading> after = draw(random);
            DropSheet sheet = DropSheet.compare(CAR, of(before), of(after));
            Collections.shuffle(before, random);
            Collections.shuffle(after, random);
            assertEquals(sheet, DropSheet.compare(CAR, of(before), of(after)));
            assertFalse(sheet.findings().isEmpty());
        });
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_sheet_in_millimetres_is_the_same_sheet(long seed) {
        Draws.each(seed, random -> {
            List<Reading> inches = draw(random);
            List<Reading> millimetres = inches.stream()
                    .map(r -> new Reading(
                            r.spot(),
                            TapeText.parse(
                                            r.value().in(LengthUnit.MILLIMETRE).toPlainString(),
                                            LengthUnit.MILLIMETRE,
                                            Graduation.SIXTEENTH_INCH,
                                            r.spot().method().allowed())
                                    .asReading()
                                    .orElseThrow(),
                            r.who(),
                            r.takenAt(),
                            r.correction()))
                    .toList();
            HeightSheet a = of(inches);
            HeightSheet b = of(millimetres);
            for (Corner corner : Corner.WALK) {
                for (Method method : Method.values()) {
                    assertEquals(
                            a.at(corner, method).map(Height::estimate),
                            b.at(corner, method).map(Height::estimate));
                }
            }
            List<Reading> after = draw(random);
            assertEquals(
                    DropSheet.compare(CAR, a, of(after)).findings().stream()
                            .map(f -> f.code())
                            .toList(),
                    DropSheet.compare(CAR, b, of(after)).findings().stream()
                            .map(f -> f.code())
                            .toList());
        });
    }
}
