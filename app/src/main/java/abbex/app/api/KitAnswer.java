package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Finding;
import abbex.core.heights.Advertised;
import abbex.core.kit.DamperFacts;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.EndPlan;
import abbex.core.kit.Interval;
import abbex.core.kit.KitPlan;
import abbex.core.kit.Measured;
import abbex.core.kit.Narrowing;
import abbex.core.kit.OwnFits;
import abbex.core.kit.Part;
import abbex.core.kit.SpringFacts;
import abbex.core.kit.StopFacts;
import abbex.core.kit.Told;
import abbex.core.kit.Travel;
import abbex.core.kit.Typical;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** What a kit does to an end, as the published interface answers it. */
final class KitAnswer {
    private static final List<String> FIELDS = List.of("kind", "end", "architecture", "now", "kit");
    private static final List<String> NOW = List.of(
            "sprungLoadN",
            "motionRatio",
            "damperRatio",
            "spring",
            "seatsMm",
            "gasN",
            "damperLongMm",
            "damperShortMm",
            "rodMm",
            "stopMm",
            "stopRings");
    private static final List<String> KIT = List.of(
            "boxMm",
            "boxToMm",
            "boxWithDampers",
            "boxOfWholeKit",
            "spring",
            "gasN",
            "damperLongMm",
            "damperShortMm",
            "stopMm",
            "stopRings",
            "perchDownMm",
            "spindleMm",
            "blockMm");
    private static final List<String> SPRING = List.of("rateNPerMm", "freeMm", "solidMm", "measured");

    private KitAnswer() {}

    static Map<String, Object> of(JsonNode json, Words words, Reader reader) {
        Fields fields = new Fields("", json, FIELDS);
        VehicleKind kind = choice(fields, "kind", VehicleKind.values(), VehicleKind.USUAL);
        End end = choice(fields, "end", End.values(), End.FRONT);
        Architecture architecture = choice(fields, "architecture", Architecture.values(), Architecture.OTHER);
        EndNow now = fields.object("now", NOW)
                .map(of -> now(of, kind, end, architecture))
                .orElseThrow(() -> ApiProblem.field("now", "", "api.field.object", "{…}"));
        EndKit kit = fields.object("kit", KIT)
                .map(KitAnswer::kit)
                .orElseThrow(() -> ApiProblem.field("kit", "", "api.field.object", "{…}"));
        KitPlan plan = KitPlan.predict(
                PerEnd.of(e -> now),
                PerEnd.of(e -> e == end ? kit : EndKit.NOTHING),
                PerEnd.of(e -> EndPlan.USUAL_SETTLING));
        Map<String, Object> answer = new LinkedHashMap<>();
        plan.ends().get(end).ifPresent(p -> plan(answer, p));
        plan.travel().get(end).ifPresent(t -> travel(answer, t));
        Narrowing.best(now, kit, EndPlan.USUAL_SETTLING).ifPresent(gain -> {
            Map<String, Object> narrowest = new LinkedHashMap<>();
            narrowest.put("measuring", gain.of().name().toLowerCase(Locale.ROOT));
            narrowest.put("halfMm", mm(gain.half()));
            answer.put("narrowest", narrowest);
        });
        answer.put("findings", FindingsAnswer.of(List.<Finding>copyOf(plan.findings()), words, reader));
        return answer;
    }

    private static void plan(Map<String, Object> answer, EndPlan plan) {
        answer.put("setDown", interval(plan.setDown()));
        answer.put("settled", interval(plan.settled()));
        answer.put("onStop", plan.onStop());
        answer.put("bySprings", plan.bySprings());
        List<Map<String, Object>> lines = new ArrayList<>();
        for (EndPlan.Line line : plan.lines()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("part", line.row().name().toLowerCase(Locale.ROOT));
            one.put("dropMm", mm(line.drop()));
            one.put("standardMm", mm(line.standard()));
            one.put("source", line.reason().formula().source());
            lines.add(one);
        }
        answer.put("lines", lines);
    }

    private static void travel(Map<String, Object> answer, Travel travel) {
        Map<String, Object> all = new LinkedHashMap<>();
        both(all, "toStopMm", travel.toStop());
        both(all, "toMetalMm", travel.toMetal());
        both(all, "droopMm", travel.droop());
        travel.slack().ifPresent(slack -> all.put("slackAtDroopMm", interval(slack)));
        travel.ride().was().ifPresent(ride -> all.put("hertzBefore", TyreAnswer.round(ride.hertz(), 3)));
        travel.ride().is().ifPresent(ride -> all.put("hertzAfter", TyreAnswer.round(ride.hertz(), 3)));
        answer.put("travel", all);
    }

    private static void both(Map<String, Object> all, String name, Travel.Both both) {
        Map<String, Object> of = new LinkedHashMap<>();
        put(of, "before", both.was());
        put(of, "after", both.is());
        if (!of.isEmpty()) {
            all.put(name, of);
        }
    }

    private static void put(Map<String, Object> of, String name, OptionalDouble value) {
        value.ifPresent(v -> of.put(name, mm(v)));
    }

    private static BigDecimal mm(double mm) {
        return TyreAnswer.round(mm, 3);
    }

