package abbex.app.drawing;

import java.util.List;

/**
 * A part of a vehicle seen from its side on the floor line, in millimetres, to scale: SVG coordinates, so up is negative.
 *
 * @param box the part that is shown: left, top, width, height
 * @param wheels drawn first
 * @param strokes lines over them, each with its style
 * @param arrow path of the dimension arrow
 */
public record Elevation(String box, List<Wheel> wheels, List<Stroke> strokes, String arrow) {
    /** A wheel's centre, the free radius of its tyre and the radius of its rim. */
    public record Wheel(String x, String hub, String tyre, String rim) {}

    /** A line. */
    public record Stroke(String style, String path) {}

    public Elevation {
        wheels = List.copyOf(wheels);
        strokes = List.copyOf(strokes);
    }

    /** Wheels and lines as SVG, in one piece: there are dozens on a page, and all of it is numbers and our own styles. */
    public String svg() {
        StringBuilder svg = new StringBuilder(1500);
        for (Wheel w : wheels) {
            String circle = "<circle cx=\"" + w.x() + "\" cy=\"" + w.hub() + "\" r=\"";
            svg.append("<g>")
                    .append(circle)
                    .append(w.tyre())
                    .append("\" class=\"tyre\" clip-path=\"url(#ground)\"/>")
                    .append(circle)
                    .append(w.rim())
                    .append("\" class=\"rim\"/></g>");
        }
        for (Stroke l : strokes) {
            svg.append("<path class=\"")
                    .append(l.style())
                    .append("\" d=\"")
                    .append(l.path())
                    .append("\"/>");
        }
        return svg.append("<path class=\"arrow\" d=\"")
                .append(arrow)
                .append("\"/>")
                .toString();
    }

    /** A dimension arrow that stands upright; a short one has its heads outside, pointing at each other. */
    static String arrow(double x, double from, double to, double width) {
        double head = width * 26 / 900;
        double low = Math.min(from, to);
        double high = Math.max(from, to);
        double inside = high - low > 3 * head ? head : -head;
        double reach = inside > 0 ? 0 : 2 * head;
        return "M" + plain(x) + " " + up(low - reach) + "V" + up(high + reach) + tip(x, high, -inside)
                + tip(x, low, inside);
    }

    private static String tip(double x, double z, double head) {
        String half = plain(Math.abs(head) / 2);
        String back = plain(-head);
        return "M" + plain(x - Math.abs(head) / 2) + " " + up(z + head) + "l" + half + " " + plain(head) + "l" + half
                + " " + back;
    }

    /** A small cross at a marked point. */
    static Stroke mark(double x, double z) {
        return new Stroke("mark", "M" + plain(x - 22) + " " + up(z) + "h44M" + plain(x) + " " + up(z - 22) + "v-44");
    }

    /** A part of some width; the floor lies at the same height in all of them. */
    static String box(double left, double width) {
        return plain(left) + " " + up(width * 830 / 900) + " " + plain(width) + " " + plain(width * 880 / 900);
    }

    /** A close-up that is not on the floor, in the same proportions. */
    static String closeUp(double left, double top, double width) {
        return plain(left) + " " + up(top) + " " + plain(width) + " " + plain(width * 880 / 900);
    }

    static String up(double z) {
        return plain(-z);
    }

    /** A coordinate to a tenth; drawn by the hundred on every page, where a format string would be the slowest part. */
    static String plain(double mm) {
        return Double.toString(Math.round(mm * 10) / 10.0);
    }
}
