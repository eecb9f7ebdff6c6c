package abbex.app.prove;

import abbex.app.drawing.ClockDrawing;
import abbex.app.drawing.CutDrawing;
import abbex.app.drawing.TravelDrawing;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.clearance.ClearanceModel;
import abbex.core.clearance.Verdict;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A corner as it is drawn at a pose: cut open, as a clock, and how far it goes. */
@Component
class CornerDrawings {
    private final ClearanceWords say;
    private final Words words;

    CornerDrawings(ClearanceWords say, Words words) {
        this.say = say;
        this.words = words;
    }

    /**
     * A limit of the range, drawn where it can be dragged.
     *
     * @param field of the range that holds it; empty for ride height
     * @param name what it is
     * @param value how far from ride height, or how many degrees, safe for a drawing
     * @param measured false while the usual value counts
     * @param size in mm or degrees, without its sign
     */
    public record Limit(String field, String name, String value, boolean measured, double size) {}

    /** The travel on its rod: drawing and limits, highest first. */
    public record Travel(TravelDrawing drawing, List<Limit> limits) {}

    /**
     * A pose as it is set by hand: bump in mm, steer and roll in degrees, each with its limits.
     *
     * @param unit as the reader has it, with what stands before it
     */
    public record Handle(
            String name, String label, long least, long most, double value, String more, String less, String unit) {
        /** As it is said: without its sign, which way in a word. */
        public String said() {
            long rounded = Math.round(value);
            return size(Math.abs(rounded)) + unit + (rounded == 0 ? "" : " " + (rounded > 0 ? more : less));
        }

        private String size(long mm) {
            return unit.equals(INCHES) ? Numerals.eighths(Length.ofMm(mm)) : Long.toString(mm);
        }
    }

    private static final String INCHES = "″";

    /**
     * A place in the cut at a pose.
     *
     * @param number in the list
     * @param mark how it stands there
     * @param worst how it stands over all poses
     */
    public record Here(int number, String mark, String worst, String name, String gap, CutDrawing.Spot spot) {}

    /**
     * The corner at a pose: cut open, and as a clock.
     *
     * @param at number of the place with the least gap at that pose; 0 where there is none
     * @param locks both full locks, left first; empty where nothing steers
     */
    public record Cut(
            CutDrawing drawing, List<Here> here, String nearest, int at, ClockDrawing clock, List<Limit> locks) {}

    List<Handle> handles(CornerCase corner, Pose pose, Reader reader) {
        Range range = corner.house().motion().range();
        List<Handle> handles = new ArrayList<>();
        handles.add(handle(
                "bump", -range.droop(), range.bump(), pose.bump(), reader.unit().metric() ? " mm" : INCHES));
        if (range.left() + range.right() > 0) {
            handles.add(handle(
                    "steer",
                    -Math.toDegrees(range.left()),
                    Math.toDegrees(range.right()),
                    Math.toDegrees(pose.steer()),
                    "°"));
        }
        if (range.roll() > 0) {
            double roll = Math.toDegrees(range.roll());
            handles.add(handle("roll", -roll, roll, Math.toDegrees(pose.roll()), "°"));
        }
        return handles;
    }

    private Handle handle(String name, double least, double most, double value, String unit) {
        return new Handle(
                name,
                words.say("handle." + name),
                Math.round(least),
                Math.round(most),
                value,
                words.say("handle." + name + ".more"),
                words.say("handle." + name + ".less"),
                unit);
    }

    /** The pose that is asked for; else that of the worst place, for which the page is opened. */
    static Pose pose(CornerCase corner, Map<String, String> parameters) {
        boolean asked = Stream.of("bump", "steer", "roll").anyMatch(parameters::containsKey);
        if (!asked && !corner.judged().isEmpty()) {
            return corner.judged().get(0).verdict().least().at();
        }
        return corner.house()
                .motion()
                .range()
                .nearest(new Pose(
                        number(parameters.get("bump")),
                        Math.toRadians(number(parameters.get("steer"))),
                        Math.toRadians(number(parameters.get("roll")))));
    }

