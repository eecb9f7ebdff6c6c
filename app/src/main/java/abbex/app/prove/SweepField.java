package abbex.app.prove;

import abbex.app.page.Reader;
import abbex.core.motion.Gain;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import java.util.Locale;

/** What is said of how far a corner is swept, each with its limits and what is usual. */
public enum SweepField {
    LOWER("lower_mm", 0, 250),
    STOP("stop_mm", 0, 300),
    CRUSH("crush_mm", 0, 100),
    DROOP("droop_mm", 0, 300),
    INNER("inner_deg", 0, 60),
    OUTER("outer_deg", 0, 60),
    ROLL("roll_deg", 0, 15),
    CAMBER("camber_deg", -8, 8),
    CAMBER_RATE("camber_rate", -3, 3),
    STEER_RATE("steer_rate", -2, 2),
    AXIS("axis_mm", -100, 300);

    private final String column;
    private final double least;
    private final double most;

    SweepField(String column, double least, double most) {
        this.column = column;
        this.least = least;
        this.most = most;
    }

    String column() {
        return column;
    }

    /** A length, in millimetres; the others are degrees. */
    public boolean length() {
        return column.endsWith("_mm");
    }

    /** A value as it may be typed again: a length in the person's unit where it stands on a mark of it, else in mm. */
    String typed(double value, Reader reader) {
        if (!length()) {
            return CornerPages.plain(value);
        }
        Length length = Length.ofRoundedMm(value);
        boolean inches = !reader.unit().metric() && length.onInchMarks();
        return inches || reader.unit().metric()
                ? TapeText.number(length, reader.unit())
                : TapeText.print(length, Graduation.MILLIMETRE);
    }

    double least() {
        return least;
    }

    double most() {
        return most;
    }

    /** True for what is asked first; the rest is asked by who wants to say more. */
    public boolean first() {
        return ordinal() <= ROLL.ordinal();
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Part of the usual bump that is the stop's own crush (ours). */
    private static final double CRUSHED = 25;

    double usual(End end, VehicleKind kind, Architecture architecture) {
        Range usual = Range.usual(end.left());
        return switch (this) {
            case STOP -> usual.bump() - CRUSHED;
            case CRUSH -> CRUSHED;
            case DROOP -> usual.droop();
            case INNER -> Math.rint(Math.toDegrees(usual.left()));
            case OUTER -> Math.rint(Math.toDegrees(kind.singleTrack() ? usual.left() : usual.right()));
            case ROLL -> kind.singleTrack() ? 0 : Math.rint(Math.toDegrees(usual.roll()));
            case AXIS -> StraightMotion.USUAL_AXIS;
            case CAMBER_RATE ->
                kind.singleTrack()
                        ? 0
                        : Math.rint(10
                                        * SweepPlan.RATED_OVER
                                        * Math.toDegrees(
                                                Gain.usual(architecture).camber()))
                                / 10;
            case LOWER, CAMBER, STEER_RATE -> 0;
        };
    }
}
