package abbex.app.workcard;

import abbex.core.torque.Tightening;
import abbex.core.units.Torque;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardFinding;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Rows of a card as what happened to it. */
final class CardFold {
    private CardFold() {}

    private static Map<String, String> specKeys(Card card) {
        Map<String, String> keys = new LinkedHashMap<>();
        card.steps()
                .forEach(step ->
                        step.step().fasteners().forEach(f -> keys.put(step.fastener(f), Cards.specKey(step, f))));
        return keys;
    }

    /** With the figures in between as they were known when each row was written. */
    static List<CardEvent> of(Card card, List<Cards.Entry> entries, Map<String, List<Specs.Said>> said) {
        Map<String, String> keys = specKeys(card);
        List<CardEvent> events = new ArrayList<>();
        Map<String, Integer> told = new HashMap<>();
        for (Cards.Entry entry : entries) {
            if (entry.what() == Cards.What.TIGHTENED) {
                tell(
                        events,
                        told,
                        entry.item(),
                        said.getOrDefault(keys.getOrDefault(entry.item(), ""), List.of()),
                        entry.spec());
            }
            event(entry).ifPresent(events::add);
        }
        keys.forEach(
                (fastener, key) -> tell(events, told, fastener, said.getOrDefault(key, List.of()), Long.MAX_VALUE));
        return events;
    }

    private static void tell(
            List<CardEvent> events, Map<String, Integer> told, String fastener, List<Specs.Said> all, long upTo) {
        int at = told.getOrDefault(fastener, 0);
        while (at < all.size() && all.get(at).seq() <= upTo) {
            events.add(new CardEvent.Fastened(
                    fastener, new Tightening.Event.Said(all.get(at).spec())));
            at++;
        }
        told.put(fastener, at);
    }

    private static Optional<CardEvent> event(Cards.Entry e) {
        return switch (e.what()) {
            case HELD -> Optional.of(new CardEvent.Held(e.step(), Integer.parseInt(e.item())));
            case TICKED -> Optional.of(new CardEvent.Ticked(e.step()));
            case OPENED -> Optional.of(new CardEvent.Opened(e.step()));
            case OTHERWISE -> Optional.of(new CardEvent.Otherwise(e.step(), e.text(), e.more()));
            case CAPTURED -> Optional.of(new CardEvent.Captured(e.step(), e.item(), e.text()));
            case PLACED -> Optional.of(new CardEvent.Placed(e.item(), BenchPart.Fate.valueOf(e.more()), e.text()));
            case TIGHTENED ->
                Optional.of(new CardEvent.Fastened(
                        e.item(),
                        new Tightening.Event.Tightened(
                                new Torque(e.value()), e.more().equals("turned"))));
            case MARKED -> Optional.of(new CardEvent.Fastened(e.item(), new Tightening.Event.Marked()));
            case LOOSENED -> Optional.of(new CardEvent.Fastened(e.item(), new Tightening.Event.Loosened()));
            case FOUND ->
                Optional.of(new CardEvent.Found(Long.toString(e.seq()), e.step(), e.text(), e.more(), said(e.item())));
            case ANSWERED -> Optional.of(new CardEvent.Answered(e.item(), said(e.text()), e.more()));
        };
    }

    private static CardFinding.Answer said(String text) {
        return switch (text) {
            case "YES" -> CardFinding.Answer.ACCEPTED;
            case "NO" -> CardFinding.Answer.REFUSED;
            default -> CardFinding.Answer.NOT_ASKED;
        };
    }
}
