package abbex.app.drawing;

import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A corner in elevation: wheel, lip and what is measured there; what is not measured yet is drawn at a usual place. The
 * wheel's centre is at x = 0. Drawing geometry only.
 */
public final class ArchDrawing {
    private static final double LIP_OVER_TYRE = 38;
    private static final double FRAME_X = 395;
    /** A tyre of this radius needs more room round it. */
    private static final double LARGE = 350;
    /** Half of an axle tube. */
    private static final double TUBE = 45;
    /** From the axle to the bolts of a leaf spring's hangers. */
    private static final double HANGER_X = 620;

    private ArchDrawing() {}

    /** The wheel's circles: free radius of the tyre, height of the hub, radius of the rim. */
    public record Wheel(double tyre, double hub, double rim) {
        /** From what has been measured at the corner, newest sheet first; usual proportions for the rest. */
        public static Wheel of(Corner corner, Optional<Length> freeDiameter, double usual, HeightSheet... newestFirst) {
            double tyre = freeDiameter.map(d -> d.mm() / 2).orElse(usual);
            double hub = tyre * 0.97;
            double rim = tyre * 0.68;
            for (int i = newestFirst.length - 1; i >= 0; i--) {
                HeightSheet sheet = newestFirst[i];
                hub = difference(sheet, corner, Method.GF, Method.HF)
                        .filter(h -> h > tyre * 0.85 && h < tyre * 1.05)
                        .orElse(hub);
                rim = difference(sheet, corner, Method.RIM, Method.HF)
                        .filter(r -> r > tyre * 0.4 && r < tyre * 0.9)
                        .orElse(rim);
            }
            return new Wheel(tyre, hub, rim);
        }
    }

    /** The corner with the arrow of a way to measure. */
    public static Elevation of(MeasuringPoint spot, Wheel wheel, @Nullable HeightSheet before, HeightSheet sheet) {
        Corner corner = (Corner) spot.place();
        Double lipBefore = before == null ? null : lip(before, corner, wheel);
        Double lipNow = lip(sheet, corner, wheel);
        double usual = wheel.hub() + wheel.tyre() + 60;
        double frame =
                sheet.at(corner, Method.FG).map(Height::value).map(Length::mm).orElse(wheel.tyre() * 0.55);
        List<Elevation.Stroke> strokes = new ArrayList<>();
        strokes.add(new Elevation.Stroke("hub", circle(0, wheel.hub(), 13)));
        strokes.add(new Elevation.Stroke(
                "hair", "M-26 " + Elevation.up(wheel.hub()) + "H26M0 " + Elevation.up(wheel.hub()) + "m0-26v52"));
        if (lipBefore != null) {
            strokes.add(new Elevation.Stroke("lip was", path(lipBefore, wheel)));
        }
        if (lipNow != null) {
            strokes.add(new Elevation.Stroke("lip is", path(lipNow, wheel)));
        }
        if (lipNow == null && lipBefore == null) {
            strokes.add(new Elevation.Stroke("lip guess", path(usual, wheel)));
        }
        List<Elevation.Wheel> wheels = List.of(new Elevation.Wheel(
                "0", Elevation.up(wheel.hub()), Elevation.plain(wheel.tyre()), Elevation.plain(wheel.rim())));
        if (spot.way() instanceof Method method) {
            strokes.add(new Elevation.Stroke(
                    "frame", "M" + Elevation.plain(FRAME_X - 45) + " " + Elevation.up(frame) + "h90"));
            double lip = lipNow != null ? lipNow : lipBefore != null ? lipBefore : usual;
            return new Elevation(box(wheel), wheels, strokes, arrow(method, wheel, lip, frame));
        }
        PointMethod way = (PointMethod) spot.way();
        double value = height(sheet, before, spot).orElseGet(() -> usual(way, wheel));
        return point(way, value, wheel, wheels, strokes);
    }

    /** A point that belongs to no corner: the floor, the point, the tape. */
    public static Elevation alone(MeasuringPoint spot, HeightSheet sheet, @Nullable HeightSheet before) {
        double value = height(sheet, before, spot).orElse(200.0);
        double width = Math.max(900, (value + 120) * 900 / 830);
        return new Elevation(
                Elevation.box(-width / 2, width),
                List.of(),
                List.of(Elevation.mark(0, value)),
                Elevation.arrow(0, 0, value, width));
    }

    private static String arrow(Method method, Wheel wheel, double lip, double frame) {
        double from = switch (method) {
            case GF, FG -> 0;
            case HF -> wheel.hub();
            case RIM -> wheel.hub() - wheel.rim();
            case TG -> wheel.hub() + wheel.tyre();
        };
        return method == Method.FG
                ? Elevation.arrow(FRAME_X, from, frame, 2 * half(wheel))
                : Elevation.arrow(0, from, lip, 2 * half(wheel));
    }

    /** The same for all wheels of a vehicle, so that its corners stand side by side on one floor. */
    private static String box(Wheel wheel) {
        return Elevation.box(-half(wheel), 2 * half(wheel));
    }

    private static double half(Wheel wheel) {
        return wheel.tyre() > LARGE ? 560 : 450;
    }

