package abbex.app.api;

import abbex.core.clearance.ClearanceModel;
import abbex.core.clearance.Cure;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.LocatedGap;
import abbex.core.clearance.Needed;
import abbex.core.clearance.ProbeCheck;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Remedies;
import abbex.core.clearance.Remedy;
import abbex.core.clearance.TyreBody;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.clearance.Verdict;
import abbex.core.motion.Gain;
import abbex.core.motion.Known;
import abbex.core.motion.Motion;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** What clears at a corner, and what would make it clear, as the published interface answers it. */
final class ClearanceAnswer {
    private static final List<String> FIELDS =
            List.of("measured", "planned", "lowerMm", "range", "probes", "wornTreadMm", "wornSidewallMm", "neededMm");
    private static final List<String> RANGE = List.of(
            "bumpMm",
            "droopMm",
            "steerDeg",
            "leftLockDeg",
            "rightLockDeg",
            "rollDeg",
            "camberDeg",
            "camberDegPerMm",
            "steerDegPerMm",
            "steerAxisMm",
            "bumpStandardMm",
            "lockStandardDeg",
            "steerAxisStandardMm",
            "architecture",
            "camberStandardDegPerMm",
            "steerStandardDegPerMm",
            "outboardStandardMmPerMm",
            "aheadStandardMmPerMm");
    private static final List<String> PLACES =
            Stream.of(ProbePlace.values()).map(ProbePlace::name).toList();
    private static final List<String> PROBE =
            List.of("place", "clock", "face", "gapMm", "clockStandardHours", "acrossMm");
    private static final JsonNode EMPTY = JsonNodeFactory.instance.objectNode();
    private static final int MOST = 40;

    private ClearanceAnswer() {}

    static Map<String, Object> of(JsonNode json, TyreAnswer.Refusals refusals) {
        Fields fields = new Fields("", json, FIELDS);
        Fitment planned = WheelChangeAnswer.fitment(fields, "planned", refusals);
        Fitment measured = fields.has("measured") ? WheelChangeAnswer.fitment(fields, "measured", refusals) : planned;
        List<GapReading> probes = fields.list("probes", PROBE, MOST).stream()
                .map(ClearanceAnswer::probe)
                .toList();
        if (probes.isEmpty()) {
            throw ApiProblem.of(422, "api.no-probe");
        }
        List<LocatedGap> probed =
                probes.stream().map(p -> LocatedGap.byHand(p, measured)).toList();
        ClearanceModel house = ClearanceModel.of(
                        probed,
                        planned,
                        new Worn(number(fields, "wornTreadMm", 0, 100, 0), number(fields, "wornSidewallMm", 0, 100, 0)),
                        number(fields, "lowerMm", 0, 250, 0),
                        motion(fields))
                .needing(needed(fields));
        Map<String, Object> answer = new LinkedHashMap<>();
        List<Map<String, Object>> places = new ArrayList<>();
        List<Verdict> verdicts = house.verdicts();
        for (int i = 0; i < probes.size(); i++) {
            places.add(place(verdicts.get(i), probes.get(i).clock()));
        }
        answer.put("places", places);
        answer.put(
                "contradictions",
                ProbeCheck.of(probed).stream()
                        .map(ClearanceAnswer::contradiction)
                        .toList());
        answer.put(
                "remedies",
                Remedies.find(house).stream()
                        .map(cure -> cure(cure, house.planned().tyre()))
                        .toList());
        return answer;
    }

    private static GapReading probe(Fields probe) {
        double clock =
                WheelChangeAnswer.needed(probe, "clock", 0.01, 12, "10.5").doubleValue();
        BigDecimal gap = WheelChangeAnswer.needed(probe, "gapMm", 0, 600, "18");
        return new GapReading(
                choice(probe, "place", ProbePlace.values()),
                clock,
                choice(probe, "face", TyreBody.Face.values()),
                WheelChangeAnswer.length(gap),
                Length.ZERO,
                new GapReading.Spot(
                        number(probe, "clockStandardHours", 0, 3, GapReading.Spot.EYE),
                        probe.number("acrossMm", 0, 600).map(WheelChangeAnswer::length)));
    }

    private static <E extends Enum<E>> E choice(Fields of, String name, E[] all) {
        String text = of.text(name).orElse("");
        return Stream.of(all)
                .filter(e -> e.name().equals(text))
                .findFirst()
                .orElseThrow(() -> ApiProblem.field(of.at(name), text, "api.field.choice", all[0].name()));
    }

    private static Needed needed(Fields fields) {
        Map<ProbePlace, Double> set = new EnumMap<>(ProbePlace.class);
        fields.object("neededMm", PLACES).ifPresent(named -> {
            for (ProbePlace place : ProbePlace.values()) {
                named.number(place.name(), 0, 100).ifPresent(mm -> set.put(place, mm.doubleValue()));
            }
        });
        return new Needed(set);
    }

