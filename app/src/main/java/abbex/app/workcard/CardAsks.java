package abbex.app.workcard;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.torque.Tightening;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What a step asks for, as a row of what is pressed or filled in. */
@Component
class CardAsks {
    /** What is one press; all else is filled in where it stands. */
    static final Set<String> PRESSED = Set.of(
            Cards.What.HELD.name(),
            Cards.What.TICKED.name(),
            CardPresses.Press.HOLDS.name(),
            CardPresses.Press.TIGHT.name(),
            CardPresses.Press.CLOSE.name());

    static final String SPEC = "SPEC";

    /** To which side something points. */
    static final String WAYS = "up|down|forward|rearward|inboard|outboard";

    private final Words words;

    CardAsks(Words words) {
        this.words = words;
    }

    CardPage.Ahead ahead(Cards.Current current, CardStep step, Reader reader) {
        return new CardPage.Ahead(of(current, step, current.state().asks(step), reader), open(current), stamp(current));
    }

    static List<String> open(Cards.Current current) {
        return current.card().steps().stream()
                .map(CardStep::key)
                .filter(key -> !current.state().settled(key))
                .toList();
    }

    static long stamp(Cards.Current current) {
        return current.entries().stream().mapToLong(Cards.Entry::seq).max().orElse(0);
    }

    List<CardPage.Ask> of(Cards.Current current, CardStep step, List<Blocker> all, Reader reader) {
        CardState state = current.state();
        List<CardPage.Ask> asks = new ArrayList<>();
        List<Blocker> holds = all.stream()
                .filter(one -> one instanceof Blocker.Hold hold && !step.step().after(hold.number()))
                .toList();
        for (Blocker one : all) {
            if (one instanceof Blocker.Loose loose) {
                figure(asks, loose, reader);
            } else if (holds.contains(one) && holds.size() > 1) {
                if (one == holds.get(0)) {
                    asks.add(holds(current, step, holds, reader));
                }
            } else if (!state.saidByDone(step, one)) {
                asks.add(ask(current, step, one, reader));
            }
        }
        boolean says = all.stream()
                .anyMatch(one -> state.saidByDone(step, one) || one instanceof Blocker.Loose && !state.met(step, one));
        asks.add(new CardPage.Ask(
                words.say(says ? "fit.close" : "fit.done"),
                says ? CardPresses.Press.CLOSE.name() : Cards.What.TICKED.name(),
                "",
                null,
                state.done(step.key())));
        return asks;
    }

    /** A capture is all that is asked for before the step is done: with it, it is. */
    static boolean lastly(Cards.Current current, CardStep step, Step.Capture capture) {
        List<Blocker> open = current.state().blockers(step).stream()
                .filter(ask -> !current.state().saidByDone(step, ask))
                .toList();
        return open.size() == 1
                && open.get(0) instanceof Blocker.Missing missing
                && missing.capture().equals(capture);
    }

    /** What the press by which a step is done says beside that: a line each, none where nothing is left to say. */
    List<String> said(Cards.Current current, CardStep step, Reader reader) {
        return current.state().asks(step).stream()
                .filter(one -> !current.state().met(step, one))
                .filter(one -> current.state().saidByDone(step, one)
                        || one instanceof Blocker.Loose loose && loose.state() == Tightening.State.UNKNOWN)
                .map(one -> said(current, step, one, reader))
                .toList();
    }

    private String said(Cards.Current current, CardStep step, Blocker one, Reader reader) {
        if (one instanceof Blocker.Missing missing) {
            return words.say(
                    "fit.close.capture",
                    reader,
                    "what",
                    missing.capture().what(),
                    "offered",
                    current.state().offered(step, missing.capture()).orElseThrow());
        }
        return one instanceof Blocker.Loose loose
                ? words.say("fit.close.bolt", reader, "name", loose.fastener().name())
                : ((Blocker.Hold) one).text();
    }

    private CardPage.Ask ask(Cards.Current current, CardStep step, Blocker one, Reader reader) {
        boolean met = current.state().met(step, one);
        if (one instanceof Blocker.Before before) {
            String number = Integer.toString(current.card().number(before.step().key()));
            String text = words.say("fit.first", reader, "number", number, "title", title(before.step(), reader));
            return new CardPage.Ask(text, "", "", before.step().key(), met);
        }
        if (one instanceof Blocker.Hold hold) {
            String text = words.say("fit.hold", reader, "hold", hold.text());
            return new CardPage.Ask(text, Cards.What.HELD.name(), Integer.toString(hold.number()), null, met);
        }
        if (one instanceof Blocker.Missing missing) {
            String text =
                    words.say("fit.ask.write", reader, "what", missing.capture().what());
            return new CardPage.Ask(
                    text, Cards.What.CAPTURED.name(), missing.capture().id(), null, met);
        }
        if (one instanceof Blocker.Unlocked open) {
            String text = words.say("fit.ask.lock", reader, "lock", open.text(), "title", title(open.step(), reader));
            return new CardPage.Ask(text, "", "", open.step().key(), false);
        }
        if (one instanceof Blocker.Offer offer) {
            String text = words.say("fit.ask.offer", reader, "text", offer.text());
            return new CardPage.Ask(text, Cards.What.ANSWERED.name(), offer.id(), null, met);
        }
        return new CardPage.Ask(
                words.say("fit.ask.place"),
                Cards.What.PLACED.name(),
                ((Blocker.OnBench) one).part().key(),
                null,
                met);
    }

    /** All of them in one press: they stand above the button, one under the other. */
    private CardPage.Ask holds(Cards.Current current, CardStep step, List<Blocker> holds, Reader reader) {
        return new CardPage.Ask(
                words.say("fit.holds.all", reader, "count", holds.size()),
                CardPresses.Press.HOLDS.name(),
                "",
                null,
                holds.stream().allMatch(hold -> current.state().met(step, hold)));
    }

    /** Its figure, and to tighten it again where it was loosened by a better one or is out of its range. */
    private void figure(List<CardPage.Ask> asks, Blocker.Loose loose, Reader reader) {
        String name = loose.fastener().name();
        asks.add(new CardPage.Ask(
                words.say("fit.ask.spec", reader, "name", name),
                SPEC,
                loose.key(),
                null,
                loose.state() != Tightening.State.UNKNOWN));
        if (loose.state() == Tightening.State.OFF || loose.state() == Tightening.State.REOPENED) {
            asks.add(new CardPage.Ask(
                    words.say("fit.ask.tight", reader, "name", name),
                    CardPresses.Press.TIGHT.name(),
                    loose.key(),
                    null,
                    false));
        }
    }

    String title(CardStep step, Reader reader) {
        String place = step.end().isEmpty() ? "" : words.word(step.place(), reader);
        return place.isEmpty() ? step.step().title() : step.step().title() + ", " + place;
    }
}
