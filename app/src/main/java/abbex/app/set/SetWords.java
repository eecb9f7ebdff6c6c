package abbex.app.set;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.balance.WheelLoads;
import abbex.core.heights.Outlier;
import abbex.core.setting.Forecast;
import abbex.core.setting.How;
import abbex.core.setting.Option;
import abbex.core.setting.SettingSolver;
import abbex.core.setting.Tries;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What is to be turned and what comes of it, in words. */
@Service
class SetWords {
    /** What nobody would read off a tape, mm: a 64th of an inch. */
    private static final double SEEN = 0.4;

    private static final long NM_PER_MM = 1_000_000;
    private static final double LEARNED = 0.06;
    private static final double SURE = 1.96;

    private final Words words;

    SetWords(Words words) {
        this.words = words;
    }

    SetPage page(SetCase at, Tries.Known known, SettingSolver.Answer best, List<Option> chosen, Reader reader) {
        double[] moves = chosen.stream().mapToDouble(Option::move).toArray();
        double[] after = known.now().clone();
        for (int c = 0; c < after.length; c++) {
            for (int i = 0; i < moves.length; i++) {
                after[c] += known.heights()[c][i] * moves[i];
            }
        }
        Targets targets = at.targets();
        double[] wanted = targets.now();
        List<SetPage.CornerView> corners = new ArrayList<>();
        for (Corner corner : Corner.WALK) {
            corners.add(corner(at, known, chosen, after, moves, wanted, corner, reader));
        }
        return new SetPage(
                corners,
                PlateDrawing.of(known.now(), after, wanted),
                says(at, targets, known, best, moves, after, wanted, reader),
                tries(at, reader),
                at.turnedInAll(),
                at.moves().isEmpty()
                        ? null
                        : at.moves().get(at.moves().size() - 1).id(),
                work(chosen, reader),
                spread(after, wanted, reader));
    }

    private SetPage.CornerView corner(
            SetCase at,
            Tries.Known known,
            List<Option> chosen,
            double[] after,
            double[] moves,
            double[] wanted,
            Corner corner,
            Reader reader) {
        int c = corner.ordinal();
        List<Option> options = at.adjusters().get(c).options();
        List<SetPage.Choice> list = new ArrayList<>();
        for (int i = 0; i < options.size(); i++) {
            list.add(new SetPage.Choice(i, what(options.get(i).how(), reader)));
        }
        return new SetPage.CornerView(
                corner.code(),
                Words.capital(words.word(corner, reader)),
                Numerals.html(what(chosen.get(c).how(), reader)),
                !(chosen.get(c).how() instanceof How.Leave),
                html(known.now()[c], reader),
                html(after[c], reader),
                Numerals.html("± " + Numerals.uncertainty(Length.ofRoundedMm(SURE * known.after(c, moves)), reader)),
                html(wanted[c], reader),
                list,
                options.indexOf(chosen.get(c)));
    }

    private static String html(double mm, Reader reader) {
        return Numerals.html(Numerals.text(Length.ofRoundedMm(mm), reader));
    }

    /** One thing that is done, plain. */
    String what(How how, Reader reader) {
        if (how instanceof How.Turns turns) {
            String n = turns(Math.abs(turns.parts()), turns.perTurn());
            String many = Math.abs(turns.parts()) > turns.perTurn() ? "set.turns" : "set.turn";
            return words.say(many + (turns.parts() > 0 ? ".up" : ".down"), reader, "n", n);
        }
        if (how instanceof How.Swap swap) {
            if (swap.out().isEmpty()) {
                return words.say("set.put-in", reader, "in", pieces(swap.in(), reader));
            }
            return swap.in().isEmpty()
                    ? words.say("set.take-out", reader, "out", pieces(swap.out(), reader))
                    : words.say("set.swap", reader, "out", pieces(swap.out(), reader), "in", pieces(swap.in(), reader));
        }
        if (how instanceof How.Air air) {
            return words.say(
                    air.to().kPa() > air.from().kPa() ? "set.air.up" : "set.air.down",
                    reader,
                    "from",
                    air.from(),
                    "to",
                    air.to());
        }
        return words.say("set.leave", reader);
    }

    /** By the size that is stamped on it: one of whole millimetres is called by them on both sides of the ocean. */
    static String pieces(List<Length> pieces, Reader reader) {
        return pieces.stream().map(p -> piece(p, reader)).collect(Collectors.joining(" + "));
    }