    /** Cab, bed, running board, hangers, axle, or a point of the shop's own, drawn where it was read. */
    private static Elevation point(
            PointMethod way, double value, Wheel wheel, List<Elevation.Wheel> wheels, List<Elevation.Stroke> strokes) {
        double hub = wheel.hub();
        double x = way.equals(PointMethod.CAB) ? 560 : way.equals(PointMethod.BED) ? 0 : -500;
        switch (way.code()) {
            case "CAB" -> strokes.add(line("body", x - 60, value, x + 640, value));
            case "BED" -> strokes.add(line("body", -640, value, 640, value));
            case "BEDF" -> {
                x = 900;
                strokes.add(line("body", x - 30, value, x + 640, value));
            }
            case "BOARD" -> {
                x = 600;
                strokes.add(line("body", x - 40, value, x + 640, value));
            }
            case "HANGF", "HANGR" -> {
                x = way.code().equals("HANGF") ? -HANGER_X : HANGER_X;
                strokes.add(leaf(hub, value));
                strokes.add(new Elevation.Stroke("hub", circle(x, value, 16)));
            }
            case "AXLE" -> {
                x = 0;
                strokes.add(leaf(hub, hub + TUBE + value));
                strokes.add(new Elevation.Stroke("hub", circle(0, hub, TUBE)));
                strokes.add(line("frame", -640, hub + TUBE + value, 640, hub + TUBE + value));
                return new Elevation(
                        Elevation.box(-700, 1400),
                        wheels,
                        strokes,
                        Elevation.arrow(0, hub + TUBE, hub + TUBE + value, 1400));
            }
            default -> strokes.add(Elevation.mark(x, way.floorInIt() ? value : hub + value));
        }
        double from = way.floorInIt() ? 0 : hub;
        // Cab and bed stand side by side in one strip.
        double least = way.equals(PointMethod.CAB) || way.equals(PointMethod.BED) || way.equals(PointMethod.BEDF)
                ? 1800
                : 1400;
        double width = Math.max(least, (from + value + 120) * 900 / 830);
        double left = x > 300 ? -450 : -width / 2;
        return new Elevation(
                Elevation.box(left, width), wheels, strokes, Elevation.arrow(x, from, from + value, width));
    }

    /** A leaf spring over the axle, from bolt to bolt. */
    private static Elevation.Stroke leaf(double hub, double bolts) {
        return new Elevation.Stroke(
                "leaf",
                "M" + Elevation.plain(-HANGER_X) + " " + Elevation.up(bolts) + "Q0 "
                        + Elevation.up(2 * (hub + TUBE) - bolts) + " " + Elevation.plain(HANGER_X) + " "
                        + Elevation.up(bolts));
    }

    private static Elevation.Stroke line(String style, double x1, double z1, double x2, double z2) {
        return new Elevation.Stroke(
                style,
                "M" + Elevation.plain(x1) + " " + Elevation.up(z1) + "L" + Elevation.plain(x2) + " "
                        + Elevation.up(z2));
    }

    private static String circle(double x, double z, double r) {
        return "M" + Elevation.plain(x - r) + " " + Elevation.up(z) + "a" + r + " " + r + " 0 1 0 " + 2 * r + " 0a" + r
                + " " + r + " 0 1 0 " + -2 * r + " 0";
    }

    private static Optional<Double> height(HeightSheet sheet, @Nullable HeightSheet before, MeasuringPoint spot) {
        return sheet.at(spot)
                .or(() -> before == null ? Optional.empty() : before.at(spot))
                .map(h -> h.value().mm());
    }

    /** Where such a point usually lies, for a drawing before anything is read. */
    private static double usual(PointMethod way, Wheel wheel) {
        return switch (way.code()) {
            case "CAB" -> wheel.hub() * 1.25;
            case "BED", "BEDF" -> 1250;
            case "BOARD" -> wheel.hub() * 1.1;
            case "HANGF" -> wheel.hub() * 1.35;
            case "HANGR" -> wheel.hub() * 1.6;
            case "AXLE" -> 150;
            default -> 200;
        };
    }

    /** The lip's height over the floor by the best method that was read here. */
    @Nullable
    private static Double lip(HeightSheet sheet, Corner corner, Wheel wheel) {
        Optional<Double> hub = height(sheet, corner, Method.HF).map(h -> h + wheel.hub());
        return hub.or(() -> height(sheet, corner, Method.RIM).map(h -> h + wheel.hub() - wheel.rim()))
                .or(() -> height(sheet, corner, Method.GF))
                .or(() -> height(sheet, corner, Method.TG).map(h -> h + wheel.hub() + wheel.tyre()))
                .filter(z -> z > wheel.hub() && z < 3 * wheel.tyre() + 300)
                .orElse(null);
    }

    private static Optional<Double> height(HeightSheet sheet, Corner corner, Method method) {
        return sheet.at(corner, method).map(Height::value).map(Length::mm);
    }

    private static Optional<Double> difference(HeightSheet sheet, Corner corner, Method a, Method b) {
        return height(sheet, corner, a).flatMap(x -> height(sheet, corner, b).map(y -> x - y));
    }

    /** Sill, up the side of the arch, over the wheel, down, sill. */
    private static String path(double lip, Wheel wheel) {
        double r = wheel.tyre() + LIP_OVER_TYRE;
        double spring = lip - r;
        double sill = spring - wheel.tyre() * 0.45;
        String radius = Elevation.plain(r);
        String foot = Elevation.up(sill);
        String start = Elevation.up(spring);
        return "M" + Elevation.plain(4 - half(wheel)) + " " + foot + " H" + Elevation.plain(-r) + " V" + start + " A"
                + radius + " " + radius + " 0 0 1 " + radius + " " + start + " V" + foot + " H"
                + Elevation.plain(half(wheel) - 4);
    }
}
