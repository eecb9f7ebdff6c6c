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
 * @param steer transformation of the small wheel seen from above
 * @param above where that stands
 * @param spots the places, in the order they came
 */
public record CutDrawing(
        String box, String pose, SectionDrawing wheel, String grown, String steer, String above, List<Spot> spots) {
    private static final double AROUND = 120;
    private static final double LOW = 70;

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
     * The places of a corner at a pose; a left wheel is seen from above with outboard to the right too.
     *
     * @param most bump that the picture has room for, mm
     */
    public static CutDrawing of(CornerCut cut, Fitment planned, boolean left, double most) {
        TyreBody body = cut.body();
        double side = body.half() + Math.abs(body.middle()) + AROUND;
        double top = body.outside() + most + 60;
        List<Spot> spots = new ArrayList<>();
        for (CornerCut.Place place : cut.places()) {
            spots.add(apart(spot(place, side, top), spots));
        }
        double steer = cut.wheel().steer();
        return new CutDrawing(
                plain(-side) + " " + up(top) + " " + plain(2 * side) + " " + plain(top - LOW),
                "translate(0 " + up(cut.wheel().up()) + ") rotate("
                        + degrees(cut.wheel().camber()) + ")",
                SectionDrawing.of(planned),
                outline(body),
                "rotate(" + degrees(left ? -steer : steer) + ")",
                "translate(" + plain(-side + 52) + " " + up(LOW + 52) + ")",
                spots);
    }

    /** A number that would stand on another's moves aside. */
    private static Spot apart(Spot spot, List<Spot> before) {
        double x = Double.parseDouble(spot.tx());
        double y = Double.parseDouble(spot.ty());
        for (Spot other : before) {
            if (Math.hypot(x - Double.parseDouble(other.tx()), y - Double.parseDouble(other.ty())) < 26) {
                x += 34;
            }
        }
        return new Spot(spot.x(), spot.y(), spot.part(), spot.near(), spot.gap(), plain(x), spot.ty());
    }

    private static String degrees(double radians) {
        return String.format(Locale.ROOT, "%.2f", Math.toDegrees(radians));
    }

    private static Spot spot(CornerCut.Place place, double side, double top) {
        CornerCut.Point p = place.at();
        CornerCut.Point q = place.tyre();
        double x = Math.max(-side + 24, Math.min(side - 24, p.outboard()));
        double z = Math.max(LOW + 24, Math.min(top - 24, p.up()));
        double dx = p.outboard() - q.outboard();
        double dz = p.up() - q.up();
        double far = Math.hypot(dx, dz);
        double gap = place.gap();
        // Its number stands beyond it, as seen from the tyre.
        double out = far < 1 ? 0 : (gap < 0 ? -1 : 1) * 34 / far;
        boolean lip = place.place() == ProbePlace.FENDER_LIP;
        // What the picture is too small for stands at its edge, with its number inwards.
        boolean edge = Math.abs(p.outboard()) > side - 24;
        double tx = edge ? x - Math.signum(p.outboard()) * 34 : x + (lip ? -28 : far < 1 ? 30 : dx * out);
        double tz = edge ? z : z + (far < 1 ? 30 : dz * out);
        return new Spot(
                plain(x),
                up(z),
                part(place.place(), x, z),
                "M" + plain(q.outboard()) + " " + up(q.up()) + "L" + plain(x) + " " + up(z),
                gap,
                plain(Math.max(-side + 20, Math.min(side - 20, tx))),
                up(Math.max(LOW + 20, Math.min(top - 20, tz)) - 9));
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
