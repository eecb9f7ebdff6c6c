package abbex.app.day;

import abbex.app.arrive.Jobs;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.workcard.CardWork;
import abbex.core.day.Day;
import abbex.core.day.Stint;
import abbex.core.day.WorkHours;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** How a day runs against its plan: what was to begin by now and has not, and what will take longer than planned. */
@Component
class Running {
    /** Less is not worth planning again for, minutes (ours). */
    private static final int MUCH = 10;

    private final Jobs jobs;
    private final CardWork cards;
    private final Words words;
    private final Clock clock;

    Running(Jobs jobs, CardWork cards, Words words, Clock clock) {
        this.jobs = jobs;
        this.cards = cards;
        this.words = words;
        this.clock = clock;
    }

    /** What is to be said of today; nothing outside the shop's hours. */
    List<Words.Said> says(UUID shop, Planned plan, WorkHours hours, Reader reader) {
        Instant now = clock.instant();
        List<Words.Said> says = new ArrayList<>();
        boolean open = hours.stretches().stream().anyMatch(s -> !now.isBefore(s.from()) && now.isBefore(s.to()));
        for (Planned.Entry entry : open ? plan.jobs() : List.<Planned.Entry>of()) {
            if (!entry.left()
                    && entry.work() == Draft.Work.FIT
                    && entry.starts().isBefore(now)) {
                jobs.find(shop, entry.job())
                        .map(job -> cards.of(job, now))
                        .ifPresent(left -> says.addAll(of(entry, left, now, hours, reader)));
            }
        }
        return says;
    }

    private List<Words.Said> of(Planned.Entry entry, CardWork.Left left, Instant now, WorkHours hours, Reader reader) {
        if (!left.begun()) {
            long late = Duration.between(entry.starts(), now).toMinutes();
            return late < MUCH
                    ? List.of()
                    : List.of(said(
                            entry,
                            words.say("day.not.begun", reader, "plate", entry.plate()),
                            words.say("day.not.begun.text", reader, "at", reader.clock(entry.starts()))));
        }
        int minutes = left.stints().stream().mapToInt(Stint::minutes).sum();
        Instant ready = hours.ends(Day.up(hours.minute(now) + minutes));
        long over = Duration.between(entry.ends(), ready).toMinutes();
        return left.stints().isEmpty() || over < MUCH
                ? List.of()
                : List.of(said(
                        entry,
                        words.say("day.over", reader, "plate", entry.plate(), "minutes", Long.toString(over)),
                        words.say("day.over.text", reader, "ready", reader.clock(ready))));
    }

    private Words.Said said(Planned.Entry entry, String title, String text) {
        return new Words.Said(
                "look", words.say("severity.LOOK"), title, text, entry.job().toString());
    }
}
