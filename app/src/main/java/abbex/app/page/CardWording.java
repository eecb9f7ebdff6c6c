package abbex.app.page;

import abbex.core.figure.Place;
import abbex.core.state.Footing;
import abbex.core.state.OpenWork;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.CardFinding;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Words for what a work card and the state of a vehicle say. */
@Component
public class CardWording extends Wording {
    public CardWording() {
        named(Footing.class, "stands.");
        named(CardFinding.Answer.class, "offer.");
        of(
                CardFinding.Steps.class,
                (steps, words, reader) -> words.say(
                        steps.count() == 1 ? "card.steps.one" : "card.steps", reader, "count", steps.count()));
        of(
                CardFinding.Pieces.class,
                (pieces, words, reader) -> words.say(
                        pieces.count() == 1 ? "card.bolts.one" : "card.bolts", reader, "count", pieces.count()));
        of(CardFinding.Bolts.class, (bolts, words, reader) -> bolts(bolts.all(), words, reader));
        of(
                CardFinding.Offer.class,
                (offer, words, reader) -> offer.price().isEmpty()
                        ? offer.work()
                        : words.say("card.offer", reader, "work", offer.work(), "price", offer.price()));
        of(
                BenchPart.class,
                (part, words, reader) -> words.say(
                        part.supplied() ? "part.new" : "part.old",
                        reader,
                        "part",
                        words.say("part." + part.kind()),
                        "place",
                        part.place()));
    }

    /** Those of one name together, with how many where. */
    private static String bolts(List<OpenWork.Bolt> bolts, Words words, Reader reader) {
        Map<String, Map<Place, Integer>> byName = new LinkedHashMap<>();
        bolts.forEach(bolt -> byName.computeIfAbsent(bolt.name(), name -> new LinkedHashMap<>())
                .merge(bolt.place(), 1, Integer::sum));
        List<String> all = new ArrayList<>();
        byName.forEach((name, places) -> all.add(words.say(
                "card.bolts.of",
                reader,
                "name",
                name,
                "places",
                places.entrySet().stream()
                        .map(at -> at.getValue() == 1
                                ? words.word(at.getKey(), reader)
                                : words.word(at.getKey(), reader) + " × " + at.getValue())
                        .collect(Collectors.joining(", ")))));
        return String.join("; ", all);
    }
}
