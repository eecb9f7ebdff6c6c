package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What a suspicious reading was probably meant to be: every likely slip is undone and tried against what all other readings
 * say. Nothing is corrected by it.
 */
final class Slips {
    /** An explanation has to bring the reading so close, in standard deviations, to what the others say. */
    private static final double CLOSE = 2.5;
    /** A later kind of slip has to fit better than an earlier one by so much of squared standard deviations (ours). */
    private static final double PREFERENCE = 0.5;
    /** Two readings of the same thing are no further apart. */
    private static final double SAME_MM = 1.6;

    private static final Pattern TWO_DIGITS = Pattern.compile("(?=(\\d)(\\d))");

    /**
     * An explanation.
     *
     * @param misfit squared distance from what the others say, in standard deviations, with the preference added
     */
    private record Tried(Slip slip, double misfit) {}

    private final List<HeightSheet> sheets;
    private final Outlier suspect;
    private final Function<List<HeightSheet>, Adjustment> adjust;
    private final Reading reading;
    private final Estimate probable;
    private final List<Tried> tried = new ArrayList<>();

    private Slips(List<HeightSheet> sheets, Outlier suspect, Function<List<HeightSheet>, Adjustment> adjust) {
        this.adjust = adjust;
        this.sheets = sheets;
        this.suspect = suspect;
        this.reading = suspect.reading();
        this.probable = suspect.probable();
    }

    /**
     * The slip that explains the reading best.
     *
     * @param adjust how sheets of this job are adjusted
     */
    static Slip explain(List<HeightSheet> sheets, Outlier suspect, Function<List<HeightSheet>, Adjustment> adjust) {
        Slips slips = new Slips(sheets, suspect, adjust);
        slips.places();
        slips.marks();
        slips.digits();
        return slips.tried.stream()
                .min(Comparator.comparingDouble(Tried::misfit).thenComparing(Tried::slip))
                .map(Tried::slip)
                .orElse(Slip.UNEXPLAINED);
    }

    private @Nullable Height at(int sheet, Corner corner, Method method) {
        return sheets.get(sheet).get(corner, method);
    }

    private void meant(Slip slip, Length value) {
        double distance =
                value.minus(probable.value()).mm() / probable.uncertainty().standard();
        if (Math.abs(distance) <= CLOSE) {
            tried.add(new Tried(slip, distance * distance + PREFERENCE * slip.ordinal()));
        }
    }

    /** The reading belongs somewhere else. */
    private void places() {
        MeasuringPoint spot = suspect.spot();
        for (Corner corner : Corner.WALK) {
            if (corner != spot.corner() && swappedWith(corner)) {
                tried.add(new Tried(Slip.SWAPPED_CORNERS, 0));
            }
        }
        for (Method method : Method.values()) {
            Height other = at(suspect.sheet(), spot.corner(), method);
            if (method != spot.method() && other != null && same(other.read(), reading.value())) {
                tried.add(new Tried(Slip.OTHER_METHOD, 0));
            }
        }
        for (int sheet = 0; sheet < sheets.size(); sheet++) {
            Height other = at(sheet, spot.corner(), spot.method());
            if (sheet != suspect.sheet() && other != null && other.read().equals(reading.value())) {
                tried.add(new Tried(Slip.OTHER_SHEET, 0));
            }
        }
    }

    /** With the two readings exchanged all goes together. */
    private boolean swappedWith(Corner corner) {
        Height there = at(suspect.sheet(), corner, suspect.spot().method());
        if (there == null || same(there.read(), reading.value())) {
            return false;
        }
        List<HeightSheet> exchanged = new ArrayList<>(sheets);
        exchanged.set(suspect.sheet(), sheets.get(suspect.sheet()).exchanged(suspect.spot(), there.spot()));
        return adjust.apply(exchanged).suspects().isEmpty();
    }

    private static boolean same(Length a, Length b) {
        return Math.abs(a.minus(b).mm()) <= SAME_MM;
    }

    private void marks() {
        boolean inch = reading.tape().graduation().unit() == LengthUnit.INCH;
        Length unit = inch ? Length.ofInches(1, 0, 1) : Length.ofMm(10);
        meant(Slip.SLIPPED_UNIT, reading.value().plus(unit));
        meant(Slip.SLIPPED_UNIT, reading.value().minus(unit));
        for (int part : inch ? new int[] {2, 4, 8} : new int[] {2}) {
            Length step = unit.dividedBy(part);
            meant(Slip.OTHER_MARK, reading.value().plus(step));
            meant(Slip.OTHER_MARK, reading.value().minus(step));
        }
    }

    private void digits() {
        TapeReading tape = reading.tape();
        Matcher pair = TWO_DIGITS.matcher(tape.raw());
        while (pair.find()) {
            int i = pair.start();
            String turned = tape.raw().substring(0, i)
                    + pair.group(2)
                    + pair.group(1)
                    + tape.raw().substring(i + 2);
            if (!turned.equals(tape.raw())) {
                TapeText.parse(
                                turned,
                                tape.graduation().unit(),
                                tape.graduation(),
                                suspect.spot().method().allowed())
                        .asReading()
                        .ifPresent(read -> meant(Slip.TRANSPOSED, read.value()));
            }
        }
    }
}