    private static Map<String, Object> interval(Interval interval) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("valueMm", mm(interval.value()));
        one.put("lowMm", mm(interval.low()));
        one.put("highMm", mm(interval.high()));
        return one;
    }

    private static EndNow now(Fields of, VehicleKind kind, End end, Architecture architecture) {
        Told load = told(of, "sprungLoadN", 200, 20_000, Measured::load).orElseGet(() -> Typical.load(kind, end));
        return new EndNow(
                        load,
                        told(of, "motionRatio", EndNow.LEAST_RATIO, EndNow.MOST_RATIO, Measured::ratio)
                                .orElseGet(() -> Typical.ratio(architecture)),
                        told(of, "damperRatio", EndNow.LEAST_RATIO, EndNow.MOST_RATIO, Measured::ratio)
                                .orElseGet(() -> Typical.rodRatio(architecture)),
                        Typical.wheelRate(load),
                        spring(of),
                        told(of, "seatsMm", 20, 800, Measured::taped),
                        new DamperFacts(
                                told(of, "gasN", 0, 2000, Measured::gas).orElse(Typical.TWIN_TUBE),
                                told(of, "damperLongMm", 100, 1200, Measured::damper),
                                told(of, "damperShortMm", 50, 1000, Measured::damper)),
                        told(of, "rodMm", 0, 400, Measured::taped),
                        stop(of))
                .withSlope(Typical.ratioSlope(architecture));
    }

    private static EndKit kit(Fields of) {
        Optional<Told> gas = told(of, "gasN", 0, 2000, Measured::gas);
        Optional<Told> longest = told(of, "damperLongMm", 100, 1200, Measured::damper);
        Optional<Told> shortest = told(of, "damperShortMm", 50, 1000, Measured::damper);
        boolean damper = gas.isPresent() || longest.isPresent() || shortest.isPresent();
        return new EndKit(
                box(of),
                of.bool("boxWithDampers").orElse(false),
                spring(of),
                damper
                        ? Optional.of(new DamperFacts(gas.orElse(Typical.SINGLE_TUBE), longest, shortest))
                        : Optional.empty(),
                stop(of),
                parts(of),
                OwnFits.NONE,
                of.bool("boxOfWholeKit").orElse(false) ? EndKit.BoxOf.SPRINGS_AND_PARTS : EndKit.BoxOf.SPRINGS);
    }

    private static Optional<Advertised.Range> box(Fields of) {
        if (!of.has("boxMm")) {
            return Optional.empty();
        }
        Length one = Length.ofRoundedMm(needed(of, "boxMm", -150, 300, "30"));
        Length other = Length.ofRoundedMm(number(of, "boxToMm", -150, 300, one.mm()));
        return Optional.of(
                one.compareTo(other) <= 0 ? new Advertised.Range(one, other) : new Advertised.Range(other, one));
    }

    private static List<Part> parts(Fields of) {
        List<Part> parts = new ArrayList<>();
        length(of, "perchDownMm").ifPresent(down -> parts.add(new Part.Perch(down)));
        length(of, "spindleMm").ifPresent(down -> parts.add(new Part.AtWheel(down, Part.AtWheel.Kind.SPINDLE)));
        length(of, "blockMm").ifPresent(down -> parts.add(new Part.AtWheel(down, Part.AtWheel.Kind.BLOCK)));
        return parts;
    }

    private static Optional<Length> length(Fields of, String name) {
        return of.number(name, -300, 300).map(mm -> Length.ofRoundedMm(mm.doubleValue()));
    }

    private static Optional<Told> told(Fields of, String name, double least, double most, Function<Double, Told> as) {
        return of.number(name, least, most).map(BigDecimal::doubleValue).map(as);
    }

    private static Optional<SpringFacts> spring(Fields of) {
        return of.object("spring", SPRING).map(spring -> {
            double rate = needed(spring, "rateNPerMm", 1, 1000, "28");
            double free = needed(spring, "freeMm", 50, 900, "340");
            Optional<Double> solid = spring.number("solidMm", 10, 600).map(BigDecimal::doubleValue);
            if (solid.isPresent() && solid.get() >= free) {
                throw ApiProblem.of(
                        422, "api.solid", "field", spring.at("solidMm"), "solid", solid.get(), "free", free);
            }
            return Measured.spring(rate, free, solid, spring.bool("measured").orElse(false));
        });
    }

    private static Optional<StopFacts> stop(Fields of) {
        return of.number("stopMm", 1, 250)
                .map(height ->
                        StopFacts.foam(height.doubleValue(), (int) Math.round(number(of, "stopRings", 1, 12, 1))));
    }

    static double needed(Fields of, String name, double least, double most, String like) {
        return WheelChangeAnswer.needed(of, name, least, most, like).doubleValue();
    }

    static double number(Fields of, String name, double least, double most, double usual) {
        return of.number(name, least, most).map(BigDecimal::doubleValue).orElse(usual);
    }

    static <E extends Enum<E>> E choice(Fields of, String name, E[] all, E usual) {
        Optional<String> text = of.text(name);
        return text.isEmpty()
                ? usual
                : Stream.of(all)
                        .filter(one -> one.name().equalsIgnoreCase(text.get()))
                        .findFirst()
                        .orElseThrow(() -> ApiProblem.field(
                                of.at(name),
                                text.get(),
                                "api.field.choice",
                                usual.name().toLowerCase(Locale.ROOT)));
    }
}
