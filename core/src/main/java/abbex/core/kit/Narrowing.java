package abbex.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Which one measurement would narrow a plan most. */
public final class Narrowing {
    /** What can be measured before anything is taken apart, and how well. */
    public enum Measurement {
        /** The corner on a scale, less its wheel, to 1 %. */
        LOAD,
        /** Spring and wheel moved together by a jack: to 1 %. */
        RATIO,
        /** The old spring between its seats, by calliper or tape, to 1 mm. */
        SEATS,
        /** The new spring on the bench: ± 1.5 % and ± 1 mm. */
        NEW_SPRING,
        /** The old one, once it is out. */
        OLD_SPRING,
        /** The rod pressed down on a bathroom scale, to 10 N. */
        GAS
    }

    /**
     * What a measurement would make of the answer.
     *
     * @param half half of the interval as set down, mm, once it is made
     */
    public record Gain(Measurement of, double half) {}

    /** A gain that is worth the walk: a tenth. */
    private static final double WORTH = 0.9;

    private Narrowing() {}

    /** The measurement that narrows most; empty where none narrows by a tenth. */
    public static Optional<Gain> best(EndNow now, EndKit kit, Told settling) {
        Optional<EndPlan> plan = EndPlan.of(now, kit, settling);
        if (plan.isEmpty()) {
            return Optional.empty();
        }
        double half = plan.get().setDown().half();
        List<Gain> gains = new ArrayList<>();
        for (Measurement measurement : Measurement.values()) {
            measured(measurement, now, kit)
                    .flatMap(m -> EndPlan.of(m.now(), m.kit(), settling))
                    .ifPresent(then ->
                            gains.add(new Gain(measurement, then.setDown().half())));
        }
        return gains.stream().min(Comparator.comparingDouble(Gain::half)).filter(gain -> gain.half() < WORTH * half);
    }

    private record Measured(EndNow now, EndKit kit) {}

    private static Optional<Measured> measured(Measurement of, EndNow now, EndKit kit) {
        return switch (of) {
            case LOAD ->
                Optional.of(new Measured(
                        now.withLoad(now.load().within(0.01 * now.load().value())), kit));
            case RATIO -> Optional.of(new Measured(now.withRatio(now.ratio().within(0.01)), kit));
            case SEATS -> seats(now, kit);
            case NEW_SPRING ->
                kit.spring().map(s -> new Measured(now, kit.withSpring(SpringFacts.measured(s.spring()))));
            case OLD_SPRING ->
                now.spring().map(s -> new Measured(now.withSpring(SpringFacts.measured(s.spring())), kit));
            case GAS ->
                kit.damper()
                        .map(d -> new Measured(
                                now, kit.withDamper(new DamperFacts(d.gas().within(10), d.longest(), d.shortest()))));
        };
    }

    private static Optional<Measured> seats(EndNow now, EndKit kit) {
        if (kit.spring().isEmpty() || now.seats().isPresent() || now.spring().isEmpty()) {
            return Optional.empty();
        }
        EndModel model = EndModel.of(now, kit, EndPlan.USUAL_SETTLING);
        double length = now.spring().get().spring().free() - model.oldDeflection(model.at);
        return Optional.of(new Measured(now.withSeats(Told.measured(length, 1)), kit));
    }
}
