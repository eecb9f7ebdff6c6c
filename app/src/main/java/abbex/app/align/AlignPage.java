package abbex.app.align;

import abbex.app.drawing.AxlesDrawing;
import abbex.app.page.Words;
import java.util.List;

/**
 * The alignment as its page shows it.
 *
 * @param wheels in walking order
 * @param drawing from above
 * @param hold what must stay as it is
 */
record AlignPage(
        List<Wheel> wheels,
        AxlesDrawing drawing,
        List<Axle> axles,
        List<Words.Said> says,
        List<String> hold,
        String thrust) {
    /**
     * A wheel.
     *
     * @param moved what camber moved by; empty where it was not read twice
     */
    record Wheel(String code, String name, String end, List<Row> rows, String moved) {}

    /** An angle and its two fields. */
    record Row(String label, List<Field> fields) {}

    /** A field: its name, what a reader of the screen says of it, and its text. */
    record Field(String name, String called, String text) {}

    /** An axle's toe in all. */
    record Axle(String end, String total, String scrub) {}
}
