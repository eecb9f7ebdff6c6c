package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.drawing.CardLine;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Pace;
import abbex.core.workcard.Step;
import abbex.core.workcard.Together;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Words and lines for a card. */
@Component
class CardViews {
    private final Cards cards;
    private final CardAsks asks;
    private final CardSides sides;
    private final BoltViews bolts;
    private final CardSettings settings;
    private final Tips tips;
    private final StepTimes times;
    private final Words words;

    CardViews(
            Cards cards,
            CardAsks asks,
            CardSides sides,
            CardSettings settings,
            BoltViews bolts,
            Tips tips,
            StepTimes times,
            Words words) {
        this.settings = settings;
        this.times = times;
        this.bolts = bolts;
        this.tips = tips;
        this.sides = sides;
        this.cards = cards;
        this.asks = asks;
        this.words = words;
    }

    /** Whether a bay is one with a lift, as its name says. */
    Set<String> likely(Job job) {
        return job.where().bay().toLowerCase(Locale.ROOT).contains(words.say("fit.bay.lift"))
                ? Set.of("lift")
                : Set.of();
    }

    CardPage.Whole whole(Job job, Cards.Current current, Reader reader) {
        CardState state = current.state();
        String next = state.next().map(CardStep::key).orElse("");
        Pace pace = times.pace(job);
        return new CardPage.Whole(
                current.begun(),
                cards.asked(job),
                current.wanted().facts(),
                current.changed(),
                current.newer(),
                state.finished(),
                state.settled(),
                current.card().steps().size(),
                between(pace.left(current.card(), state), reader),
                time(Math.round(pace.withTwo(current.card(), state)), reader),
                current.card().lifts(),
                current.card().calls(),
                ends(current, reader),
                current.wanted().rounds().size(),
                line(current, next),
                blocks(current, opens(job, current), next, reader),
                parts(state, reader),
                bolts.log(current, reader),
                found(current),
                next,
                current.begun() ? CardAsks.open(current) : List.of(),
                CardAsks.stamp(current));
    }

    private List<CardPage.EndRow> ends(Cards.Current current, Reader reader) {
        return Stream.of(End.values())
                .filter(end -> !current.wanted().supplied().get(end).isEmpty())
                .map(end -> new CardPage.EndRow(
                        end.code(), words.word(end, reader), current.wanted().later(end)))
                .toList();
    }

    private CardLine line(Cards.Current current, String hand) {
        List<CardStep> steps = current.card().steps();
        return CardLine.of(
                steps.stream()
                        .map(s -> new CardLine.At(
                                switch (s.step().footing()) {
                                    case WHEELS -> 0;
                                    case CARRIED -> 1;
                                    case HANGING -> 2;
                                },
                                s.step().hands() > 1))
                        .toList(),
                current.card().number(hand) - 1);
    }

    /** How long it is expected to take, and between what 95 in 100 lie. */
    private String between(Pace.Length left, Reader reader) {
        return words.say(
                "fit.between",
                reader,
                "about",
                time(Math.round(left.minutes()), reader),
                "least",
                time(Math.round(left.least()), reader),
                "most",
                time(Math.round(left.most()), reader));
    }

    private String time(long minutes, Reader reader) {
        return minutes < 60
                ? words.say("fit.minutes", reader, "minutes", Long.toString(minutes))
                : words.say(
                        "fit.hours",
                        reader,
                        "hours",
                        Long.toString(minutes / 60),
                        "minutes",
                        Long.toString(minutes % 60));
    }

    private String place(CardStep step, Reader reader) {
        return step.end().isEmpty() ? "" : words.word(step.place(), reader);
    }

    /** Steps that have a page: of a card that is only chosen so far those that it has in any case. */
    private Set<String> opens(Job job, Cards.Current current) {
        return (current.begun() ? current : cards.of(job))
                .card().steps().stream().map(CardStep::key).collect(Collectors.toUnmodifiableSet());
    }

    private List<CardPage.Block> blocks(Cards.Current current, Set<String> opens, String next, Reader reader) {
        List<CardPage.Block> blocks = new ArrayList<>();
        List<CardPage.Row> rows = new ArrayList<>();
        Step.Footing footing = Step.Footing.WHEELS;
        int number = 0;
        for (CardStep step : current.card().steps()) {
            if (step.step().footing() != footing && !rows.isEmpty()) {
                blocks.add(new CardPage.Block(words.say("footing." + footing), List.copyOf(rows)));
                rows.clear();
            }
            footing = step.step().footing();
            number++;
            rows.add(row(current, step, number, opens, next, reader));
        }
        if (!rows.isEmpty()) {
            blocks.add(new CardPage.Block(words.say("footing." + footing), List.copyOf(rows)));
        }
        return blocks;
    }

