package abbex.app.prove;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.clearance.ClearanceModel;
import abbex.core.clearance.Cure;
import abbex.core.clearance.Doubt;
import abbex.core.clearance.Eye;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.ProbeCheck;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Remedy;
import abbex.core.clearance.RoadTest;
import abbex.core.clearance.Sweep;
import abbex.core.clearance.Verdict;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What clears, in words; every text is safe for a page. */
@Component
class ClearanceWords {
    /** Nobody's wheel clears what nobody looked at: these are asked for at each corner. */
    static final List<ProbePlace> ASKED = List.of(
            ProbePlace.FENDER_LIP,
            ProbePlace.LINER_FRONT,
            ProbePlace.LINER_REAR,
            ProbePlace.INNER_ARCH,
            ProbePlace.STRUT);

    private final Words words;

    ClearanceWords(Words words) {
        this.words = words;
    }

    /** Every place with its verdict, then those that nobody looked at. */
    List<CornerPage.Spot> spots(CornerCase corner, List<CornerCase.Judged> judged, Reader reader) {
        return Stream.concat(
                        judged.stream().map(j -> spot(j, corner, reader)),
                        unlooked(corner).stream().map(this::open))
                .toList();
    }

    /** The hours of the places that nobody looked at. */
    List<Double> unseen(CornerCase corner) {
        return unlooked(corner).stream()
                .map(place -> place.usualClock(corner.corner()))
                .toList();
    }

    /** Of the parts that are asked for at each corner, those that were not measured at this one. */
    static List<ProbePlace> unlooked(CornerCase corner) {
        return ASKED.stream()
                .filter(place -> corner.known().stream()
                        .noneMatch(p -> p.probed().probe().place() == place))
                .toList();
    }

    /** Each with whether it is on the vehicle, and what is so once all of it is. */
    List<CornerPage.InPlan> inPlan(CornerCase corner, Reader reader) {
        String proof = corner.planning() ? proof(corner.done(), reader) : "";
        return corner.taken().stream()
                .map(t -> new CornerPage.InPlan(
                        t.id().toString(),
                        dose(
                                t.dose(),
                                Optional.of(ClearanceModel.fitment(
                                                corner.planned(),
                                                t.dose().remedy(),
                                                t.dose().steps())
                                        .tyre())),
                        t.fitted().isPresent(),
                        t.fitted()
                                .map(f -> words.say("remedy.fitted", reader, "by", f.by(), "day", reader.day(f.at())))
                                .orElseGet(() -> words.say("remedy.planned")),
                        t.fitted().isPresent() ? "" : proof))
                .toList();
    }

    private String proof(CornerCase done, Reader reader) {
        return done.judged().stream()
                .findFirst()
                .map(j -> Numerals.html(words.say(
                        "remedy.then",
                        reader,
                        "place",
                        words.say("probe." + j.verdict().place()),
                        "gap",
                        Length.ofRoundedMm(j.verdict().least().gap()))))
                .orElse("");
    }

    /** Gaps whose interval leaves it open, and from which reading on they clear. */
    List<CornerPage.Again> again(List<CornerCase.Judged> judged, Reader reader) {
        List<CornerPage.Again> again = new ArrayList<>();
        for (CornerCase.Judged j : judged) {
            j.verdict()
                    .straddles()
                    .ifPresent(more -> again.add(new CornerPage.Again(
                            j.known().mark() ? "" : j.known().id().toString(),
                            Numerals.html(words.say(
                                    "remedy.again",
                                    reader,
                                    "place",
                                    name(j.known().probed().probe()),
                                    "from",
                                    j.known().probed().probe().gap().plus(Length.ofRoundedMm(more)))))));
        }
        return again;
    }

