package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.kit.Kits;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.state.VehicleStates;
import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import abbex.core.heights.Assessment;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Each set of parts that was tried on a vehicle, side by side: what it did, judged by its own advertised drop. */
@Service
public class Tried {
    private final Kits kits;
    private final KitPlans plans;
    private final Sheets sheets;
    private final VehicleStates states;
    private final Words words;

    Tried(Kits kits, KitPlans plans, Sheets sheets, VehicleStates states, Words words) {
        this.kits = kits;
        this.plans = plans;
        this.sheets = sheets;
        this.states = states;
        this.words = words;
    }

    /**
     * A set of parts; every text is safe for a page.
     *
     * @param fitted when it was first measured
     * @param drops front and rear, empty where not told
     * @param rake how it changed from as arrived
     * @param gaps tire to lip, front and rear
     * @param findings what is said of it, worst first
     * @param stays it is the one on the vehicle
     */
    public record Column(
            String name,
            String fitted,
            PerEnd<String> drops,
            String rake,
            PerEnd<String> gaps,
            List<Words.Said> findings,
            boolean stays) {}

    /** In the order in which they were fitted; none while only one was. */
    public List<Column> of(Job job, Reader reader) {
        JobSheets all = sheets.of(job.shop(), job.id());
        List<Column> columns = new ArrayList<>();
        for (Kits.Kit kit : kits.of(job).list()) {
            List<SheetData> on = plans.on(job, kit.values());
            if (!on.isEmpty()) {
                columns.add(column(job, all, kit, on, reader));
            }
        }
        return columns.size() < 2 ? List.of() : columns;
    }

    private static final int MOST = 3;

    private Column column(Job job, JobSheets all, Kits.Kit kit, List<SheetData> on, Reader reader) {
        SheetData newest = on.get(on.size() - 1);
        Assessment judged = all.judge(job, all.sheets().get(0), newest);
        return new Column(
                kit.name().isEmpty() ? words.say("tried.unnamed") : kit.name(),
                reader.day(on.get(0).row().madeAt()),
                PerEnd.of(end -> judged.drops()
                        .ends()
                        .get(end)
                        .drop()
                        .map(drop -> drop(drop.value(), reader))
                        .orElse("")),
                judged.rakeChange()
                        .map(by -> Numerals.html(words.word(by, reader)))
                        .orElse(""),
                PerEnd.of(end -> gap(judged, end, reader)),
                judged.drops().findings().stream()
                        .filter(f -> f.severity().compareTo(Severity.LOOK) >= 0)
                        .sorted(Finding.WORST_FIRST)
                        .limit(MOST)
                        .map(f -> words.finding(f, reader))
                        .toList(),
                states.now(job).parts().stream()
                        .anyMatch(parts -> parts.changed() && parts.kit().equals(kit.key())));
    }

    private static String drop(Estimate drop, Reader reader) {
        return Numerals.html(
                Numerals.drop(drop.value(), drop.expanded(), reader) + " ± " + Numerals.width(drop.expanded(), reader));
    }

    private static String gap(Assessment judged, End end, Reader reader) {
        double[] mm = Stream.of(end.left(), end.right())
                .flatMap(corner -> judged.drops().corners().get(corner).gap().after().stream())
                .mapToDouble(figure -> figure.value().value().mm())
                .toArray();
        return mm.length == 0
                ? ""
                : Numerals.html(Numerals.text(
                        Length.ofRoundedMm(java.util.Arrays.stream(mm).average().orElse(0)), reader));
    }
}