    private static String piece(Length thick, Reader reader) {
        long mm = thick.nm() / NM_PER_MM;
        return mm * NM_PER_MM == thick.nm() ? mm + "\u00a0mm" : Numerals.text(thick, reader);
    }

    /** Parts of a turn as people say them: 2 1/4. */
    static String turns(int parts, int perTurn) {
        int whole = parts / perTurn;
        int rest = parts % perTurn;
        int over = perTurn;
        while (rest > 0 && rest % 2 == 0) {
            rest /= 2;
            over /= 2;
        }
        String part = rest == 0 ? "" : rest + "/" + over;
        return Numerals.typed(whole == 0 && rest > 0 ? part : part.isEmpty() ? "" + whole : whole + " " + part);
    }

    private String work(List<Option> chosen, Reader reader) {
        long changes =
                chosen.stream().filter(o -> !(o.how() instanceof How.Leave)).count();
        long minutes = Math.round(chosen.stream().mapToDouble(Option::minutes).sum());
        return changes == 0
                ? words.say("set.work.none", reader)
                : words.say(changes == 1 ? "set.work.one" : "set.work", reader, "count", changes, "minutes", minutes);
    }

    private String spread(double[] after, double[] wanted, Reader reader) {
        double worst = 0;
        for (int c = 0; c < after.length; c++) {
            worst = Math.max(worst, Math.abs(after[c] - wanted[c]));
        }
        return words.say("set.spread", reader, "by", Numerals.uncertainty(Length.ofRoundedMm(worst), reader));
    }

    private List<SetPage.Line> says(
            SetCase at,
            Targets targets,
            Tries.Known known,
            SettingSolver.Answer best,
            double[] moves,
            double[] after,
            double[] wanted,
            Reader reader) {
        List<SetPage.Line> says = new ArrayList<>();
        at.suspects().stream().limit(1).forEach(first -> says.add(suspect(first, "set.suspect", reader)));
        // The rows of the heights come first; those of the loads are in N.
        double body = Arrays.stream(best.body(), 0, Corner.WALK.size())
                .map(Math::abs)
                .max()
                .orElse(0);
        if (body > SEEN) {
            says.add(look(
                    "set.body",
                    reader,
                    "by",
                    Numerals.text(Length.ofRoundedMm(4 * body), reader),
                    "each",
                    Numerals.text(Length.ofRoundedMm(body), reader)));
        }
        List<Corner> ended = Corner.WALK.stream()
                .filter(c -> best.atEnd()[c.ordinal()] && Math.abs(best.range()[c.ordinal()]) > SEEN)
                .toList();
        if (!ended.isEmpty()) {
            double most = ended.stream()
                    .mapToDouble(c -> Math.abs(best.range()[c.ordinal()]))
                    .max()
                    .orElse(0);
            says.add(look(
                    "set.end",
                    reader,
                    "places",
                    Words.capital(words.list(ended, reader)),
                    "by",
                    Numerals.text(Length.ofRoundedMm(most), reader)));
        }
        double[][] before = at.before();
        for (Corner corner : Corner.WALK) {
            int c = corner.ordinal();
            double share = known.heights()[c][c] / before[c][c];
            if (!at.moves().isEmpty() && Math.abs(share - 1) > LEARNED) {
                says.add(new SetPage.Line(
                        "open",
                        words.say("severity.OPEN", reader),
                        Numerals.html(words.say(
                                "set.learned",
                                reader,
                                "place",
                                Words.capital(words.word(corner, reader)),
                                "percent",
                                Math.round(100 * share)))));
            }
        }
        if (!at.changed().isEmpty()) {
            says.add(look("set.changed", reader, "what", words.list(at.changed(), reader)));
        }
        if (at.pressuresChanged()) {
            says.add(look("set.changed", reader, "what", words.say("set.changed.pressures", reader)));
        }
        says.addAll(targets(targets, reader));
        says.addAll(scales(at, known, moves, reader));
        says.add(new SetPage.Line(
                "clear", words.say("severity.CLEAR", reader), Numerals.html(spread(after, wanted, reader))));
        return says;
    }

