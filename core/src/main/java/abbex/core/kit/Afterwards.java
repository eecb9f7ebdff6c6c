package abbex.core.kit;

import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Stage;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What was measured once the kit was in, against what was planned. */
public final class Afterwards {
    private static final double WIDE = 2.1;

    private Afterwards() {}

    /** How much of the settling is over at a stage (common practice). */
    static double settled(Stage stage) {
        return switch (stage) {
            case AS_ARRIVED, FIRST_SET_DOWN, TRIAL, OTHER -> 0;
            case AFTER_SHORT_DRIVE -> 0.4;
            case AFTER_HARD_DRIVE, AFTER_ALIGNMENT -> 0.6;
            case SETTLED -> 1;
        };
    }

    /**
     * Why it stands as it does.
     *
     * @param after sheets on which the vehicle stands on the kit
     * @param wheelbase mm
     * @param track mm
     * @return empty while nothing that was planned has been measured since
     */
    public static Optional<Causes.Ranked> of(
            KitPlan plan,
            PerEnd<EndKit> kit,
            HeightSheet before,
            List<HeightSheet> after,
            double wheelbase,
            double track) {
        List<Seen> seen = new ArrayList<>();
        List<PlannedHeight> planned = plan.heights(before);
        for (int sheet = 0; sheet < after.size(); sheet++) {
            double over = settled(after.get(sheet).basis().stage());
            for (PlannedHeight height : planned) {
                if (height.ofOneEnd()
                        && !(height.spot().way().equals(PointMethod.FREE)
                                || height.spot().way().equals(PointMethod.RIDER))) {
                    int at = sheet;
                    after.get(sheet).at(height.spot()).ifPresent(read -> seen.add(seen(height, read, at, over)));
                }
            }
        }
        return seen.isEmpty()
                ? Optional.empty()
                : Optional.of(Causes.rank(List.copyOf(seen), open(plan, kit, wheelbase, track)));
    }

    /**
     * What an end on its kit tells of the printed number: by how much more it came down than the plan says, on top of what the
     * shop's other fits had moved that by already.
     *
     * @return empty where the plan follows from the springs' figures, or nothing of this end was measured both times
     */
    public static Optional<OwnFits.Fit> fit(End end, KitPlan plan, EndKit kit, HeightSheet before, HeightSheet after) {
        Optional<EndPlan> planned = plan.ends().get(end);
        if (planned.isEmpty() || planned.get().bySprings() || kit.springBox().isEmpty()) {
            return Optional.empty();
        }
        double over = settled(after.basis().stage());
        List<Seen> seen = plan.heights(before).stream()
                .filter(h -> h.spot().atCorner() && h.spot().corner().end() == end)
                .flatMap(h -> after.at(h.spot()).stream().map(read -> seen(h, read, 0, over)))
                .toList();
        if (seen.isEmpty()) {
            return Optional.empty();
        }
        double off = seen.stream().mapToDouble(Seen::off).average().orElseThrow();
        double tape = seen.stream()
                .mapToDouble(s -> s.tape() * s.tape() + s.before() * s.before())
                .average()
                .orElseThrow();
        long corners = seen.stream().map(s -> s.spot().place()).distinct().count();
        double others = planned.get().lines().stream()
                .filter(line -> line.row() != Row.BOX)
                .mapToDouble(line -> line.standard() * line.standard())
                .sum();
        double settling = over * EndPlan.USUAL_SETTLING.standard();
        return Optional.of(new OwnFits.Fit(
                kit.own().off().value() - off, Math.sqrt(tape / corners + others + settling * settling)));
    }

    private static Seen seen(PlannedHeight height, Height read, int sheet, double over) {
        double expected = height.setDown().value()
                + over * (height.settled().value() - height.setDown().value());
        return new Seen(
                height.spot(),
                sheet,
                read.value().mm() - expected,
                read.estimate().uncertainty().standard(),
                height.now().estimate().uncertainty().standard(),
                over);
    }

    private static Causes.Open open(KitPlan plan, PerEnd<EndKit> kit, double wheelbase, double track) {
        return new Causes.Open(
                PerEnd.of(end ->
                        plan.ends().get(end).map(p -> p.setDown().half() / WIDE).orElse(1.0)),
                PerEnd.of(end -> EndPlan.USUAL_SETTLING.standard()),
                PerEnd.of(end -> plan.ends().get(end).map(EndPlan::wheelRate).orElse(30.0)),
                kit.map(k -> k.damper().isPresent()),
                kit.map(k -> k.spring().isPresent() || k.springBox().isPresent()),
                kit.map(k -> k.parts().stream().anyMatch(p -> p.row() == Row.PERCH)),
                wheelbase,
                track);
    }
}
