package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.kit.Kits;
import abbex.app.measure.JobSheets;
import abbex.app.memory.Memory;
import abbex.app.memory.Remembered;
import abbex.app.settle.Course;
import abbex.app.settle.Returns;
import abbex.core.figure.Figure;
import abbex.core.vehicle.End;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/** What a stay that is handed over tells the shop's memory of its kit. */
@Service
class Learning {
    private final Memory memory;
    private final Returns returns;
    private final Kits kits;
    private final KitPlans plans;

    Learning(Memory memory, Returns returns, Kits kits, KitPlans plans) {
        this.memory = memory;
        this.returns = returns;
        this.kits = kits;
        this.plans = plans;
    }

    void learn(Job job, JobSheets all) {
        Map<String, Double> values = new HashMap<>();
        Optional<Course> course = returns.of(job).course();
        for (End end : End.values()) {
            OptionalDouble setDown = course.map(c -> c.drop(end, 0)).orElse(OptionalDouble.empty());
            Optional<Double> drop = setDown.isPresent()
                    ? Optional.of(setDown.getAsDouble())
                    : all.judge(job)
                            .drops()
                            .ends()
                            .get(end)
                            .drop()
                            .map(Figure::value)
                            .map(e -> e.value().mm());
            drop.ifPresent(
                    mm -> values.put((end == End.FRONT ? Remembered.DROP_FRONT : Remembered.DROP_REAR).name(), mm));
        }
        course.map(Course::seenTotal)
                .filter(OptionalDouble::isPresent)
                .ifPresent(total -> values.put(Remembered.SANK.name(), total.getAsDouble()));
        plans.why(job, plans.standing(job), plans.values(job))
                .filter(why -> !why.asPlanned() && !why.groups().isEmpty())
                .map(why -> why.groups().get(0).causes())
                .filter(causes -> !causes.isEmpty())
                .map(List::iterator)
                .ifPresent(causes -> values.put("CAUSE_" + causes.next().kind(), 0.0));
        memory.learn(job, Returns.kit(job, kits), values);
    }

    void forget(Job job) {
        memory.forget(job);
    }
}
