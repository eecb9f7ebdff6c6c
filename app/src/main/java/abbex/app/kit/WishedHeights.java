package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.core.heights.PointMethod;
import abbex.core.kit.Backwards;
import abbex.core.kit.PlannedHeight;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Heights that are wished between the ends, and by which one figure of the kit each would be met. */
@Service
public class WishedHeights {
    /** Of each way its field. */
    private static final Map<PointMethod, KitField> FIELDS = fields();

    private static Map<PointMethod, KitField> fields() {
        Map<PointMethod, KitField> fields = new LinkedHashMap<>();
        fields.put(PointMethod.SEAT, KitField.WISHED_SEAT);
        fields.put(PointMethod.BOARD, KitField.WISHED_BOARD);
        fields.put(PointMethod.BED, KitField.WISHED_BED);
        return fields;
    }

    /** A figure that can be chosen, and what it is while nobody chose: that of the old part, or none. */
    private record Figure(KitField field, Optional<KitField> old, List<KitField> needs) {}

    private static final List<Figure> FIGURES = List.of(
            new Figure(KitField.NEW_LINK, Optional.of(KitField.OLD_LINK), List.of(KitField.AXLE_BACK)),
            new Figure(KitField.NEW_EYES, Optional.of(KitField.OLD_EYES), List.of(KitField.AXLE_BACK)),
            new Figure(KitField.NEW_SHACKLE, Optional.of(KitField.OLD_SHACKLE), List.of(KitField.SHACKLE_LEAN)),
            new Figure(KitField.HANGER_UP, Optional.empty(), List.of(KitField.OLD_SHACKLE, KitField.SHACKLE_LEAN)),
            new Figure(KitField.BLOCK, Optional.empty(), List.of()),
            new Figure(KitField.TUBES_UP, Optional.empty(), List.of()),
            new Figure(KitField.PERCH, Optional.empty(), List.of()));

    private final KitPlans plans;

    WishedHeights(KitPlans plans) {
        this.plans = plans;
    }

    /** The fields that are asked of a vehicle. */
    public static List<KitField> asked(Job job) {
        return FIELDS.entrySet().stream()
                .filter(one -> PointMethod.of(job.vehicle().kind()).contains(one.getKey()))
                .map(Map.Entry::getValue)
                .toList();
    }

    /** A figure that meets a wish alone. */
    public record Way(End end, KitField field, Length figure) {}

    /**
     * A wish.
     *
     * @param settled the height as planned, as it came where nothing of it is; empty where it was not measured
     * @param ways each alone, to its own limits
     */
    public record Wished(PointMethod of, Length wished, Optional<Length> settled, List<Way> ways) {
        /** Within what no tape shows. */
        public boolean met() {
            return settled.filter(s -> Math.abs(s.mm() - wished.mm()) < MET).isPresent();
        }
    }

    /** 1/16 in (ours). */
    private static final double MET = 1.5;

    public List<Wished> of(Job job, KitPlans.Planned plan, KitValues values) {
        List<Wished> all = new ArrayList<>();
        FIELDS.forEach((method, field) -> values.at(null, field).ifPresent(told -> {
            OptionalDouble planned = settled(plan.heights(), method);
            OptionalDouble settled = planned.isPresent() ? planned : plans.asItCame(job, method);
            List<Way> ways = new ArrayList<>();
            if (settled.isPresent() && Math.abs(settled.getAsDouble() - told.value()) >= MET) {
                for (End end : End.values()) {
                    FIGURES.forEach(figure ->
                            way(job, values, method, told.value(), end, figure).ifPresent(ways::add));
                }
            }
            all.add(new Wished(
                    method,
                    Length.ofRoundedMm(told.value()),
                    settled.isPresent() ? Optional.of(Length.ofRoundedMm(settled.getAsDouble())) : Optional.empty(),
                    ways));
        }));
        return all;
    }

    /** The mean of all places at which it was measured, mm. */
    private static OptionalDouble settled(List<PlannedHeight> heights, PointMethod method) {
        return heights.stream()
                .filter(height -> height.spot().way().equals(method))
                .mapToDouble(height -> height.settled().value())
                .average();
    }

    private Optional<Way> way(Job job, KitValues values, PointMethod method, double wished, End end, Figure figure) {
        Set<?> asking = KitKinds.asking(figure.field());
        boolean counts = KitKinds.of(values, end).stream().anyMatch(asking::contains)
                && figure.needs().stream().allMatch(need -> values.at(end, need).isPresent());
        Optional<Double> start = values.value(end, figure.field())
                .or(() -> figure.old().isPresent()
                        ? values.value(end, figure.old().get())
                        : Optional.of(0.0));
        if (!counts || start.isEmpty()) {
            return Optional.empty();
        }
        OptionalDouble found = Backwards.figure(
                mm -> settled(plans.heights(job, values.with(one(end, figure.field(), mm))), method)
                        .orElse(Double.NaN),
                wished,
                start.get(),
                figure.field().least(),
                most(values, end, figure.field()));
        return found.isEmpty() || !stands(job, values, end, figure.field(), found.getAsDouble())
                ? Optional.empty()
                : Optional.of(new Way(end, figure.field(), Length.ofRoundedMm(found.getAsDouble())));
    }

    /** Tubes go no further up than what stops them. */
    private static double most(KitValues values, End end, KitField field) {
        return field == KitField.TUBES_UP
                ? values.value(end, KitField.SLIDE_SHOULDER).orElse(field.most())
                : field.most();
    }

    private static Map<KitValues.Key, KitValues.Told> one(End end, KitField field, double mm) {
        Map<KitValues.Key, KitValues.Told> one = new HashMap<>();
        one.put(new KitValues.Key(end, field), new KitValues.Told(mm + " mm", mm));
        return one;
    }

    /** No part of the plan is impossible with it that is possible without. */
    private boolean stands(Job job, KitValues values, End end, KitField field, double mm) {
        return plans.impossible(job, values.with(one(end, field, mm))) <= plans.impossible(job, values);
    }
}
