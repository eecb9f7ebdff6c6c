package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;
import static abbex.app.drawing.Elevation.up;

import abbex.core.units.Length;
import abbex.core.wheels.Fitment;

/**
 * A wheel and its tyre cut across the axle, the upper half: the hub's face at x = 0, outboard to the right, the axle's
 * middle at z = 0; millimetres to scale. Drawing geometry only.
 *
 * @param tyre outline of the tyre
 * @param rim the rim and its disc down to the mounting face
 * @param spacer between hub and wheel; empty when there is none
 */
public record SectionDrawing(String tyre, String rim, String spacer) {
    private static final double MM_PER_INCH = Length.MM_PER_INCH.doubleValue();
    private static final double FLANGE = 17;
    private static final double HUB = 62;

    public static SectionDrawing of(Fitment fitment) {
        double middle = -fitment.wheel().effectiveOffset().mm();
        double seat = fitment.wheel().rimCode().doubleValue() * MM_PER_INCH / 2;
        double half = fitment.wheel().width().doubleValue() * MM_PER_INCH / 2;
        double outside = fitment.tyre().overallDiameter().mm() / 2;
        double wall = fitment.tyre().sectionWidth(fitment.wheel().width()).mm() / 2;
        double height = outside - seat;
        double spacer = fitment.wheel().spacer().mm();
        return new SectionDrawing(
                tyre(middle, half, seat, wall, outside, height), rim(middle, half, seat, spacer), spacer(spacer));
    }

    /** From the inner bead up the bulging sidewall, over shoulder and tread, down to the outer bead. */
    private static String tyre(double c, double half, double seat, double wall, double outside, double height) {
        double tread = wall * 0.8;
        double widest = seat + height * 0.55;
        return "M" + plain(c - half) + " " + up(seat) + side(c, -1, half, wall, tread, seat, widest, outside) + "L"
                + plain(c + tread) + " " + up(outside) + back(c, half, wall, tread, seat, widest, outside);
    }

    private static String side(
            double c, int sign, double half, double wall, double tread, double seat, double widest, double outside) {
        return "C" + plain(c + sign * half) + " " + up(seat + 0.3 * (widest - seat)) + " " + plain(c + sign * wall)
                + " "
                + up(widest - 0.35 * (widest - seat)) + " " + plain(c + sign * wall) + " " + up(widest) + "C"
                + plain(c + sign * wall) + " " + up(outside - 0.12 * (outside - widest)) + " "
                + plain(c + sign * (tread + 0.4 * (wall - tread))) + " " + up(outside) + " " + plain(c + sign * tread)
                + " "
                + up(outside);
    }

    private static String back(
            double c, double half, double wall, double tread, double seat, double widest, double outside) {
        return "C" + plain(c + tread + 0.4 * (wall - tread)) + " " + up(outside) + " " + plain(c + wall) + " "
                + up(outside - 0.12 * (outside - widest)) + " " + plain(c + wall) + " " + up(widest) + "C"
                + plain(c + wall) + " " + up(widest - 0.35 * (widest - seat)) + " " + plain(c + half) + " "
                + up(seat + 0.3 * (widest - seat)) + " " + plain(c + half) + " " + up(seat);
    }

    /** Flanges, seats, well; then the disc from the outer side of the well to the mounting face. */
    private static String rim(double c, double half, double seat, double spacer) {
        double well = seat - 22;
        return "M" + plain(c - half) + " " + up(seat + FLANGE) + "V" + up(seat) + "H" + plain(c - half + 22) + "L"
                + plain(c - half + 34) + " " + up(well) + "H" + plain(c + half - 46) + "L" + plain(c + half - 30) + " "
                + up(seat) + "H" + plain(c + half) + "V" + up(seat + FLANGE) + "M" + plain(c + half - 46) + " "
                + up(well)
                + "C" + plain(c + half - 46) + " " + up(seat - 80) + " " + plain(spacer + 14) + " " + up(HUB + 60) + " "
                + plain(spacer + 8) + " " + up(HUB + 20) + "V" + up(20) + "M" + plain(spacer) + " " + up(HUB + 20) + "V"
                + up(20);
    }

    private static String spacer(double thickness) {
        return thickness == 0 ? "" : "M0 " + up(HUB + 14) + "H" + plain(thickness) + "V" + up(20) + "H0Z";
    }
}
