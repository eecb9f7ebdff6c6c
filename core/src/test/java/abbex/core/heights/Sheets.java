package abbex.core.heights;

import static abbex.core.vehicle.Corner.LF;
import static abbex.core.vehicle.Corner.LR;
import static abbex.core.vehicle.Corner.RF;
import static abbex.core.vehicle.Corner.RR;

import abbex.core.figure.Place;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Sheets for tests, written as a technician writes them. */
public final class Sheets {
    static final Graduation TAPE = Graduation.SIXTEENTH_INCH;

    private final List<Reading> readings = new ArrayList<>();
    private SheetState state = SheetState.NOT_TAKEN;
    private Basis basis = Basis.USUAL;

    public static Sheets sheet() {
        return new Sheets();
    }

    /** Readings in walking order LF, RF, RR, LR; an empty text is not taken. */
    public Sheets with(Method method, String... walk) {
        for (int i = 0; i < walk.length; i++) {
            if (!walk[i].isEmpty()) {
                at(Corner.WALK.get(i), method, walk[i]);
            }
        }
        return this;
    }

    Sheets at(Place place, Way way, String text) {
        readings.add(Reading.of(MeasuringPoint.of(place, way), read(text, way)));
        return this;
    }

    Sheets reading(Reading reading) {
        readings.add(reading);
        return this;
    }

    Sheets pressures(double lf, double rf, double rr, double lr) {
        state = SheetState.of(
                Map.of(LF, psi(lf), RF, psi(rf), RR, psi(rr), LR, psi(lr)),
                Map.of(SheetState.Item.WHEEL_SET, "road", SheetState.Item.LOAD, "empty"));
        return this;
    }

    Sheets basis(Basis other) {
        basis = other;
        return this;
    }

    Sheets state(SheetState other) {
        state = other;
        return this;
    }

    private static abbex.core.units.Pressure psi(double psi) {
        return abbex.core.units.Pressure.ofPsi(psi);
    }

    static TapeReading read(String text, Way way) {
        return TapeText.parse(text, LengthUnit.INCH, TAPE, way.allowed())
                .asReading()
                .orElseThrow(() -> new AssertionError(text));
    }

    public HeightSheet done() {
        return HeightSheet.of(state, basis, readings);
    }

    List<Reading> readings() {
        return readings;
    }

    /** What a sixteenths tape says of so many millimetres, as somebody would write it. */
    static String tape(double mm) {
        long step = TAPE.step().nm();
        return TapeText.number(Length.ofNm(Math.round(mm * 1e6 / step) * step), LengthUnit.INCH);
    }

    static Length inches(String text) {
        return TapeText.parse(text, LengthUnit.INCH, TAPE, TapeText.Allowed.ANY)
                .asReading()
                .orElseThrow()
                .value();
    }

    static List<String> codes(DropSheet sheet) {
        return sheet.findings().stream().map(f -> f.code()).distinct().toList();
    }

    static <F extends HeightFinding> F finding(DropSheet sheet, Class<F> type) {
        return sheet.findings().stream()
                .filter(type::isInstance)
                .map(type::cast)
                .findFirst()
                .orElseThrow(() -> new AssertionError(type + " is not among " + codes(sheet)));
    }
}
