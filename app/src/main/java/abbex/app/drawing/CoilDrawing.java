package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;

import java.util.ArrayList;
import java.util.List;

/** Springs beside each other to one scale, standing on one line. Drawing geometry only. */
public record CoilDrawing(String box, List<Coil> coils, String foot) {
    private static final double HIGH = 190;
    private static final double EDGE = 22;
    private static final double COLUMN = 78;
    private static final int TURNS = 6;

    /**
     * A spring.
     *
     * @param path its wire
     * @param x of its middle
     * @param top y above it
     */
    public record Coil(String style, String path, String x, String top) {}

    /**
     * A spring as it is to be drawn.
     *
     * @param length mm
     */
    public record Of(String style, double length) {}

    /** All of them, the longest as high as there is room. */
    public static CoilDrawing of(List<Of> springs) {
        double longest = springs.stream().mapToDouble(Of::length).max().orElse(1);
        double scale = (HIGH - EDGE - 4) / longest;
        List<Coil> coils = new ArrayList<>();
        for (int i = 0; i < springs.size(); i++) {
            double x = (i + 0.5) * COLUMN;
            double length = springs.get(i).length() * scale;
            double top = HIGH - 4 - length;
            StringBuilder wire = new StringBuilder("M" + plain(x - 18) + " " + plain(HIGH - 4) + "h36");
            for (int turn = 1; turn <= 2 * TURNS; turn++) {
                wire.append("L")
                        .append(plain(x + (turn % 2 == 0 ? 18 : -18)))
                        .append(' ')
                        .append(plain(HIGH - 4 - length * turn / (2 * TURNS)));
            }
            coils.add(new Coil(springs.get(i).style(), wire.append("h-36").toString(), plain(x), plain(top - 6)));
        }
        double wide = springs.size() * COLUMN;
        return new CoilDrawing(
                "0 0 " + plain(wide) + " " + plain(HIGH), coils, "M0 " + plain(HIGH - 3) + "H" + plain(wide));
    }
}
