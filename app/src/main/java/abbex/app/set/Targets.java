package abbex.app.set;

import abbex.app.arrive.StayValues;
import abbex.app.kit.KitPlans;
import abbex.core.heights.Method;
import abbex.core.heights.Stage;
import abbex.core.kit.EndPlan;
import abbex.core.setting.Aim;
import abbex.core.setting.Panel;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What heights are wanted of a vehicle as it stands: in the way that it is set by, whatever way they were told in.
 *
 * @param at the vehicle to be set
 * @param stage of the sheet that it is set by
 */
record Targets(SetCase at, StayValues.Told told, Stage stage, KitPlans.Planned plan) {
    SetForm.Policy policy() {
        return SetForm.policy(told);
    }

    /** What somebody told of a corner, in the way that it was told in. */
    private Optional<Length> entered(Corner corner) {
        String raw = SetForm.text(told, "wanted", corner);
        return raw.isEmpty() ? Optional.empty() : Optional.of(SetForm.mm(raw));
    }

    /** The way that targets were told in, where it is another than the vehicle is set by. */
    Optional<Method> otherWay() {
        return SetForm.by(told).way().filter(way -> way != at.method());
    }

    /** It was not read at all four corners since something was turned. */
    boolean otherWayMissing() {
        return otherWay().filter(way -> at.reads(way).isEmpty()).isPresent();
    }

    /**
     * Where a corner is to be, mm: frame, gap and lip move alike with the body over the wheel, and what they do not the next try
     * takes up.
     */
    private OptionalDouble wanted(Corner corner) {
        Optional<Length> entered = entered(corner);
        if (entered.isEmpty() || otherWayMissing()) {
            return OptionalDouble.empty();
        }
        int c = corner.ordinal();
        double apart = otherWay()
                .flatMap(at::reads)
                .map(reads -> at.now()[c] - reads[c])
                .orElse(0.0);
        return OptionalDouble.of(entered.get().mm() + apart);
    }

    /** The rear's target as it follows the front's, mm; empty where what it follows was not measured. */
    OptionalDouble follows() {
        OptionalDouble left = wanted(End.FRONT.left());
        OptionalDouble right = wanted(End.FRONT.right());
        if (left.isEmpty() || right.isEmpty()) {
            return OptionalDouble.empty();
        }
        double front = (left.getAsDouble() + right.getAsDouble()) / 2;
        return switch (policy()) {
            case GIVEN -> OptionalDouble.empty();
            case RAKE ->
                at.arrived()
                        .map(was -> OptionalDouble.of(Aim.rearKeepingRake(was, front)))
                        .orElse(OptionalDouble.empty());
            case GAPS -> alike(Method.TG, front);
            case LEVEL -> alike(Method.FG, front);
        };
    }

    /** Where the rear comes to if a way to measure is to read behind as in front. */
    private OptionalDouble alike(Method way, double front) {
        return at.reads(way)
                .map(reads -> OptionalDouble.of(Aim.rearReadingAlike(at.now(), reads, front)))
                .orElse(OptionalDouble.empty());
    }

    /** What springs that are new go on settling by, mm, where heights are wanted of it then; nothing once it has settled. */
    double settles(End end) {
        if (!SetForm.settled(told) || stage == Stage.SETTLED) {
            return 0;
        }
        return plan.plan().ends().get(end).map(EndPlan::settling).orElse(0.0);
    }

    /** Where each corner is to stand now, mm; where nothing is said the heights stay as they are. */
    double[] now() {
        double[] wanted = new double[Corner.WALK.size()];
        double[] now = at.now();
        OptionalDouble rear = follows();
        Arrays.setAll(wanted, c -> {
            Corner corner = Corner.WALK.get(c);
            OptionalDouble here = corner.end() == End.REAR && rear.isPresent() ? rear : wanted(corner);
            return here.isEmpty() ? now[c] : here.getAsDouble() + settles(corner.end());
        });
        return wanted;
    }

    /** Lips that stand apart further than the frame under them does, each read over the ground since the last turn. */
    Optional<Panel> panel() {
        return at.reads(Method.GF)
                .flatMap(lips -> at.reads(Method.FG)
                        .flatMap(frame ->
                                Panel.find(lips, frame, Math.max(at.standard(Method.GF), at.standard(Method.FG)))));
    }
}
