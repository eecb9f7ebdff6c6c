package abbex.app.rules;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.heights.Floor;
import abbex.core.heights.Method;
import abbex.core.vehicle.Corner;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;

/**
 * A surveyed floor as a page draws it: four pads on one level line, ten times as high as they are.
 *
 * @param since from which day it was so, in words
 * @param brings what it brings to the diagonal difference of ground- and of hub-referenced heights, made safe
 */
public record FloorDrawing(String bay, String since, String by, List<Pad> pads, String brings) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final double TIMES = 10;
    /** No pad is drawn higher than the drawing. */
    private static final double HIGHEST = 150;

    /**
     * A pad.
     *
     * @param x of its middle
     * @param height as drawn
     * @param over how high it is over the lowest, made safe
     */
    public record Pad(String corner, int x, double height, String over) {}

    static FloorDrawing of(FloorSurvey survey, Reader reader, Words words) {
        Floor floor = survey.floor().orElseThrow();
        List<Pad> pads = Corner.WALK.stream()
                .map(corner -> new Pad(
                        corner.name(),
                        75 + 150 * corner.ordinal(),
                        Math.min(HIGHEST, TIMES * floor.pad(corner).mm()),
                        Numerals.html(Numerals.text(floor.pad(corner), reader))))
                .toList();
        return new FloorDrawing(
                survey.bay(),
                survey.since() == null
                        ? words.say("floor.always")
                        : words.say("floor.since", reader, "day", DAY.format(survey.since())),
                survey.by(),
                pads,
                Numerals.html(words.say(
                        "floor.brings",
                        reader,
                        "ground",
                        floor.diagonal(Method.GF),
                        "hub",
                        floor.diagonal(Method.HF))));
    }
}
