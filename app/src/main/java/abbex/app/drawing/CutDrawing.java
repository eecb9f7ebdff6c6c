package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;
import static abbex.app.drawing.Elevation.up;

import abbex.core.clearance.CornerCut;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A corner cut across the axle at a pose: the tyre goes up with bump and leans with the body, and every probed place is turned
 * up into the plane of the cut, so that its gap is the true one. The hub's middle at ride height is at 0, 0, outboard to the
 * right, millimetres to scale. Drawing geometry only.
 *
 * @param box the part that is shown
 * @param pose the transformation of what goes with the wheel
 * @param wheel tyre, rim and spacer of what is planned
 * @param grown outline that must clear
 * @param spots the places, in the order they came
 */
public record CutDrawing(String box, String pose, SectionDrawing wheel, String grown, List<Spot> spots) {
    private static final double AROUND = 120;
    private static final double LOW = 70;

    /** Two numbers stand no nearer than this. */
    private static final double NUMBERS = 30;

    /**
     * A place at this pose.
     *
     * @param x where it stands
     * @param part a stroke that says what it is part of
     * @param near from it to the tyre
     * @param gap to the tyre in mm at this pose
     * @param tx where its number stands
     */
    public record Spot(String x, String y, String part, String near, double gap, String tx, String ty) {}

    /**
     * The places of a corner at a pose.
     *
     * @param most bump that the picture has room for, mm
     */
    public static CutDrawing of(CornerCut cut, Fitment planned, double most) {
        TyreBody body = cut.body();
        double side = body.half() + Math.abs(body.middle()) + AROUND;
        double top = body.outside() + most + 60;
        List<Apart.At> at = new ArrayList<>();
        List<Apart.At> numbers = new ArrayList<>();
        for (CornerCut.Place place : cut.places()) {
            Apart.At dot = new Apart.At(
                    Math.max(-side + 24, Math.min(side - 24, place.at().outboard())),
                    -Math.max(LOW + 24, Math.min(top - 24, place.at().up())));
            at.add(dot);
            numbers.add(number(place, dot, side));
        }
        List<Apart.At> apart =
                Apart.inPlane(at, numbers, NUMBERS, new Apart.Box(-side + 18, -top + 20, side - 18, -LOW - 18));
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < at.size(); i++) {
            spots.add(spot(cut.places().get(i), at.get(i), apart.get(i)));
        }
        return new CutDrawing(
                plain(-side) + " " + up(top) + " " + plain(2 * side) + " " + plain(top - LOW),
                "translate(0 " + up(cut.wheel().up()) + ") rotate("
                        + degrees(cut.wheel().camber()) + ")",
                SectionDrawing.of(planned),
                outline(body),
                spots);
    }

    private static String degrees(double radians) {
        return String.format(Locale.ROOT, "%.2f", Math.toDegrees(radians));
    }

    /** A number stands beyond its place, as seen from the tyre; what is too far out for the picture has it inwards. */
    private static Apart.At number(CornerCut.Place place, Apart.At dot, double side) {
        double dx = place.at().outboard() - place.tyre().outboard();
        double dz = place.at().up() - place.tyre().up();
        double far = Math.hypot(dx, dz);
        if (Math.abs(place.at().outboard()) > side - 24) {
            return new Apart.At(dot.x() - Math.signum(dot.x()) * 34, dot.y());
        }
        double out = far < 1 ? 0 : (place.gap() < 0 ? -1 : 1) * 34 / far;
        boolean lip = place.place() == ProbePlace.FENDER_LIP;
        return new Apart.At(dot.x() + (lip ? -28 : far < 1 ? 30 : dx * out), dot.y() - (far < 1 ? 30 : dz * out));
    }

    private static Spot spot(CornerCut.Place place, Apart.At dot, Apart.At number) {
        CornerCut.Point q = place.tyre();
        return new Spot(
                plain(dot.x()),
                plain(dot.y()),
                part(place.place(), dot.x(), -dot.y()),
                "M" + plain(q.outboard()) + " " + up(q.up()) + "L" + plain(dot.x()) + " " + plain(dot.y()),
                place.gap(),
                plain(number.x()),
                plain(number.y() + 8));
    }

    private static String outline(TyreBody t) {
        double left = t.middle() - t.half();
        double right = t.middle() + t.half();
        String s = plain(t.shoulder());
        String h = plain(t.heel());
        return "M" + plain(left + t.shoulder()) + " " + up(t.outside()) + "H" + plain(right - t.shoulder()) + "a" + s
                + " " + s
                + " 0 0 1 " + s + " " + s + "V" + up(t.bead() + t.heel()) + "a" + h + " " + h + " 0 0 1 -" + h + " " + h
                + "H"
                + plain(left + t.heel()) + "a" + h + " " + h + " 0 0 1 -" + h + " -" + h + "V"
                + up(t.outside() - t.shoulder()) + "a" + s + " " + s + " 0 0 1 " + s + " -" + s + "Z";
    }

    /** A lip hangs down and is turned in, a liner and an arch lie over the tread, a strut stands, the rest is a ring alone. */
    private static String part(ProbePlace place, double x, double z) {
        return switch (place) {
            case FENDER_LIP ->
                "M" + plain(x - 14) + " " + up(z) + "H" + plain(x + 6) + "Q" + plain(x + 16) + " " + up(z) + " "
                        + plain(x + 16) + " " + up(z + 12) + "V" + up(z + 90);
            case LINER_FRONT, LINER_REAR, INNER_ARCH, HUGGER ->
                "M" + plain(x - 60) + " " + up(z + 6) + "Q" + plain(x) + " " + up(z - 6) + " " + plain(x + 60) + " "
                        + up(z + 6);
            case STRUT -> "M" + plain(x) + " " + up(z - 110) + "V" + up(z + 110);
            case SPRING_PERCH, FRAME, SWINGARM, CONTROL_ARM ->
                "M" + plain(x) + " " + up(z - 34) + "V" + up(z + 34) + "h-40";
            default -> "";
        };
    }
}
