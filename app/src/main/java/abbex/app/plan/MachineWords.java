package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.drawing.BehindDrawing;
import abbex.app.drawing.FrameDrawing;
import abbex.app.drawing.LinkageDrawing;
import abbex.app.kit.KitPlans;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.kit.Flipped;
import abbex.core.kit.Interval;
import abbex.core.kit.KitFinding;
import abbex.core.kit.Linked;
import abbex.core.kit.MachinePlan;
import abbex.core.kit.Part;
import abbex.core.kit.Shackled;
import abbex.core.kit.TruckPlan;
import abbex.core.truck.Driveline;
import abbex.core.truck.Shackle;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Words and drawings for what a drop turns of a truck or a motorcycle. */
@Component
class MachineWords {
    /** Of tyres that nobody measured, mm. */
    private static final double TYRE = 315;

    private static final double TRUCK_TYRE = 390;

    private final Words words;

    MachineWords(Words words) {
        this.words = words;
    }

    /** Null where there is nothing to show. */
    @Nullable
    MachineView of(Job job, KitPlans.Planned planned, Reader reader) {
        List<MachineView.Fact> facts = new ArrayList<>();
        planned.plan().machine().ifPresent(plan -> machine(plan, facts, reader));
        planned.plan().truck().ifPresent(plan -> truck(plan, facts, reader));
        FrameDrawing frame = frame(job, planned).orElse(null);
        LinkageDrawing linkage = linkage(job, planned).orElse(null);
        BehindDrawing behind = planned.plan()
                .machine()
                .filter(plan -> plan.stand().isPresent() || !plan.touches().isEmpty())
                .map(BehindDrawing::of)
                .orElse(null);
        return facts.isEmpty() && frame == null && linkage == null && behind == null
                ? null
                : new MachineView(frame, linkage, behind, facts);
    }

    private static double radius(Job job, double usual) {
        return job.vehicle()
                .vehicle()
                .tyre(End.REAR)
                .map(tyre -> tyre.freeRadius().mm())
                .orElse(usual);
    }

    private static <P extends Part> Stream<P> parts(KitPlans.Planned planned, Class<P> kind) {
        return planned.kit().rear().parts().stream().filter(kind::isInstance).map(kind::cast);
    }

    private static Optional<LinkageDrawing> linkage(Job job, KitPlans.Planned planned) {
        return parts(planned, Linked.class)
                .filter(Linked::stands)
                .findFirst()
                .map(part -> LinkageDrawing.of(part.was(), part.is(), part.move(), radius(job, TYRE)));
    }

    private static Optional<FrameDrawing> frame(Job job, KitPlans.Planned planned) {
        Optional<Shackled> shackled =
                parts(planned, Shackled.class).filter(s -> s.is().isPresent()).findFirst();
        Optional<Flipped> flipped = parts(planned, Flipped.class).findFirst();
        Optional<TruckPlan.Line> line = planned.plan().truck().flatMap(TruckPlan::driveline);
        if (shackled.isEmpty() && flipped.isEmpty() && line.isEmpty()) {
            return Optional.empty();
        }
        double radius = radius(job, TRUCK_TYRE);
        double fixed = shackled.map(Shackled::fixed).orElse(650.0);
        double apart = flipped.map(f -> f.move() / 2).orElse(45.0);
        double turned = shackled.map(Shackled::move).orElse(0.0)
                + flipped.map(Flipped::move).orElse(0.0);
        double straight =
                planned.plan().ends().rear().map(p -> p.setDown().value()).orElse(0.0) - turned;
        return Optional.of(FrameDrawing.of(List.of(
                new FrameDrawing.Of(
                        "was",
                        shackled.map(Shackled::was).orElse(null),
                        fixed,
                        apart,
                        true,
                        0,
                        radius,
                        line.map(l -> slopes(l.was())).orElse(List.of()),
                        line.map(TruckPlan.Line::length).orElse(0.0)),
                new FrameDrawing.Of(
                        "planned",
                        shackled.<Shackle>flatMap(Shackled::is).orElse(null),
                        fixed,
                        apart,
                        flipped.isEmpty(),
                        straight,
                        radius,
                        line.map(l -> slopes(l.is())).orElse(List.of()),
                        line.map(TruckPlan.Line::length).orElse(0.0)))));
    }

    private static List<Double> slopes(Driveline line) {
        List<Double> slopes = new ArrayList<>();
        slopes.add(line.engine().down());
        slopes.add(line.front().down());
        line.rear().ifPresent(rear -> slopes.add(rear.down()));
        slopes.add(line.pinion().down());
        return slopes;
    }

