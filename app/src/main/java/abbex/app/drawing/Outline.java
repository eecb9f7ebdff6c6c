package abbex.app.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The side outline of a vehicle by the lines of shapes.svg, where it stands once for all drawings: millimetres, front axle at
 * x = 0, x rearward.
 *
 * @param lines paths
 * @param wheelbase it was drawn with
 * @param arch height of its arches over the floor
 * @param ahead how far it reaches ahead of the front axle
 * @param behind how far behind the rear axle
 * @param top how high
 */
public record Outline(List<String> lines, double wheelbase, double arch, double ahead, double behind, double top) {
    private static final Map<String, double[]> DRAWN = Map.of(
            "hatch", new double[] {2600, 669, 845, 627, 1468},
            "coupe", new double[] {2680, 682, 934, 800, 1330},
            "pickup", new double[] {3560, 924, 1005, 1466, 1940},
            "motorcycle", new double[] {1480, 680, 345, 345, 1060});

    private static final Map<String, Outline> KNOWN = new ConcurrentHashMap<>();
    private static final Pattern PATH = Pattern.compile("<path (?:class='[a-z]+' )?d='([^']+)'");

    /** By its name, such as hatch; it must be one of those that are drawn. */
    public static Outline of(String shape) {
        return KNOWN.computeIfAbsent(shape, Outline::read);
    }

    private static Outline read(String shape) {
        try (InputStream file = Outline.class.getResourceAsStream("/static/shapes.svg")) {
            String all = file == null ? "" : new String(file.readAllBytes(), StandardCharsets.UTF_8);
            int from = all.indexOf("<symbol id='" + shape + "'");
            List<String> lines = new ArrayList<>();
            if (from >= 0) {
                Matcher path = PATH.matcher(all.substring(from, all.indexOf("</symbol>", from)));
                while (path.find()) {
                    lines.add(path.group(1));
                }
            }
            double[] drawn = Objects.requireNonNull(DRAWN.get(shape), shape);
            return new Outline(List.copyOf(lines), drawn[0], drawn[1], drawn[2], drawn[3], drawn[4]);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