    private CornerPage.Spot spot(CornerCase.Judged judged, CornerCase corner, Reader reader) {
        Verdict verdict = judged.verdict();
        CornerCase.Known known = judged.known();
        GapReading probe = known.probed().probe();
        Sweep.Least least = verdict.least();
        return new CornerPage.Spot(
                known.id().toString(),
                known.mark(),
                name(probe),
                mark(verdict.word()),
                word(verdict, corner, reader) + (verdict.mayTouch() ? ", " + words.say("verdict.may") : ""),
                Numerals.html(Numerals.known(
                        Length.ofRoundedMm(least.gap()), Length.ofRoundedMm(2 * verdict.standard()), reader)),
                length(verdict.needed(), reader),
                probe.place().carrier() == ProbePlace.Carrier.KNUCKLE
                        ? words.say("pose.always")
                        : Words.capital(pose(least.at(), corner, reader)),
                taken(known, probe, reader),
                String.format(
                        Locale.ROOT,
                        "%.0f %.1f %.1f",
                        least.at().bump(),
                        Math.toDegrees(least.at().steer()),
                        Math.toDegrees(least.at().roll())),
                how(verdict, reader),
                ask(known, verdict));
    }

    /** What the uncertainty is made of, the greatest first; what is less than a tenth of a millimetre is left out. */
    private String how(Verdict verdict, Reader reader) {
        return verdict.doubt().parts().entrySet().stream()
                .filter(part -> part.getValue() >= 0.05)
                .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
                .map(part -> words.say("part." + part.getKey()) + " " + length(2 * part.getValue(), reader))
                .collect(Collectors.joining(", "));
    }

    /** The verdict in a word, with what it holds for. */
    String word(Verdict verdict, CornerCase corner, Reader reader) {
        return Numerals.html(words.say(
                "verdict." + verdict.word(), reader, "bump", bump(corner.plan().bump())));
    }

    /** A travel to the whole millimetre. */
    private static Length bump(double mm) {
        return Length.ofRoundedMm(Math.rint(mm));
    }

    /** What to measure for a clear word; a witness mark is not taped again. */
    private CornerPage.Ask ask(CornerCase.Known known, Verdict verdict) {
        return verdict.toMeasure()
                .filter(of -> !known.mark() || of != Doubt.Of.HOUR && of != Doubt.Of.ACROSS)
                .map(of -> ask(of, known.id().toString()))
                .orElse(CornerPage.Ask.NOTHING);
    }

    private CornerPage.Ask ask(Doubt.Of of, String gap) {
        String text = words.say("ask." + of);
        return switch (of) {
            case READ, HOUR, ACROSS, SPOKES, PATH -> new CornerPage.Ask(text, gap, "");
            case AXIS -> new CornerPage.Ask(text, "", SweepField.AXIS.id());
            case CAMBER -> new CornerPage.Ask(text, "", SweepField.CAMBER_RATE.id());
            case LOCK -> new CornerPage.Ask(text, "", SweepField.INNER.id());
            case BUMP -> new CornerPage.Ask(text, "", SweepField.STOP.id());
        };
    }

    private String taken(CornerCase.Known known, GapReading probe, Reader reader) {
        String face = words.say("face." + probe.face());
        String by = " (" + known.by() + ")";
        if (known.mark() && known.read().isEmpty()) {
            return Numerals.html(words.say("taken.unread", reader, "face", face) + by);
        }
        if (known.mark()) {
            return Numerals.html(words.say("taken.mark", reader, "face", face) + by + ": ")
                    + cause(known.read().orElseThrow(), reader);
        }
        String taped = known.taped().isEmpty()
                ? ""
                : ", " + words.say("taken.taped", reader, "spot", Numerals.typed(known.taped()));
        String said = Numerals.html(
                words.say("taken.probe", reader, "read", Numerals.typed(known.raw()), "face", face) + taped + by);
        if (known.read().isPresent()) {
            return said + Numerals.html("; " + words.say("taken.marked", reader, "gap", probe.gap())) + ": "
                    + cause(known.read().get(), reader);
        }
        if (known.moved() && probe.gap().sign() == 0) {
            return said + Numerals.html("; " + words.say("taken.unread", reader, "face", face));
        }
        return known.moved()
                ? said + Numerals.html("; " + words.say("taken.unmarked", reader, "gap", probe.gap()))
                : said;
    }

