package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Figure;
import abbex.core.heights.DropSheet;
import abbex.core.kit.EndPlan;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What was planned beside what was measured, for the sheet: the public service of the station. */
@Service
public class PlannedText {
    private final KitPlans plans;
    private final CauseWords causes;
    private final Tried tried;
    private final Words words;

    PlannedText(KitPlans plans, CauseWords causes, Tried tried, Words words) {
        this.tried = tried;
        this.plans = plans;
        this.causes = causes;
        this.words = words;
    }

    /** An end, and what stands there; safe for a page. */
    public record Line(String name, String text) {}

    /**
     * Both.
     *
     * @param tried each set of parts, where more than one was
     * @param cause what is likeliest where it stands otherwise; that it stands as planned where it does
     */
    public record Both(List<Line> lines, String cause, List<Tried.Column> tried) {}

    /** Each end that was planned by more than its printed drop and measured since. */
    public Both of(Job job, DropSheet drops, Reader reader) {
        KitPlans.Planned planned = plans.standing(job);
        List<Line> lines = new ArrayList<>();
        for (End end : End.values()) {
            Optional<Estimate> is = drops.ends().get(end).drop().map(Figure::value);
            Optional<EndPlan> plan = planned.plan().ends().get(end).filter(EndPlan::bySprings);
            if (is.isPresent() && plan.isPresent()) {
                lines.add(line(end, plan.get(), is.get(), reader));
            }
        }
        return new Both(
                lines,
                lines.isEmpty()
                        ? ""
                        : plans.why(job, planned, plans.values(job))
                                .map(why -> causes.first(why, reader))
                                .orElse(""),
                tried.of(job, reader));
    }

    private Line line(End end, EndPlan plan, Estimate is, Reader reader) {
        Length half = Length.ofRoundedMm(plan.setDown().half());
        return new Line(
                Words.capital(words.word(end, reader)),
                Numerals.html(words.say(
                        "sheet.planned.line",
                        reader,
                        "drop",
                        Numerals.drop(Length.ofRoundedMm(plan.setDown().value()), half, reader),
                        "half",
                        Numerals.width(half, reader),
                        "is",
                        Numerals.drop(is.value(), reader))));
    }
}