    private CardPage.Row row(
            Cards.Current current, CardStep step, int number, Set<String> opens, String next, Reader reader) {
        CardState state = current.state();
        Optional<CardEvent.Otherwise> otherwise = state.otherwise(step.key());
        String mark = state.reopened(step)
                ? "look"
                : state.done(step.key())
                        ? "clear"
                        : otherwise.isPresent() ? "otherwise" : step.key().equals(next) ? "now" : "";
        return new CardPage.Row(
                number,
                step.key(),
                step.step().title(),
                place(step, reader),
                words.say(
                        "fit.minutes",
                        reader,
                        "minutes",
                        Integer.toString(step.step().minutes())),
                step.step().hands() > 1,
                mark,
                otherwise
                        .map(o -> o.limit().isEmpty()
                                ? o.reason()
                                : words.say("fit.limited", reader, "reason", o.reason(), "limit", o.limit()))
                        .orElse(""),
                current.who(step.key()),
                opens.contains(step.key()));
    }

    private String part(BenchPart part, Reader reader) {
        return Words.capital(words.say(
                part.supplied() ? "part.new" : "part.old",
                reader,
                "part",
                words.say("part." + part.kind()),
                "place",
                part.place()));
    }

    private List<CardPage.PartRow> parts(CardState state, Reader reader) {
        return state.parts().stream()
                .filter(part -> !part.kind().equals("wheel"))
                .map(part -> row(state, part, reader))
                .toList();
    }

    private CardPage.PartRow row(CardState state, BenchPart part, Reader reader) {
        return new CardPage.PartRow(
                part.key(),
                part(part, reader),
                words.say("fate." + part.fate()),
                part.open(),
                state.reason(part.key()));
    }

    private static List<CardPage.FoundRow> found(Cards.Current current) {
        Map<String, Cards.Entry> answers = current.entries().stream()
                .filter(e -> e.what() == Cards.What.ANSWERED)
                .collect(Collectors.toMap(Cards.Entry::item, e -> e, (first, last) -> last));
        return current.entries().stream()
                .filter(e -> e.what() == Cards.What.FOUND)
                .map(e -> found(e, Optional.ofNullable(answers.get(Long.toString(e.seq())))))
                .toList();
    }

    private static CardPage.FoundRow found(Cards.Entry e, Optional<Cards.Entry> answer) {
        String said = answer.map(Cards.Entry::text).orElse(e.item());
        String price = answer.map(Cards.Entry::more).filter(p -> !p.isEmpty()).orElse(e.more());
        return new CardPage.FoundRow(Long.toString(e.seq()), e.step(), e.text(), price, said, !said.matches("YES|NO"));
    }

