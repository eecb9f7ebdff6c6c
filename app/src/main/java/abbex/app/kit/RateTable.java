package abbex.app.kit;

import abbex.core.springs.SpringLaw.Point;
import abbex.core.units.LengthUnit;
import abbex.core.units.RateUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A progressive spring as people write it: deflection and rate by turns, apart by commas, the unit at the end, such as
 * {@code 0 20, 60 26, 120 45 N/mm}. With lb/in deflections are inches, else millimetres.
 */
public final class RateTable {
    private static final Pattern WHOLE = Pattern.compile("([^A-Za-z]+?)\\s*([A-Za-z]+/[A-Za-z]+)?");
    private static final Pattern POINT = Pattern.compile("(\\d{1,4}(?:[.]\\d{1,3})?)\\s+(\\d{1,5}(?:[.]\\d{1,3})?)");
    private static final int MOST = 12;

    private RateTable() {}

    /** The text with its unit, so that it reads alike to everybody. */
    public static String withUnit(String text, boolean metric) {
        return text.matches(".*[A-Za-z].*") ? text : text + (metric ? " N/mm" : " lb/in");
    }

    /**
     * Deflections in mm and rates in N/mm.
     *
     * @return empty for what cannot be read, does not begin at no deflection, or does not go on
     */
    public static Optional<List<Point>> read(String text) {
        Matcher whole = WHOLE.matcher(text.strip());
        if (!whole.matches() || whole.group(2) == null) {
            return Optional.empty();
        }
        boolean inches = whole.group(2).matches("(?i)lb[sf]?/in");
        if (!inches && !whole.group(2).equalsIgnoreCase("N/mm")) {
            return Optional.empty();
        }
        RateUnit unit = inches ? RateUnit.POUND_PER_INCH : RateUnit.NEWTON_PER_MM;
        double length = inches ? LengthUnit.INCH.nm() / 1e6 : 1;
        List<Point> points = new ArrayList<>();
        for (String one : whole.group(1).strip().split("\\s*[,;]\\s*")) {
            Matcher point = POINT.matcher(one);
            if (!point.matches()) {
                return Optional.empty();
            }
            double rate = unit.toNewtonsPerMm(Double.parseDouble(point.group(2)));
            points.add(new Point(length * Double.parseDouble(point.group(1)), rate));
        }
        return goesOn(points) ? Optional.of(List.copyOf(points)) : Optional.empty();
    }

    private static boolean goesOn(List<Point> points) {
        boolean fits =
                points.size() >= 2 && points.size() <= MOST && points.get(0).deflection() == 0;
        for (int i = 0; fits && i < points.size(); i++) {
            fits = points.get(i).value() > 0
                    && (i == 0 || points.get(i).deflection() > points.get(i - 1).deflection());
        }
        return fits;
    }
}