    /** What was asked for; 0 when it is no number. */
    private static double number(@Nullable String text) {
        return text != null && text.strip().matches("-?\\d{1,3}([.]\\d{1,2})?") ? Double.parseDouble(text.strip()) : 0;
    }

    /** The corner at a pose, its places numbered as in the list. */
    Cut cut(CornerCase corner, Pose pose, Reader reader) {
        ClearanceModel house = corner.house();
        Range range = house.motion().range();
        CutDrawing drawing = CutDrawing.of(house.cut(pose), house.planned(), range.bump());
        List<CornerCase.Judged> judged = corner.judged();
        List<Here> here = new ArrayList<>();
        List<ClockDrawing.At> bars = new ArrayList<>();
        for (int i = 0; i < judged.size(); i++) {
            CornerCase.Known known = judged.get(i).known();
            CutDrawing.Spot spot = drawing.spots().get(corner.known().indexOf(known));
            Verdict verdict = judged.get(i).verdict();
            here.add(new Here(
                    i + 1,
                    spot.gap() <= 0 ? "stop" : spot.gap() < verdict.needed() ? "look" : "clear",
                    ClearanceWords.mark(verdict.word()),
                    say.name(known.probed().probe()),
                    ClearanceWords.length(spot.gap(), reader),
                    spot));
            bars.add(new ClockDrawing.At(
                    known.probed().probe().clock(), verdict.least().gap(), verdict.needed(), spot.gap()));
        }
        String said = Words.capital(say.pose(pose, corner, reader));
        Optional<Here> least =
                here.stream().min(Comparator.comparingDouble(h -> h.spot().gap()));
        return new Cut(
                drawing,
                here,
                least.map(h -> said + ": " + words.say("cut.nearest") + " " + h.name() + ", " + h.gap())
                        .orElse(said),
                least.map(Here::number).orElse(0),
                ClockDrawing.of(
                        corner.planned().tyre().overallDiameter().mm() / 2,
                        corner.planned().wheel().rimCode().doubleValue() * 12.7,
                        bars,
                        say.unseen(corner),
                        range.left(),
                        range.right(),
                        pose.steer()),
                range.left() + range.right() > 0 ? locks(corner) : List.of());
    }

    private List<Limit> locks(CornerCase corner) {
        boolean left = corner.corner().fromLeft();
        return List.of(
                lock(corner.plan(), left ? SweepField.INNER : SweepField.OUTER, "limit.left"),
                lock(corner.plan(), left ? SweepField.OUTER : SweepField.INNER, "limit.right"));
    }

    private Limit lock(SweepPlan plan, SweepField field, String name) {
        return new Limit(
                field.id(),
                words.say(name),
                CornerPages.plain(plan.of(field)) + "°",
                plan.measured(field),
                plan.of(field));
    }

    Travel travel(CornerCase corner, Reader reader) {
        SweepPlan plan = corner.plan();
        List<Limit> limits = List.of(
                limit(plan, SweepField.CRUSH, "limit.crushed", plan.bump(), reader),
                limit(plan, SweepField.STOP, "limit.stop", plan.of(SweepField.STOP), reader),
                new Limit("", words.say("limit.ride"), "", true, 0),
                limit(plan, SweepField.DROOP, "limit.droop", plan.of(SweepField.DROOP), reader));
        List<Double> up = limits.stream()
                .map(l -> l.field().equals(SweepField.DROOP.id()) ? -l.size() : l.size())
                .toList();
        return new Travel(TravelDrawing.of(up), limits);
    }

    private Limit limit(SweepPlan plan, SweepField field, String name, double mm, Reader reader) {
        return new Limit(
                field.id(),
                words.say(name),
                Numerals.drawn(Numerals.text(Length.ofRoundedMm(Math.rint(mm)), reader)),
                plan.measured(field),
                mm);
    }
}