    CardPage.Bay bay(Job job, CardStep step, Reader reader) {
        Cards.Current current = cards.of(job);
        CardState state = current.state();
        List<CardStep> steps = current.card().steps();
        int number = current.card().number(step.key());
        List<Blocker> blockers = state.blockers(step);
        Optional<CardStep> following = number < steps.size() ? Optional.of(steps.get(number)) : Optional.empty();
        List<CardPage.HoldRow> holds = new ArrayList<>();
        for (int i = 0; i < step.step().holds().size(); i++) {
            holds.add(new CardPage.HoldRow(i, step.step().allHolds().get(i), state.held(step.key(), i)));
        }
        List<CardPage.PartRow> parts = parts(state, reader);
        return new CardPage.Bay(
                number,
                steps.size(),
                step.key(),
                step.step().title(),
                step.step().why(),
                place(step, reader),
                step.place() instanceof Corner ? step.place().code() : "",
                words.say(
                        "fit.minutes",
                        reader,
                        "minutes",
                        Integer.toString(step.step().minutes())),
                step.step().hands() > 1,
                time(Math.round(times.pace(job).left(current.card(), state).minutes()), reader),
                line(current, step.key()),
                holds,
                settings.of(job, step, reader),
                step.step().cautions(),
                traps(current, step, reader),
                newest(tips.of(job.shop(), job.vehicle())
                        .getOrDefault(step.step().id(), List.of())),
                sides.of(job, current, step),
                words.say("footing." + step.step().footing()),
                step.step().tools(),
                access(step, reader),
                step.step().captures().stream()
                        .map(c -> new CardPage.CaptureRow(
                                c.id(),
                                c.what(),
                                words.say("capture.like." + c.kind()),
                                state.captured(step.key(), c.id()),
                                c.kind().name(),
                                current.begun() && CardAsks.lastly(current, step, c),
                                c.places() ? List.of(c.what().split(", ")) : List.of()))
                        .toList(),
                state.fasteners(step).stream()
                        .map(f -> bolts.row(current, step, f, reader))
                        .toList(),
                state.asks(step).stream()
                        .filter(Blocker.OnBench.class::isInstance)
                        .map(b -> row(state, ((Blocker.OnBench) b).part(), reader))
                        .toList(),
                blockers.stream().anyMatch(Blocker.OnBench.class::isInstance),
                found(current).stream()
                        .filter(f -> blockers.stream()
                                .anyMatch(b -> b instanceof Blocker.Offer offer
                                        && offer.id().equals(f.id())))
                        .toList(),
                asks.said(current, step, reader),
                act(current, step, reader),
                together(current, step, reader),
                state.done(step.key()),
                state.reopened(step),
                state.otherwise(step.key()).map(CardEvent.Otherwise::reason).orElse(""),
                state.otherwise(step.key()).map(CardEvent.Otherwise::limit).orElse(""),
                number > 1 ? steps.get(number - 2).key() : "",
                following.map(CardStep::key).orElse(""),
                following.map(s -> asks.title(s, reader)).orElse(""),
                following.filter(s -> s.step().hands() > 1).isPresent(),
                (int) parts.stream().filter(CardPage.PartRow::open).count(),
                parts.size(),
                asks.ahead(current, step, reader),
                UUID.randomUUID().toString());
    }

    /** More tips than that nobody reads under a car. */
    private static final int TIPS = 3;

    private static List<Tips.Tip> newest(List<Tips.Tip> all) {
        return all.subList(Math.max(0, all.size() - TIPS), all.size());
    }

    /** What has to be done now because a later step of this card takes the way to it. */
    private List<String> traps(Cards.Current current, CardStep step, Reader reader) {
        return step.step().traps().stream()
                .flatMap(trap -> current.card().steps().stream()
                        .filter(later -> later.step().id().equals(trap.step()) && later.meets(step))
                        .limit(1)
                        .map(later -> words.say(
                                "fit.trap", reader, "title", later.step().title(), "what", trap.what())))
                .toList();
    }

    private String access(CardStep step, Reader reader) {
        Step.Access access = step.step().access();
        return access.what().isEmpty()
                ? ""
                : words.say(
                        "fit.access",
                        reader,
                        "what",
                        access.what(),
                        "clips",
                        Integer.toString(access.clips()),
                        "screws",
                        Integer.toString(access.screws()));
    }

    /** This step and those after it that ask for nothing; none where it is one alone. */
    private CardPage.Together together(Cards.Current current, CardStep step, Reader reader) {
        List<CardStep> row = current.begun() ? Together.of(current.card(), current.state(), step) : List.of();
        return row.size() < 2
                ? new CardPage.Together("", "", List.of())
                : new CardPage.Together(
                        row.get(row.size() - 1).key(),
                        row.size() == 2
                                ? words.say("fit.together.one")
                                : words.say("fit.together", reader, "count", row.size() - 1),
                        row.stream()
                                .skip(1)
                                .map(one -> new CardPage.TogetherRow(
                                        asks.title(one, reader),
                                        one.step().cautions(),
                                        asks.said(current, one, reader)))
                                .toList());
    }

    /** The first thing that keeps it from being ticked is what the large button is about. */
    private CardPage.Act act(Cards.Current current, CardStep step, Reader reader) {
        if (!current.begun()) {
            return new CardPage.Act(words.say("fit.begin"), "", "", "");
        }
        Optional<CardPage.Ask> first = asks.of(current, step, current.state().blockers(step), reader).stream()
                .filter(ask -> !ask.met())
                .findFirst();
        if (first.isEmpty()) {
            return new CardPage.Act(
                    words.say("fit.go"),
                    "",
                    "",
                    current.state().next().map(CardStep::key).orElse(""));
        }
        CardPage.Ask ask = first.get();
        boolean button = CardAsks.PRESSED.contains(ask.what());
        return new CardPage.Act(ask.text(), button ? ask.what() : "", ask.item(), ask.step());
    }
}
