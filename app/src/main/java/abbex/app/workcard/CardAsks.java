package abbex.app.workcard;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.torque.Tightening;
import abbex.core.workcard.Blocker;
import abbex.core.workcard.CardStep;
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
            Cards.What.MARKED.name(),
            Cards.What.TICKED.name(),
            CardPresses.Press.HOLDS.name(),
            CardPresses.Press.OFFERED.name(),
            CardPresses.Press.TIGHT.name());

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
        List<CardPage.Ask> asks = new ArrayList<>();
        List<Blocker> holds =
                all.stream().filter(Blocker.Hold.class::isInstance).toList();
        for (Blocker one : all) {
            if (one instanceof Blocker.Loose loose) {
                figure(asks, loose, reader);
            } else if (one instanceof Blocker.Hold && holds.size() > 1) {
                if (one == holds.get(0)) {
                    asks.add(holds(current, step, holds, reader));
                }
            } else {
                asks.add(ask(current, step, one, reader));
            }
        }
        tight(asks, all, reader);
        asks.add(new CardPage.Ask(
                words.say("fit.done"),
                Cards.What.TICKED.name(),
                "",
                null,
                current.state().done(step.key())));
        return asks;
    }

    /** One thing is left to ask before it is done. */
    boolean last(Cards.Current current, CardStep step, Reader reader) {
        return of(current, step, current.state().blockers(step), reader).stream()
                        .filter(ask -> !ask.met())
                        .count()
                == 2;
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
        if (one instanceof Blocker.Missing missing
                && current.state().offered(step, missing.capture()).isPresent()) {
            String text = words.say(
                    "fit.ask.offered",
                    reader,
                    "what",
                    missing.capture().what(),
                    "offered",
                    current.state().offered(step, missing.capture()).get());
            return new CardPage.Ask(
                    text, CardPresses.Press.OFFERED.name(), missing.capture().id(), null, met);
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

    private void figure(List<CardPage.Ask> asks, Blocker.Loose loose, Reader reader) {
        asks.add(new CardPage.Ask(
                words.say("fit.ask.spec", reader, "name", loose.fastener().name()),
                SPEC,
                loose.key(),
                null,
                loose.state() != Tightening.State.UNKNOWN));
    }

    /** Once all figures are there: one bolt by its name, several in one press. */
    private void tight(List<CardPage.Ask> asks, List<Blocker> all, Reader reader) {
        List<Blocker.Loose> bolts = all.stream()
                .filter(Blocker.Loose.class::isInstance)
                .map(Blocker.Loose.class::cast)
                .toList();
        if (bolts.size() > 1) {
            asks.add(new CardPage.Ask(
                    words.say("fit.ask.tight.all", reader, "count", bolts.size()),
                    CardPresses.Press.TIGHT.name(),
                    "",
                    null,
                    bolts.stream().allMatch(bolt -> bolt.state() == Tightening.State.DONE)));
        }
        if (bolts.size() == 1) {
            Blocker.Loose bolt = bolts.get(0);
            boolean unpainted = bolt.state() == Tightening.State.UNMARKED;
            asks.add(new CardPage.Ask(
                    words.say(
                            unpainted ? "fit.mark" : "fit.ask.tight",
                            reader,
                            "name",
                            bolt.fastener().name()),
                    unpainted ? Cards.What.MARKED.name() : CardPresses.Press.TIGHT.name(),
                    bolt.key(),
                    null,
                    bolt.state() == Tightening.State.DONE));
        }
    }

    String title(CardStep step, Reader reader) {
        String place = step.end().isEmpty() ? "" : words.word(step.place(), reader);
        return place.isEmpty() ? step.step().title() : step.step().title() + ", " + place;
    }
}
