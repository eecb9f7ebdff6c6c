package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.measure.SheetData;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.heights.Advertised;
import abbex.core.heights.MeasuringPoint;
import abbex.core.kit.EndPlan;
import abbex.core.kit.PlannedHeight;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** What the box says, what was computed and what was measured, in one line. */
@Component
class ThreeWords {
    private final Words words;

    ThreeWords(Words words) {
        this.words = words;
    }

    /** Safe for a page; empty where there is nothing beside what was computed. */
    String of(
            Job job,
            KitPlans.Planned planned,
            End end,
            EndPlan plan,
            Optional<SheetData> after,
            Map<MeasuringPoint, Length> heights,
            Reader reader) {
        Optional<Advertised.Range> box = planned.kit().get(end).box().or(() -> promised(job, end));
        OptionalDouble is = measured(planned, end, heights);
        if (box.isEmpty() && is.isEmpty()) {
            return "";
        }
        StringBuilder line = new StringBuilder();
        box.ifPresent(range -> line.append(
                range.single()
                        ? words.say("three.box", reader, "drop", range.most())
                        : words.say("three.box.range", reader, "least", range.least(), "most", range.most())));
        line.append(line.isEmpty() ? "" : " · ");
        line.append(words.say(
                "three.computed",
                reader,
                "drop",
                Numerals.value(mm(plan.setDown().value()), mm(plan.setDown().half()), reader),
                "half",
                Numerals.width(mm(plan.setDown().half()), reader)));
        if (after.isPresent() && is.isEmpty() && planned.heights().isEmpty()) {
            line.append(" · ").append(words.say("three.nobefore"));
        }
        is.ifPresent(mm -> line.append(" · ").append(words.say("three.measured", reader, "drop", mm(mm))));
        return Numerals.html(line.toString());
    }

    private static Optional<Advertised.Range> promised(Job job, End end) {
        return job.advertised().at(end);
    }

    private static Length mm(double mm) {
        return Length.ofRoundedMm(mm);
    }

    /** The mean of what fell by this end alone. */
    private static OptionalDouble measured(KitPlans.Planned planned, End end, Map<MeasuringPoint, Length> after) {
        return planned.heights().stream()
                .filter(height -> at(height, end))
                .filter(height -> after.containsKey(height.spot()))
                .map(height -> drop(height, Objects.requireNonNull(after.get(height.spot()))))
                .mapToDouble(Double::doubleValue)
                .average();
    }

    private static boolean at(PlannedHeight height, End end) {
        return height.spot().atCorner()
                ? height.spot().corner().end() == end
                : height.spot().place() instanceof WheelPlace wheel && wheel.end() == end && height.ofOneEnd();
    }

    private static double drop(PlannedHeight height, Length is) {
        return height.now().value().mm() - is.mm();
    }
}
