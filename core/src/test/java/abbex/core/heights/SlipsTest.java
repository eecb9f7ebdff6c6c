package abbex.core.heights;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Finding;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each kind of slip planted by hand in a car whose readings go together; the kinds are common practice. */
class SlipsTest {
    private static Map<MeasuringPoint, String> texts(String... rows) {
        Map<MeasuringPoint, String> texts = new HashMap<>();
        for (String row : rows) {
            String[] f = row.split(" *\\| *");
            for (int i = 0; i < 4; i++) {
                texts.put(MeasuringPoint.of(Corner.WALK.get(i), Method.valueOf(f[0])), f[i + 1]);
            }
        }
        return texts;
    }

    private static HeightSheet sheet(Map<MeasuringPoint, String> texts) {
        List<Reading> all = new ArrayList<>();
        texts.forEach((spot, text) -> all.add(Reading.of(
                spot,
                TapeText.parse(
                                text,
                                LengthUnit.INCH,
                                Graduation.SIXTEENTH_INCH,
                                spot.method().allowed())
                        .asReading()
                        .orElseThrow())));
        return HeightSheet.of(SheetState.NOT_TAKEN, all);
    }

    @ParameterizedTest(name = "{0} {1} {2}: {3}")
    @CsvSource(delimiter = '|', textBlock = """
                    LF | HF  | 14       | SLIPPED_UNIT
                    RF | RIM | 22 3/4   | OTHER_MARK
                    LF | GF  | 52 1/4   | TRANSPOSED
                    LR | HF  | 14 1/2   | OTHER_SHEET
                    RR | HF  | 22 13/16 | OTHER_METHOD
                    RF | HF  | 13 11/16 | UNEXPLAINED
                    """)
    void one_wrong_reading(Corner corner, Method method, String text, Slip slip) {
        Map<MeasuringPoint, String> before = texts(
                "GF | 26 1/2 | 26 1/2 | 27 | 27",
                "HF | 14 1/4 | 14 1/4 | 14 1/2 | 14 1/2",
                "RIM | 23 1/2 | 23 1/2 | 23 13/16 | 23 13/16");
        Map<MeasuringPoint, String> after = texts(
                "GF | 25 1/4 | 25 1/4 | 26 | 26",
                "HF | 13 | 13 | 13 1/2 | 13 1/2",
                "RIM | 22 1/4 | 22 1/4 | 22 13/16 | 22 13/16");
        after.put(MeasuringPoint.of(corner, method), text);
        Assessment judged =
                Assessment.of(DrawnJob.CAR, List.of(sheet(before), sheet(after)), Advertised.NOTHING, Limits.USUAL);
        Finding first = judged.drops().findings().get(0);
        assertEquals(
                HeightFinding.ReadingSuspect.class,
                first.getClass(),
                judged.suspects().toString());
        assertEquals(corner + "." + method, first.place().code());
        assertEquals(slip, ((HeightFinding.ReadingSuspect) first).slip());
        assertTrue(
                judged.drops().findings().stream()
                        .noneMatch(f ->
                                f instanceof HeightFinding.RimRadiusMoved || f instanceof HeightFinding.DiagonalMoved),
                "what one reading explains is not said beside it");
    }
}
