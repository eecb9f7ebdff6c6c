package abbex.app.back;

import abbex.app.drawing.SettlingDrawing;
import abbex.app.page.Words;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The return as its page shows it; texts are safe for a page.
 *
 * @param due the day, its miles and how long until then; empty while none is agreed
 * @param back the sheet that was opened when it was back; null before
 * @param open it may be opened: the vehicle was set down and measured
 * @param drawing how it settles; null where that cannot be told
 * @param rows plan, set-down and settled, an end a row
 * @param says what the numbers say
 * @param nine when nine tenths of it are over; empty while nobody said how far it is driven in a day
 */
record ReturnPage(
        List<String> due,
        boolean booked,
        boolean gone,
        @Nullable UUID back,
        boolean open,
        List<Driven> driven,
        @Nullable SettlingDrawing drawing,
        List<Row> rows,
        String way,
        List<Words.Said> says,
        String nine,
        List<Item> items,
        long edition) {
    /** A sheet with what the odometer showed on it. */
    record Driven(UUID sheet, String stage, String day, String odometer, String distance) {}

    /** An end: what was planned, what the set-down gave, what is settled or expected to be. */
    record Row(String end, String planned, String setDown, String now, String settled, String within) {}

    /**
     * Something to be looked at.
     *
     * @param field name of the choice; that of the note has {@code _why} behind it
     * @param left how it was answered for when the vehicle left; empty for what is looked at on every return
     */
    record Item(String field, String mark, String titleHtml, String textHtml, String left, String chosen, String why) {}
}
