package abbex.app.prove;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.clearance.Cure;
import abbex.core.clearance.Motion;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Remedies;
import abbex.core.clearance.Remedy;
import abbex.core.clearance.Sweep;
import abbex.core.clearance.Verdict;
import abbex.core.clearance.WheelHouse;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What clears at a corner, as one page shows it; every text is safe for a page.
 *
 * @param places worst first, then those that nobody looked at
 * @param cures what may be done, the cheapest first
 * @param wanting true when something does not clear
 * @param tyre radius of the tyre in the drawing
 * @param rim radius of its rim
 */
public record ProvePage(List<Spot> places, List<Way> cures, boolean wanting, String tyre, String rim) {
    /** What may be done, in words, and that it was proven. */
    public record Way(String what, boolean structural, String proof) {}

    /** Nobody's wheel clears what nobody looked at: these are asked for at each corner. */
    private static final List<ProbePlace> ASKED = List.of(
            ProbePlace.FENDER_LIP,
            ProbePlace.LINER_FRONT,
            ProbePlace.LINER_REAR,
            ProbePlace.INNER_ARCH,
            ProbePlace.STRUT);

    /**
     * A place.
     *
     * @param mark clear, look, stop or open
     * @param pose where the least gap is
     * @param x where its mark stands in the drawing
     */
    public record Spot(
            String id,
            String name,
            String mark,
            String word,
            String gap,
            String needed,
            String pose,
            String taken,
            String x,
            String y) {}

    /** A probe and what became of it. */
    private record Judged(ProbeRow row, Verdict verdict) {}

    static ProvePage of(
            List<ProbeRow> probes,
            Fitment planned,
            double lowered,
            Motion.Straight motion,
            Reader reader,
            Words words) {
        WheelHouse house = WheelHouse.of(
                probes.stream().map(ProbeRow::probe).toList(),
                probes.stream().map(ProbeRow::measured).toList(),
                planned,
                lowered,
                motion);
        List<Verdict> verdicts = house.verdicts();
        List<Judged> judged = new ArrayList<>();
        for (int i = 0; i < probes.size(); i++) {
            judged.add(new Judged(probes.get(i), verdicts.get(i)));
        }
        judged.sort(Comparator.comparingDouble(
                j -> j.verdict().least().gap() - j.verdict().needed()));
        double radius = planned.tyre().overallDiameter().mm() / 2;
        Stream<Spot> looked = judged.stream().map(j -> spot(j, motion.range(), radius, reader, words));
        Stream<Spot> open = ASKED.stream()
                .filter(place -> probes.stream().noneMatch(p -> p.probe().place() == place))
                .map(place -> new Spot(
                        "", name(place, words), "open", words.say("verdict.NOT_LOOKED_AT"), "", "", "", "", "", ""));
        boolean wanting = verdicts.stream().anyMatch(v -> v.word() != Verdict.Word.CLEAR);
        return new ProvePage(
                Stream.concat(looked, open).toList(),
                Remedies.find(house).stream()
                        .map(cure -> way(cure, reader, words))
                        .toList(),
                wanting,
                number(radius),
                number(planned.wheel().rimCode().doubleValue() * 12.7));
    }

    private static Way way(Cure cure, Reader reader, Words words) {
        Verdict tightest = cure.proof().get(0);
        return new Way(
                Words.capital(cure.doses().stream()
                        .map(dose -> dose(dose, words))
                        .collect(Collectors.joining(", " + words.say("and") + " "))),
                cure.doses().stream().anyMatch(d -> d.remedy().structural()),
                Numerals.html(words.say(
                        "remedy.proof",
                        reader,
                        words.say("probe." + tightest.place()),
                        Length.ofRoundedMm(tightest.least().gap()))));
    }

    private static String dose(Cure.Dose dose, Words words) {
        String amount = dose.remedy() == Remedy.CAMBER
                ? String.format(Locale.ROOT, "%.1f°", dose.amount() / 10.0)
                : dose.amount() + " mm";
        return words.say("remedy." + dose.remedy()) + " " + amount;
    }

    private static String name(ProbePlace place, Words words) {
        return Words.capital(words.say("probe." + place));
    }

    private static Spot spot(Judged judged, Motion.Range range, double radius, Reader reader, Words words) {
        Verdict verdict = judged.verdict();
        ProbeRow row = judged.row();
        String mark = switch (verdict.word()) {
            case CLEAR -> "clear";
            case CLOSE -> "look";
            case TOUCHES -> "stop";
            case NOT_LOOKED_AT -> "open";
        };
        String word =
                words.say("verdict." + verdict.word()) + (verdict.mayTouch() ? ", " + words.say("verdict.may") : "");
        double angle = Math.toRadians(30 * row.probe().clock());
        double out = radius + 46;
        return new Spot(
                row.id().toString(),
                name(row.probe().place(), words) + ", " + hours(row.probe().clock()),
                mark,
                word,
                length(verdict.least().gap(), reader),
                length(verdict.needed(), reader),
                row.probe().place().carrier() == ProbePlace.Carrier.KNUCKLE
                        ? words.say("pose.always")
                        : Words.capital(pose(verdict.least(), range, words)),
                Numerals.html(row.raw()) + " " + words.say("face." + row.probe().face()) + " (" + row.by() + ")",
                number(out * Math.sin(angle)),
                number(-out * Math.cos(angle)));
    }

    private static String hours(double clock) {
        return java.math.BigDecimal.valueOf(clock).stripTrailingZeros().toPlainString() + " o’clock";
    }

    private static String length(double mm, Reader reader) {
        return Numerals.html(Numerals.text(Length.ofRoundedMm(mm), reader));
    }

    /** Such as "at full right lock with 31 mm of bump". */
    private static String pose(Sweep.Least least, Motion.Range range, Words words) {
        List<String> parts = new ArrayList<>();
        if (Math.abs(least.steer()) > 0.02) {
            boolean full = Math.abs(least.steer()) > 0.95 * range.steer();
            parts.add(words.say((full ? "pose.full." : "pose.part.") + (least.steer() > 0 ? "right" : "left"))
                    + (full ? "" : " " + Math.round(Math.toDegrees(Math.abs(least.steer()))) + "°"));
        }
        if (Math.abs(least.bump()) > 1) {
            parts.add(words.say(least.bump() > 0 ? "pose.bump" : "pose.droop") + " "
                    + Math.round(Math.abs(least.bump())) + " mm");
        }
        if (Math.abs(least.roll()) > 0.01) {
            parts.add(words.say(least.roll() > 0 ? "pose.lean.out" : "pose.lean.in"));
        }
        return parts.isEmpty() ? words.say("pose.ride") : String.join(", ", parts);
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