    /** What made a mark, and how much air there would be without it. */
    String cause(RoadTest.Mark mark, Reader reader) {
        return Numerals.html(
                words.say("cause." + mark.cause(), reader, "left", Length.ofRoundedMm(Math.max(0, mark.without()))));
    }

    static String mark(Verdict.Word word) {
        return switch (word) {
            case CLEAR -> "clear";
            case CLOSE -> "look";
            case TOUCHES -> "stop";
            case CLEAR_IF, NOT_LOOKED_AT -> "open";
        };
    }

    private CornerPage.Spot open(ProbePlace place) {
        return new CornerPage.Spot(
                "",
                false,
                name(place),
                "open",
                words.say("verdict.NOT_LOOKED_AT"),
                "",
                "",
                "",
                "",
                "",
                "",
                CornerPage.Ask.NOTHING);
    }

    /** Such as "Fender lip, 12 o’clock". */
    String name(GapReading probe) {
        return name(probe.place()) + ", " + hours(probe.clock());
    }

    private String name(ProbePlace place) {
        return Words.capital(words.say("probe." + place));
    }

    static String hours(double clock) {
        return BigDecimal.valueOf(Math.rint(10 * clock) / 10)
                        .stripTrailingZeros()
                        .toPlainString() + " o’clock";
    }

    static String length(double mm, Reader reader) {
        return Numerals.html(Numerals.text(Length.ofRoundedMm(mm), reader));
    }

    /** Such as "at full right lock, bump 31 mm". */
    String pose(Pose pose, CornerCase corner, Reader reader) {
        Range range = corner.house().motion().range();
        List<String> parts = new ArrayList<>();
        if (Math.abs(pose.steer()) > 0.05) {
            boolean right = pose.steer() > 0;
            boolean full = Math.abs(pose.steer()) > 0.95 * (right ? range.right() : range.left());
            parts.add(words.say((full ? "pose.full." : "pose.part.") + (right ? "right" : "left"))
                    + (full ? "" : " " + Math.round(Math.toDegrees(Math.abs(pose.steer()))) + "°"));
        }
        if (Math.abs(pose.bump()) > 1) {
            parts.add(words.say(pose.bump() > 0 ? "pose.bump" : "pose.droop") + " "
                    + Numerals.text(bump(Math.abs(pose.bump())), reader)
                    + (pose.bump() > corner.plan().of(SweepField.STOP) + 1 ? words.say("pose.crushed") : ""));
        }
        if (Math.abs(pose.roll()) > 0.01) {
            parts.add(words.say(pose.roll() > 0 ? "pose.lean.out" : "pose.lean.in"));
        }
        return Numerals.html(parts.isEmpty() ? words.say("pose.ride") : String.join(", ", parts));
    }

    CornerPage.Way way(Cure cure, Reader reader) {
        Verdict tightest = cure.proof().get(0);
        return new CornerPage.Way(
                Words.capital(cure.doses().stream()
                        .map(dose -> dose(dose, cure.tyre()))
                        .collect(Collectors.joining(", " + words.say("and") + " "))),
                cure.doses().stream().anyMatch(d -> d.remedy().structural()),
                cure.doses().stream().anyMatch(d -> d.remedy().baresMetal()),
                Numerals.html(words.say(
                        "remedy.proof",
                        reader,
                        "place",
                        words.say("probe." + tightest.place()),
                        "gap",
                        Length.ofRoundedMm(tightest.least().gap()))),
                cure.unmeasured().isEmpty()
                        ? ""
                        : words.say(
                                "remedy.unmeasured",
                                reader,
                                "places",
                                words.list(
                                        cure.unmeasured().stream()
                                                .map(place -> words.say("probe." + place))
                                                .toList(),
                                        reader)),
                cure.doses().stream()
                        .map(d -> d.remedy().name() + ":" + d.steps())
                        .collect(Collectors.joining(",")));
    }