    /** Which spot to read again before anything is turned, and what it is taken for until then. */
    SetPage.Line suspect(Outlier first, String key, Reader reader) {
        return look(key, reader, "spot", first.spot(), "read", first.reading().value(), "others", first.probable());
    }

    SetPage.Line exchanged(Forecast.Exchanged which, Reader reader) {
        return look("set.exchanged", reader, "which", which);
    }

    /** How the targets were come by, or what has to be measured for them. */
    private List<SetPage.Line> targets(Targets targets, Reader reader) {
        List<SetPage.Line> says = new ArrayList<>();
        if (targets.otherWayMissing()) {
            says.add(look("set.by.not", reader, "way", targets.otherWay().orElseThrow()));
        }
        if (targets.policy() != SetForm.Policy.GIVEN) {
            says.add(follows(targets, reader));
        }
        for (End end : End.values()) {
            if (targets.settles(end) > 0) {
                says.add(note("set.settles", reader, "place", end, "by", mm(targets.settles(end))));
            }
        }
        targets.panel()
                .ifPresent(panel -> says.add(look(
                        "set.panel", reader, "higher", panel.higher(), "than", panel.than(), "by", mm(panel.by()))));
        return says;
    }

    /** What the rear's target follows, or what has to be measured so that it can. */
    private SetPage.Line follows(Targets targets, Reader reader) {
        String policy = words.say("set.policy." + targets.policy());
        return targets.follows().isEmpty()
                ? look("set.follows.not." + targets.policy(), reader)
                : note(
                        "set.follows",
                        reader,
                        "height",
                        mm(targets.follows().getAsDouble()),
                        "policy",
                        Words.small(policy));
    }

    private static Length mm(double mm) {
        return Length.ofRoundedMm(mm);
    }

    private SetPage.Line note(String key, Reader reader, Object... named) {
        return new SetPage.Line(
                "note", words.say("severity.NOTE", reader), Numerals.html(words.say(key, reader, named)));
    }

    /** Cross, left and rear as weighed and after what is chosen. */
    private List<SetPage.Line> scales(SetCase at, Tries.Known known, double[] moves, Reader reader) {
        List<SetPage.Line> says = new ArrayList<>();
        if (at.weighedWithSomebody()) {
            says.add(look("set.somebody", reader));
        }
        if (at.toWeigh()) {
            says.add(look("set.weigh-again", reader));
        }
        at.weighed().ifPresent(now -> {
            WheelLoads then = then(now, known, moves);
            says.add(new SetPage.Line(
                    "note",
                    words.say("severity.NOTE", reader),
                    words.say(
                            "set.balance",
                            reader,
                            "cross",
                            percent(now.cross()),
                            "then",
                            percent(then.cross()),
                            "left",
                            percent(then.left()),
                            "rear",
                            percent(then.rear()))));
            if (now.perhapsSwapped()) {
                says.add(look("set.swapped", reader, "cross", percent(now.cross())));
            }
        });
        return says;
    }

    private static String percent(double value) {
        return String.format(Locale.ROOT, "%.1f %%", value);
    }

    /** What the wheels carry after what is chosen. */
    private static WheelLoads then(WheelLoads now, Tries.Known known, double[] moves) {
        double[] load = {now.lf(), now.rf(), now.rr(), now.lr()};
        for (int c = 0; c < load.length; c++) {
            for (int i = 0; i < moves.length; i++) {
                load[c] += known.loads()[c][i] * moves[i];
            }
            load[c] = Math.max(1, load[c]);
        }
        return new WheelLoads(load[0], load[1], load[2], load[3]);
    }

    private SetPage.Line look(String key, Reader reader, Object... named) {
        return new SetPage.Line(
                "look", words.say("severity.LOOK", reader), Numerals.html(words.say(key, reader, named)));
    }

    private List<SetPage.TryView> tries(SetCase at, Reader reader) {
        List<SetPage.TryView> all = new ArrayList<>();
        for (Settings.Move move : at.moves()) {
            all.add(new SetPage.TryView(
                    words.say(all.isEmpty() ? "set.try.first" : "set.try", reader, "n", all.size() + 1),
                    Arrays.stream(move.heights()).mapToObj(h -> html(h, reader)).toList(),
                    move.hows().stream()
                            .map(h -> Numerals.html(what(h, reader)))
                            .toList(),
                    move.initials() + ", " + reader.clock(move.at())));
        }
        return all;
    }
}
