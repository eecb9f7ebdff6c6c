package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.workcard.CardStep;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;

/** What the card says was locked and paint-marked, and by whom; what nobody recorded is not among it. */
@Service
public class LockedText {
    private final Cards cards;
    private final Words words;

    LockedText(Cards cards, Words words) {
        this.cards = cards;
        this.words = words;
    }

    /** Plain lines; none where no card recorded anything of it. */
    public List<String> lines(Job job, Reader reader) {
        Cards.Current current = cards.of(job);
        if (!current.begun()) {
            return List.of();
        }
        List<String> lines = new ArrayList<>();
        Set<String> markers = new TreeSet<>();
        Set<String> marked = new TreeSet<>();
        for (Cards.Entry entry : current.entries()) {
            Optional<CardStep> step = current.card().find(entry.step());
            if (entry.what() == Cards.What.MARKED) {
                markers.add(
                        entry.text().isEmpty()
                                ? entry.initials()
                                : words.say(
                                        "left.marked.in",
                                        reader,
                                        "by",
                                        entry.initials(),
                                        "color",
                                        words.say("paint." + entry.text())));
                marked.add(entry.item());
            } else if (entry.what() == Cards.What.HELD && step.isPresent()) {
                lock(step.get(), entry)
                        .filter(text -> current.state().held(step.get().key(), Integer.parseInt(entry.item())))
                        .ifPresent(text -> lines.add(words.say(
                                "left.locked",
                                reader,
                                "lock",
                                text.replaceAll("[.?]$", ""),
                                "place",
                                step.get().place(),
                                "by",
                                entry.initials())));
            }
        }
        if (!marked.isEmpty()) {
            lines.add(words.say(
                    "left.marked", reader, "count", marked.size(), "by", words.list(List.copyOf(markers), reader)));
        }
        return lines.stream().distinct().toList();
    }

    private static Optional<String> lock(CardStep step, Cards.Entry entry) {
        int lock = Integer.parseInt(entry.item()) - step.step().firstLock();
        return lock >= 0 && lock < step.step().locks().size()
                ? Optional.of(step.step().locks().get(lock))
                : Optional.empty();
    }
}
