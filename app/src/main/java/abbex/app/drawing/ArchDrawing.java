package abbex.app.drawing;

import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Method;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * An arch in elevation on the floor line, in millimetres, to scale: SVG coordinates, so up is negative and the wheel's
 * centre is at x = 0. Drawing geometry only; what is not measured yet is drawn at a usual place.
 *
 * @param hub height of the hub centre
 * @param tyre radius of the tyre
 * @param rim outer radius of the rim
 * @param before path of the lip on the first sheet; null when not known
 * @param now path of the lip on the sheet in work; null when not known
 * @param guess path of a lip where nothing is known
 * @param from lower end of the method's arrow
 * @param to upper end
 * @param arrowX where the arrow stands
 * @param frame height of the frame point on the sheet in work, or a usual one
 */
public record ArchDrawing(
        String hub,
        String tyre,
        String rim,
        @Nullable String before,
        @Nullable String now,
        @Nullable String guess,
        String from,
        String to,
        String arrowX,
        String frame) {

    private static final double LIP_OVER_TYRE = 38;
    private static final double FRAME_X = 395;

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

    public static ArchDrawing of(
            Corner corner, Method method, Wheel wheel, @Nullable HeightSheet before, HeightSheet sheet) {
        Double lipBefore = before == null ? null : lip(before, corner, wheel);
        Double lipNow = lip(sheet, corner, wheel);
        double usual = wheel.hub() + wheel.tyre() + 60;
        double lip = lipNow != null ? lipNow : lipBefore != null ? lipBefore : usual;
        double frame =
                sheet.at(corner, Method.FG).map(Height::value).map(Length::mm).orElse(wheel.tyre() * 0.55);
        double from = switch (method) {
            case GF, FG -> 0;
            case HF -> wheel.hub();
            case RIM -> wheel.hub() - wheel.rim();
            case TG -> wheel.hub() + wheel.tyre();
        };
        return new ArchDrawing(
                up(wheel.hub()),
                plain(wheel.tyre()),
                plain(wheel.rim()),
                lipBefore == null ? null : path(lipBefore, wheel),
                lipNow == null ? null : path(lipNow, wheel),
                lipNow == null && lipBefore == null ? path(usual, wheel) : null,
                up(from),
                up(method == Method.FG ? frame : lip),
                plain(method == Method.FG ? FRAME_X : 0),
                up(frame));
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
        String radius = plain(r);
        String foot = up(sill);
        String start = up(spring);
        return "M-446 " + foot + " H" + plain(-r) + " V" + start + " A" + radius + " " + radius + " 0 0 1 " + radius
                + " " + start + " V" + foot + " H446";
    }

    private static String up(double z) {
        return plain(-z);
    }

    /** A coordinate to a tenth; drawn by the hundred on every page, where a format string would be the slowest part. */
    private static String plain(double mm) {
        return Double.toString(Math.round(mm * 10) / 10.0);
    }
}