    /** Such as "less drop by 15 mm"; another tire by its size. */
    String dose(Cure.Dose dose, Optional<TyreSize> tyre) {
        Remedy remedy = dose.remedy();
        return remedy.otherTyre()
                ? words.say("remedy." + remedy)
                        + tyre.map(size -> " " + size.text()).orElse("")
                : words.say("remedy." + remedy) + " " + amount(dose) + words.say("fact.unit." + unit(dose));
    }

    /** How much of a remedy, in its unit; of another tire which it is. */
    static String amount(Cure.Dose dose, Fitment on) {
        return dose.remedy().otherTyre()
                ? ClearanceModel.fitment(on, dose.remedy(), dose.steps()).tyre().text()
                : amount(dose);
    }

    private static String amount(Cure.Dose dose) {
        return dose.remedy() == Remedy.CAMBER
                ? String.format(Locale.ROOT, "%.1f", dose.amount() / 10.0)
                : Integer.toString(dose.amount());
    }

    /** The code of the unit of a remedy's amount. */
    static String unit(Cure.Dose dose) {
        return switch (dose.remedy()) {
            case CAMBER -> "DEGREES";
            case NARROWER, LOWER_ASPECT -> "SIZE";
            default -> "MM";
        };
    }

    /** Two probes that cannot both be true, by their names. */
    String contradiction(ProbeCheck.Contradiction c, CornerCase corner, Reader reader) {
        CornerCase.Known a = corner.known().get(c.first());
        CornerCase.Known b = corner.known().get(c.second());
        return Numerals.html(words.say(
                "contradiction." + c.why(),
                reader,
                "one",
                name(a.probed().probe()) + told(a),
                "other",
                name(b.probed().probe()) + told(b),
                "by",
                Length.ofRoundedMm(c.by())));
    }

    private String told(CornerCase.Known known) {
        return " ("
                + (known.mark()
                        ? words.say("told.mark")
                        : Numerals.typed(known.raw()) + ", "
                                + known.probed().from().tyre().text())
                + ")";
    }

    /** How far a drive proves the corner. */
    String driven(CornerCase corner, Reader reader) {
        if (corner.drive().isEmpty()) {
            return "";
        }
        Drive drive = corner.drive().get();
        boolean touched = corner.known().stream().anyMatch(k -> k.read().isPresent());
        String day = reader.day(drive.at());
        if (!touched && corner.driven()) {
            return Numerals.html(words.say("driven.all", reader, "day", day, "by", drive.by()));
        }
        String far = words.say(
                drive.locks() ? "driven.locks" : "driven.straight",
                reader,
                "bump",
                bump(drive.bump().getOrDefault(corner.corner(), 0.0)),
                "lean",
                BigDecimal.valueOf(drive.lean()).stripTrailingZeros().toPlainString());
        return Numerals.html(
                words.say(touched ? "driven.marked" : "driven.part", reader, "day", day, "by", drive.by(), "far", far));
    }

    List<CornerPage.Line> eye(Eye eye, Reader reader) {
        List<CornerPage.Line> lines = new ArrayList<>();
        add(lines, "eye.over", eye.over(), reader);
        add(lines, "eye.evenness", eye.evenness(), reader);
        eye.poke()
                .ifPresent(mm -> lines.add(new CornerPage.Line(
                        words.say(mm > 0 ? "eye.poke" : "eye.tuck"), length(Math.abs(mm), reader))));
        return lines;
    }

    private void add(List<CornerPage.Line> lines, String key, OptionalDouble mm, Reader reader) {
        mm.ifPresent(value -> lines.add(new CornerPage.Line(words.say(key), length(value, reader))));
    }
}