    private void machine(MachinePlan plan, List<MachineView.Fact> facts, Reader reader) {
        plan.steered().ifPresent(is -> {
            facts.add(degrees("head", is.was().headAngle(), is.headAngle(), "FRONT_STEER_OFFSET"));
            facts.add(length("trail", is.trailWas().value(), is.trail(), "FRONT_STEER_RADIUS", reader));
        });
        plan.stand().ifPresent(is -> {
            facts.add(degrees("lean", is.before().value(), is.lean(), "REAR_STAND_LENGTH"));
            facts.add(fact("cut", "", length(is.cut(), reader), half(is.cut(), reader), "REAR_STAND_LENGTH"));
        });
        for (MachinePlan.Touched touch : plan.touches()) {
            boolean left = touch.side() == KitFinding.Side.LEFT;
            facts.add(degrees(
                    left ? "touchleft" : "touchright",
                    touch.before().value(),
                    touch.lean(),
                    left ? "REAR_LEFT_HIGH" : "REAR_RIGHT_HIGH"));
        }
    }

    private void truck(TruckPlan plan, List<MachineView.Fact> facts, Reader reader) {
        plan.driveline()
                .ifPresentOrElse(
                        line -> {
                            facts.add(
                                    degrees("pinion", line.was().pinion().down(), line.pinion(), "REAR_PINION_SLOPE"));
                            facts.add(fact("joints", joints(line.was()), joints(line.is()), "", "REAR_SHAFT_SLOPE"));
                            facts.add(degrees("uneven", line.unevenWas().value(), line.uneven(), "REAR_ENGINE_SLOPE"));
                            facts.add(fact(
                                    "slip",
                                    "",
                                    length(line.slip(), reader),
                                    half(line.slip(), reader),
                                    "REAR_SHAFT_LENGTH"));
                        },
                        () -> {
                            if (plan.nose().value() != 0) {
                                facts.add(degrees("nose", 0, plan.nose(), "REAR_PINION_SLOPE"));
                            }
                        });
        plan.bags().ifPresent(bags -> {
            String least = words.word(new Pressure(bags.pressure().low()), reader);
            String most = words.word(new Pressure(bags.pressure().high()), reader);
            facts.add(fact(
                    "bags",
                    "",
                    words.word(new Pressure(bags.pressure().value()), reader),
                    least.equals(most) ? "" : least + " – " + most,
                    "REAR_BED_LOAD"));
            facts.add(
                    fact("without", "", length(bags.without(), reader), half(bags.without(), reader), "REAR_BAG_AREA"));
            bags.nose()
                    .ifPresent(nose ->
                            facts.add(fact("loaded", "", plain(nose.value()), halfDegrees(nose), "REAR_LEAF_FIXED")));
            bags.back()
                    .ifPresent(back -> facts.add(
                            fact("back", "", length(back, reader), half(back, reader), "REAR_LEAF_SHACKLED")));
        });
    }

    private static String joints(Driveline line) {
        return line.joints().stream()
                .map(MachineWords::plain)
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }

    private static String plain(double degrees) {
        return String.format(Locale.ROOT, "%.1f°", degrees).replace('-', '−');
    }

    private static String halfDegrees(Interval is) {
        return String.format(Locale.ROOT, "± %.1f°", Math.max(0.1, is.half()));
    }

    private MachineView.Fact degrees(String key, double was, Interval is, String field) {
        return fact(key, plain(was), plain(is.value()), halfDegrees(is), field);
    }

    private MachineView.Fact length(String key, double was, Interval is, String field, Reader reader) {
        return fact(key, length(was, reader), length(is, reader), half(is, reader), field);
    }

    private MachineView.Fact fact(String key, String was, String is, String half, String field) {
        return new MachineView.Fact(
                words.say("machine." + key), Numerals.html(was), Numerals.html(is), Numerals.html(half), field);
    }

    private static String length(double mm, Reader reader) {
        return Numerals.text(Length.ofRoundedMm(mm), reader);
    }

    private static String length(Interval is, Reader reader) {
        return Numerals.value(Length.ofRoundedMm(is.value()), Length.ofRoundedMm(is.half()), reader);
    }

    private static String half(Interval interval, Reader reader) {
        return "± " + Numerals.width(Length.ofRoundedMm(interval.half()), reader);
    }
}
