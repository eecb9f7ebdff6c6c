package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.kit.KitPlans;
import abbex.app.people.Person;
import abbex.app.prove.Clearances;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.app.workcard.Cards;
import abbex.core.figure.Finding;
import abbex.core.parts.Bill;
import abbex.core.parts.BillLine;
import abbex.core.parts.MakersList;
import abbex.core.parts.PartEvent;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Bills of parts of stays, one shop at a time: the public service of the package. */
@Service
public class PartLog {
    private static final String ADD = """
            insert into part_entry (shop_id, job_id, client, line, what, due, text, pieces, price, freight, person_id, made_at)
            values (:shop, :job, :client, :line, :what, :due, :text, :pieces, :price, :freight, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final PartRows rows;
    private final Jobs jobs;
    private final Cards cards;
    private final KitPlans plans;
    private final Clearances clearances;
    private final Clock clock;

    PartLog(
            JdbcClient jdbc,
            PartRows rows,
            Jobs jobs,
            Cards cards,
            KitPlans plans,
            Clock clock,
            Clearances clearances) {
        this.clearances = clearances;
        this.jdbc = jdbc;
        this.rows = rows;
        this.jobs = jobs;
        this.cards = cards;
        this.plans = plans;
        this.clock = clock;
    }

    /** What a row says. */
    enum What {
        ASKED,
        HERE,
        NOT_NEEDED,
        REOPENED,
        /** Its number and what it costs. */
        NOTED,
        /** A piece of the maker's list. */
        LISTED,
        ADDED
    }

    /**
     * A row.
     *
     * @param text from whom and for how much, why it goes without, its number, or the name of an added line
     */
    record Entry(PartEvent event, What what, String text, String by) {
        Optional<LocalDate> due() {
            return event instanceof PartEvent.Asked asked ? asked.due() : Optional.empty();
        }
    }

    List<Entry> entries(Job job) {
        return rows.of(job).entries();
    }

    /** What a stay's bill follows from. */
    Bill.Job needs(Job job) {
        Cards.Needs needs = cards.needs(job);
        List<Finding> planned = new ArrayList<>(plans.of(job).plan().findings());
        planned.addAll(clearances.planned(job));
        return new Bill.Job(needs.card(), needs.wanted(), needs.state(), planned);
    }

    /** The bill as plan and card have it now, with what was said of it. */
    public Bill bill(Job job) {
        return Bill.of(needs(job), entries(job).stream().map(Entry::event).toList());
    }

    /** What a stay waits for, the last to come last; empty where nothing is awaited. */
    public List<BillLine> awaited(Job job) {
        return entries(job).isEmpty() ? List.of() : bill(job).awaited();
    }

    /**
     * Writes down what was said of lines. What stands so already, said by the same person, is not written again: a form that is
     * sent twice counts once, and one from a page of before counts for what it says.
     *
     * @param text may be empty
     */
    @Transactional
    void say(Person by, Job job, What what, List<String> lines, Optional<LocalDate> due, String text) {
        jobs.hold(job);
        Map<String, Entry> last = new HashMap<>();
        rows.read(job).entries().stream()
                .filter(entry -> entry.what() != What.NOTED)
                .forEach(entry -> last.put(entry.event().line(), entry));
        for (String line : lines) {
            Entry is = last.get(line);
            boolean stands = is != null
                    && is.what() == what
                    && is.due().equals(due)
                    && is.text().equals(text)
                    && is.by().equals(by.initials());
            if (!stands) {
                add(by, job, new Row(Ids.fresh(), line, what, due, text, 1, BillLine.Facts.NONE));
            }
        }
    }

    /** Writes down a line's number and what it costs, where that is not what stands. */
    @Transactional
    void note(Person by, Job job, BillLine line, BillLine.Facts facts) {
        jobs.hold(job);
        if (!line.facts().equals(facts)) {
            add(by, job, new Row(Ids.fresh(), line.key(), What.NOTED, Optional.empty(), facts.number(), 1, facts));
        }
    }

    /** The pieces of a maker's list, each a line; a list that is sent twice counts once. */
    @Transactional
    void list(Person by, Job job, UUID client, List<MakersList.Piece> pieces) {
        jobs.hold(job);
        for (int i = 0; i < pieces.size(); i++) {
            MakersList.Piece piece = pieces.get(i);
            UUID id = UUID.nameUUIDFromBytes((client + " " + i).getBytes(StandardCharsets.US_ASCII));
            add(
                    by,
                    job,
                    new Row(
                            id,
                            "list:" + id,
                            What.LISTED,
                            Optional.empty(),
                            piece.name(),
                            piece.count(),
                            BillLine.Facts.NONE));
        }
    }

    /** A row to be written. */
    record Row(
            UUID client,
            String line,
            What what,
            Optional<LocalDate> due,
            String text,
            int pieces,
            BillLine.Facts facts) {}

    void add(Person by, Job job, Row row) {
        try {
            jdbc.sql(ADD)
                    .param("shop", job.shop().toString())
                    .param("job", job.id().toString())
                    .param("client", row.client().toString())
                    .param("line", row.line())
                    .param("what", row.what().name())
                    .param("due", row.due().orElse(null))
                    .param("text", row.text())
                    .param("pieces", row.pieces())
                    .param("price", row.facts().price().orElse(null))
                    .param("freight", row.facts().freight().orElse(null))
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
        } catch (DuplicateKeyException sent) {
            // The same was sent twice: it stands.
        }
    }
}
