package abbex.app.fitment;

import abbex.app.arrive.Job;
import abbex.app.facts.Fact;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Finding;
import abbex.core.vehicle.End;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/** What the wheels of a stay have to say to other stations. */
@Service
public class Fitments {
    private final WheelSets sets;
    private final ObjectProvider<PlannedWheels> changes;
    private final Words words;

    Fitments(WheelSets sets, ObjectProvider<PlannedWheels> changes, Words words) {
        this.changes = changes;
        this.sets = sets;
        this.words = words;
    }

    /** What stands on the vehicle against what is planned. */
    public FitmentPage of(Job job, Reader reader) {
        List<WheelSet> all = sets.of(job.shop(), job.vehicle().id());
        return FitmentPage.of(
                all,
                WheelSets.first(all, WheelSet.Use.PLANNED),
                job.vehicle().build().dualRear(),
                reader,
                words);
    }

    /** What the change to the planned wheels and the hubs have to say, worst first. */
    public List<Finding> findings(Job job) {
        List<WheelSet> all = sets.of(job.shop(), job.vehicle().id());
        return FitmentPage.findings(
                all,
                WheelSets.first(all, WheelSet.Use.PLANNED),
                job.vehicle().build().dualRear());
    }

    /** What stands at an end; what it had from new says nothing of it. */
    public Optional<Fitment> now(Job job, End end) {
        return WheelSets.first(sets.of(job.shop(), job.vehicle().id()), WheelSet.Use.NOW)
                .flatMap(set -> set.fitment(end));
    }

    /** The end of a set by the name that somebody gave it; empty where none is called so. */
    public Optional<Fitment> named(Job job, String name, End end) {
        return sets.of(job.shop(), job.vehicle().id()).stream()
                .filter(set -> set.name().strip().equalsIgnoreCase(name.strip()))
                .findFirst()
                .flatMap(set -> set.fitment(end));
    }

    /** What is to stand at an end: the planned set, else what stands there, with all that is planned for it besides. */
    public Optional<Fitment> intended(Job job, End end) {
        return planned(job, end)
                .or(() -> now(job, end))
                .map(wheels -> changes.orderedStream()
                        .reduce(wheels, (on, by) -> by.after(job, end, on), (one, other) -> other));
    }

    /** The planned set's wheels of an end. */
    public Optional<Fitment> planned(Job job, End end) {
        return WheelSets.first(sets.of(job.shop(), job.vehicle().id()), WheelSet.Use.PLANNED)
                .flatMap(set -> set.fitment(end));
    }

    /** What stands on it and what is planned are both told. */
    public boolean compared(Job job) {
        List<WheelSet> all = sets.of(job.shop(), job.vehicle().id());
        return WheelSets.first(all, WheelSet.Use.NOW).isPresent()
                && WheelSets.first(all, WheelSet.Use.PLANNED).isPresent();
    }

    /** Every set that the vehicle owns. */
    public List<WheelSet> sets(Job job) {
        return sets.of(job.shop(), job.vehicle().id());
    }

    /** Every text that goes into it. */
    public List<Fact> facts(Job job) {
        List<Fact> facts = new ArrayList<>();
        for (WheelSet set : sets.of(job.shop(), job.vehicle().id())) {
            if (set.use() != WheelSet.Use.OTHER) {
                set.texts().forEach((item, raw) -> {
                    int end = item.lastIndexOf('_');
                    facts.add(Fact.of(
                            Fact.Kind.WHEEL_SET,
                            List.of(set.use().name(), item.substring(0, end), item.substring(end + 1)),
                            Fact.line(raw)));
                });
            }
        }
        return facts;
    }
}
