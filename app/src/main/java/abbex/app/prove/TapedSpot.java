package abbex.app.prove;

import abbex.app.form.Form;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.wheels.Fitment;
import java.util.Optional;

/**
 * Where on the tyre a gap was read, as a form tells it.
 *
 * @param clock the hour, by the tape where one was laid along the tread
 */
record TapedSpot(double clock, GapReading.Spot spot, MeasuredGap.Taped taped) {
    /** A taped hour and one by eye that lie further apart than this are not of one spot (ours). */
    private static final double APART = 1;

    private static final double HALF_DAY = 12;

    /**
     * Reads the fields; what cannot be taken is said. Which way round the tape went, the hour by eye tells.
     *
     * @param clock by eye
     * @param on the wheel that it was measured from
     */
    static Optional<TapedSpot> read(Form form, double clock, TyreBody.Face face, Fitment on) {
        Length largest = TapeText.LARGEST_HEIGHT;
        Optional<TapeReading> along = form.length("along", TapeText.Allowed.ZERO_OR_MORE, largest);
        Optional<TapeReading> across = form.length("across", TapeText.Allowed.ZERO_OR_MORE, largest);
        double hour = along.map(a -> GapReading.clock(
                        a.value().mm(), clock, on.tyre().overallDiameter().mm() / 2))
                .orElse(clock);
        if (apart(hour, clock) > APART) {
            form.problem(
                    "along",
                    "problem.probe.along",
                    "read",
                    form.text("along"),
                    "taped",
                    ClearanceWords.hours(hour),
                    "clock",
                    ClearanceWords.hours(clock));
        }
        across.ifPresent(a -> fits(form, a.value(), face, TyreBody.of(on)));
        return form.fits()
                ? Optional.of(new TapedSpot(
                        hour,
                        new GapReading.Spot(
                                along.isPresent() ? GapReading.Spot.TAPED : GapReading.Spot.EYE,
                                across.map(TapeReading::value)),
                        new MeasuredGap.Taped(
                                along.map(form::raw).orElse(""),
                                across.map(form::raw).orElse(""))))
                : Optional.empty();
    }

    private static double apart(double a, double b) {
        double apart = Math.abs(a - b) % HALF_DAY;
        return Math.min(apart, HALF_DAY - apart);
    }

    private static void fits(Form form, Length across, TyreBody.Face face, TyreBody tyre) {
        if (!face.flat()) {
            form.problem("across", "problem.probe.shoulder");
            return;
        }
        double most = face == TyreBody.Face.TREAD ? 2 * tyre.half() : tyre.outside() - tyre.bead();
        if (across.mm() > most) {
            form.problem(
                    "across", "problem.probe.across", "read", form.text("across"), "most", Length.ofRoundedMm(most));
        }
    }
}