    private static Map<String, Object> contradiction(ProbeCheck.Contradiction two) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("first", two.first());
        one.put("second", two.second());
        one.put("why", two.why().name().toLowerCase(Locale.ROOT));
        one.put("byMm", TyreAnswer.round(two.by(), 1));
        return one;
    }

    /** What is not said is as usual; both locks are the inner wheel's, for nobody said which side this is. */
    private static Motion motion(Fields fields) {
        Range usual = Range.usual(Corner.RF);
        Fields range = fields.object("range", RANGE).orElseGet(() -> new Fields("range", EMPTY, RANGE));
        Architecture architecture = architecture(range);
        Gain usually = Gain.usual(architecture);
        double both = radians(range, "steerDeg", 0, 60, usual.right());
        return new StraightMotion(
                new Range(
                        number(range, "droopMm", 0, 300, usual.droop()),
                        number(range, "bumpMm", 0, 300, usual.bump()),
                        radians(range, "leftLockDeg", 0, 60, both),
                        radians(range, "rightLockDeg", 0, 60, both),
                        radians(range, "rollDeg", 0, 15, usual.roll())),
                radians(range, "camberDeg", -8, 8, 0),
                new Gain(
                        radians(range, "camberDegPerMm", -0.2, 0.2, usually.camber()),
                        radians(range, "steerDegPerMm", -0.1, 0.1, 0),
                        0,
                        0),
                number(range, "steerAxisMm", -100, 300, StraightMotion.USUAL_AXIS),
                known(range).withGain(width(range, architecture)));
    }

    private static Architecture architecture(Fields range) {
        return range.has("architecture") ? choice(range, "architecture", Architecture.values()) : Architecture.OTHER;
    }

    /** How far what comes with bump may lie off: as vehicles of the architecture differ, unless it is said. */
    private static Gain width(Fields range, Architecture architecture) {
        Gain usual = Gain.width(architecture).measured(range.has("camberDegPerMm"), range.has("steerDegPerMm"));
        return new Gain(
                radians(range, "camberStandardDegPerMm", 0, 0.2, usual.camber()),
                radians(range, "steerStandardDegPerMm", 0, 0.1, usual.steer()),
                number(range, "outboardStandardMmPerMm", 0, 1, usual.outboard()),
                number(range, "aheadStandardMmPerMm", 0, 1, usual.ahead()));
    }

    /** What is not said was not measured; a width that is said counts instead of the usual one. */
    private static Known known(Fields range) {
        boolean bump = range.has("bumpMm");
        boolean locks = range.has("steerDeg") || range.has("leftLockDeg") && range.has("rightLockDeg");
        Known usual = Known.of(bump, locks, range.has("steerAxisMm"));
        return new Known(
                bump,
                bump ? number(range, "bumpStandardMm", 0, 100, usual.bump()) : 0,
                radians(range, "lockStandardDeg", 0, 20, usual.lock()),
                number(range, "steerAxisStandardMm", 0, 100, usual.axis()),
                usual.gain());
    }

    private static double radians(Fields of, String name, double least, double most, double usual) {
        return of.number(name, least, most)
                .map(degrees -> Math.toRadians(degrees.doubleValue()))
                .orElse(usual);
    }

    private static double number(Fields of, String name, double least, double most, double usual) {
        return of.number(name, least, most).map(BigDecimal::doubleValue).orElse(usual);
    }

    private static Map<String, Object> place(Verdict verdict, double clock) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("place", verdict.place().name());
        one.put("clock", BigDecimal.valueOf(clock));
        one.put("verdict", verdict.word().name().toLowerCase(Locale.ROOT));
        one.put("mayTouch", verdict.mayTouch());
        one.put("leastGapMm", TyreAnswer.round(verdict.least().gap(), 1));
        one.put("standardUncertaintyMm", TyreAnswer.round(verdict.standard(), 2));
        Map<String, Object> parts = new LinkedHashMap<>();
        verdict.doubt()
                .parts()
                .forEach((of, mm) -> parts.put(of.name().toLowerCase(Locale.ROOT), TyreAnswer.round(mm, 2)));
        one.put("standardUncertaintyPartsMm", parts);
        verdict.toMeasure().ifPresent(of -> one.put("measureNext", of.name().toLowerCase(Locale.ROOT)));
        one.put("neededMm", TyreAnswer.round(verdict.needed(), 3));
        one.put("bumpMm", TyreAnswer.round(verdict.least().at().bump(), 0));
        one.put("steerDeg", TyreAnswer.round(Math.toDegrees(verdict.least().at().steer()), 0));
        one.put("rollDeg", TyreAnswer.round(Math.toDegrees(verdict.least().at().roll()), 0));
        return one;
    }

    private static Map<String, Object> cure(Cure cure, TyreSize planned) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put(
                "do",
                cure.doses().stream().map(dose -> dose(dose, cure, planned)).toList());
        one.put("structural", cure.doses().stream().anyMatch(d -> d.remedy().structural()));
        one.put("tightestGapMm", TyreAnswer.round(cure.proof().get(0).least().gap(), 1));
        if (!cure.unmeasured().isEmpty()) {
            one.put("notMeasured", cure.unmeasured().stream().map(Enum::name).toList());
        }
        return one;
    }

    private static Map<String, Object> dose(Cure.Dose dose, Cure cure, TyreSize planned) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("remedy", dose.remedy().name());
        if (dose.remedy().otherTyre() && cure.tyre().isPresent()) {
            TyreSize tyre = cure.tyre().get();
            boolean aspect = dose.remedy() == Remedy.LOWER_ASPECT;
            one.put(
                    aspect ? "aspect" : "mm",
                    aspect
                            ? planned.aspect().subtract(tyre.aspect())
                            : planned.width().subtract(tyre.width()));
            one.put("tyre", tyre.text());
            return one;
        }
        boolean degrees = dose.remedy() == Remedy.CAMBER;
        one.put(
                degrees ? "degrees" : "mm",
                degrees ? TyreAnswer.round(dose.amount() / 10.0, 1) : BigDecimal.valueOf(dose.amount()));
        return one;
    }
}
