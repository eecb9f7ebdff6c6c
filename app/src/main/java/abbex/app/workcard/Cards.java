package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.kit.Kits;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.vehicle.End;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardFinding;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Work cards of stays, one shop at a time: the public service of the station. */
@Service
public class Cards {
    private static final String OF =
            "select book_id, facts, supplied, rounds from card where shop_id = :shop and job_id = :job";

    private static final String ENTRIES = """
            select e.seq, e.what, e.step, e.item, e.text, e.more, e.value, e.spec_seq, e.made_at, p.initials
              from card_entry e join person p on p.id = e.person_id
             where e.shop_id = :shop and e.job_id = :job order by e.seq
            """;

    private static final String BEGIN = """
            insert into card (id, shop_id, job_id, book_id, facts, supplied, rounds, person_id, begun_at)
            values (:id, :shop, :job, :book, :facts, :supplied, :rounds, :person, :at)
            """;

    private static final String ADD = """
            insert into card_entry (shop_id, job_id, client, what, step, item, text, more, value, spec_seq, person_id, made_at)
            values (:shop, :job, :client, :what, :step, :item, :text, :more, :value, :spec, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Kits kits;
    private final Books books;
    private final Specs specs;
    private final Clock clock;
    private final Audit audit;
    private final StepTimes times;
    private final ApplicationEventPublisher events;

    Cards(
            JdbcClient jdbc,
            Reads reads,
            Kits kits,
            Books books,
            Specs specs,
            Clock clock,
            Audit audit,
            StepTimes times,
            ApplicationEventPublisher events) {
        this.events = events;
        this.times = times;
        this.audit = audit;
        this.jdbc = jdbc;
        this.reads = reads;
        this.kits = kits;
        this.books = books;
        this.specs = specs;
        this.clock = clock;
    }

    /** What a row of a card says. */
    enum What {
        HELD,
        TICKED,
        OPENED,
        OTHERWISE,
        CAPTURED,
        PLACED,
        TIGHTENED,
        MARKED,
        LOOSENED,
        FOUND,
        /** The customer said yes or no to what was found; the item is the row that told it. */
        ANSWERED
    }

    /**
     * A row.
     *
     * @param item the hold's number, the capture, the part or the fastener
     * @param value N·m of a reading
     * @param spec the newest figure that was known then
     */
    record Entry(
            long seq,
            What what,
            String step,
            String item,
            String text,
            String more,
            double value,
            long spec,
            Instant at,
            String initials) {}

    /**
     * A card as it stands.
     *
     * @param begun false for one that only shows what it would be
     * @param planned the parts that the plan brought when it began; others now where the plan was changed
     * @param newer the shop has other steps by now than those that it began with
     */
    record Current(
            boolean begun,
            Card card,
            Wanted wanted,
            CardState state,
            List<Entry> entries,
            Map<String, List<Specs.Said>> specs,
            String planned,
            boolean newer) {
        /** Who ticked a step last; empty where nobody did. */
        String who(String step) {
            return entries.stream()
                    .filter(e -> e.what() == What.TICKED && e.step().equals(step) && state.done(step))
                    .reduce((first, last) -> last)
                    .map(Entry::initials)
                    .orElse("");
        }

        /** The plan brings other parts than when the card began. */
        public boolean changed() {
            return begun && !planned.equals(CardWants.supplied(wanted));
        }
    }

    /** The card of a stay; one that was not begun yet goes by the facts that most jobs have. */
    Current of(Job job) {
        return reads.ofVehicle(
                job.shop(), job.vehicle().id(), List.of(Cards.class, job.shop(), job.id()), () -> read(job));
    }

    /** What a card would be, begun with such facts and rounds; one that was begun is what it is. */
    Current as(Job job, Set<String> facts, List<Set<End>> rounds) {
        Current current = of(job);
        return current.begun() ? current : would(job, wanted(job, facts, rounds));
    }

    private Current would(Job job, Wanted wanted) {
        Card card = Card.of(books.today(job.shop()), wanted);
        CardState state = CardState.of(card, wanted, List.of());
        return new Current(false, card, wanted, state, List.of(), Map.of(), "", false);
    }

    /** How the card of a stay stands; empty while none was begun. */
    public Optional<CardState> begun(Job job) {
        return Optional.of(of(job)).filter(Current::begun).map(Current::state);
    }

    /** What the card says of the stay; of one that was never begun only where new parts were measured. */
    public List<CardFinding> findings(Job job, boolean measured) {
        Current current = of(job);
        if (current.begun()) {
            return current.state().findings();
        }
        boolean parts = current.wanted().supplied().stream().anyMatch(of -> !of.isEmpty());
        return measured && parts ? List.of(new CardFinding.NotBegun()) : List.of();
    }

    /**
     * What a job's card needs, begun or not.
     *
     * @param raised the card has brought the vehicle up
     */
    public record Needs(Card card, Wanted wanted, CardState state, boolean raised) {}

    public Needs needs(Job job) {
        Current current = of(job);
        boolean raised = current.begun()
                && current.card().steps().stream()
                        .filter(step -> step.step()
                                .role()
                                .filter(Step.Role.RAISE::equals)
                                .isPresent())
                        .anyMatch(step -> current.state().done(step.key()));
        return new Needs(current.card(), current.wanted(), current.state(), raised);
    }

    /** The steps that ship with the application. */
    public List<Chapter> shipped() {
        return books.shipped();
    }

    private record Row(String book, Set<String> facts, String supplied, List<Set<End>> rounds) {}

    private Current read(Job job) {
        Optional<Row> row = jdbc.sql(OF)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query((r, n) -> new Row(
                        r.getString("book_id"),
                        words(r.getString("facts")),
                        r.getString("supplied"),
                        CardWants.rounds(r.getString("rounds"))))
                .optional();
        return row.map(begun -> read(job, begun)).orElseGet(() -> would(job, wanted(job, Set.of("lift"), List.of())));
    }

    private Current read(Job job, Row row) {
        Wanted wanted = wanted(job, row.facts(), row.rounds());
        Card card = Card.of(books.of(job.shop(), row.book()), wanted);
        List<Entry> entries = entries(job);
        Map<String, List<Specs.Said>> said = specs.of(job.shop(), job.vehicle());
        return new Current(
                true,
                card,
                wanted,
                CardState.of(card, wanted, CardFold.of(card, entries, said)),
                entries,
                said,
                row.supplied(),
                !row.book().equals(books.id(job.shop())));
    }

    private Wanted wanted(Job job, Set<String> facts, List<Set<End>> rounds) {
        return CardWants.of(job, kits.of(job).chosen().values(), facts, rounds);
    }

    private static Set<String> words(String text) {
        return text.isEmpty() ? Set.of() : Set.copyOf(Arrays.asList(text.split(" ")));
    }

    private List<Entry> entries(Job job) {
        return jdbc.sql(ENTRIES)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query((row, n) -> new Entry(
                        row.getLong("seq"),
                        What.valueOf(row.getString("what")),
                        row.getString("step"),
                        row.getString("item"),
                        row.getString("text"),
                        row.getString("more"),
                        row.getDouble("value"),
                        row.getLong("spec_seq"),
                        Times.instant(row, "made_at"),
                        row.getString("initials")))
                .list();
    }

    /** Under what a fastener's figure is kept: both sides of an end share it. */
    static String specKey(CardStep step, Step.Fastener fastener) {
        return fastener.id() + "@"
                + step.end().map(End::code).orElse(step.place().code());
    }

    /** Begins a card with what ships today; one that was begun stays as it is. */
    @Transactional
    public void begin(Person by, Job job, Set<String> facts, List<Set<End>> rounds) {
        try {
            jdbc.sql(BEGIN)
                    .param("id", Ids.fresh().toString())
                    .param("shop", by.shop().toString())
                    .param("job", job.id().toString())
                    .param("book", books.keep(by.shop()))
                    .param("facts", String.join(" ", new TreeSet<>(facts)))
                    .param("supplied", CardWants.supplied(wanted(job, facts, rounds)))
                    .param("rounds", CardWants.text(rounds))
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
        } catch (DuplicateKeyException begun) {
            // Somebody else began it meanwhile: it is the same card.
        }
    }

    /**
     * Another round: ends that were put off, or one again with other parts. What was done in the rounds before stays.
     *
     * @param had how many rounds the page showed: sent twice, or by two at once, it is one more
     */
    @Transactional
    public void round(Person by, Job job, Set<End> ends, int had) {
        String text = jdbc.sql("select rounds from card where shop_id = :shop and job_id = :job for update")
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query(String.class)
                .single();
        List<Set<End>> rounds =
                new ArrayList<>(text.isEmpty() ? List.of(Set.of(End.values())) : CardWants.rounds(text));
        if (rounds.size() == had && had < MOST_ROUNDS) {
            rounds.add(ends);
            audit.add(by, Audit.What.ROUND_BEGUN, job.vehicle().plate() + " · " + rounds.size());
        }
        jdbc.sql("update card set rounds = :rounds where shop_id = :shop and job_id = :job")
                .param("rounds", CardWants.text(rounds))
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .update();
    }

    /** Nobody takes a vehicle apart more often in one visit (ours). */
    private static final int MOST_ROUNDS = 8;

    /** The card goes on with the steps that the shop has now. */
    @Transactional
    public void renew(Person by, Job job) {
        jdbc.sql("update card set book_id = :book where shop_id = :shop and job_id = :job")
                .param("book", books.keep(job.shop()))
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .update();
        audit.add(by, Audit.What.STEPS_UPDATED, job.vehicle().plate());
    }

    /** What is asked before a card of a kind of vehicle begins. */
    List<String> asked(Job job) {
        return CardWants.asked(books.today(job.shop()), job.vehicle().kind());
    }

    /** What somebody writes down. */
    record Note(What what, String step, String item, String text, String more, double value) {}

    /** A row that this client sent stands already. */
    boolean stands(Job job, UUID client) {
        return jdbc.sql("select 1 from card_entry where shop_id = :shop and job_id = :job and client = :client")
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("client", client.toString())
                .query((row, n) -> 1)
                .optional()
                .isPresent();
    }

    /** When something was typed that waited for so many ms; never before the card was begun. */
    Instant typed(Job job, long ago) {
        Instant begun = jdbc.sql("select begun_at from card where shop_id = :shop and job_id = :job")
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query((row, n) -> Times.instant(row, "begun_at"))
                .optional()
                .orElse(Instant.EPOCH);
        return Times.typed(clock.instant(), ago, begun);
    }

    /** Writes a row; one that this client sent before is not written again. */
    @Transactional
    void add(Person by, Job job, UUID client, Instant at, Note note) {
        long newest = specs.newest(job.shop(), job.vehicle());
        if (note.what() == What.TICKED) {
            of(job).card().find(note.step()).ifPresent(step -> times.ticked(by, job, step, at));
        }
        try {
            jdbc.sql(ADD)
                    .param("shop", by.shop().toString())
                    .param("job", job.id().toString())
                    .param("client", client.toString())
                    .param("what", note.what().name())
                    .param("step", note.step())
                    .param("item", note.item())
                    .param("text", note.text())
                    .param("more", note.more())
                    .param("value", note.value())
                    .param("spec", newest)
                    .param("person", by.id().toString())
                    .param("at", Times.column(at))
                    .update();
        } catch (DuplicateKeyException twice) {
            // It stands already.
        }
        if (note.what() == What.TICKED || note.what() == What.OPENED) {
            events.publishEvent(new CardChanged(by, job));
        }
    }
}
