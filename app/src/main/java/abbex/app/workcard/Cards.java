package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.kit.KitField;
import abbex.app.kit.KitValues;
import abbex.app.kit.Kits;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.torque.Tightening;
import abbex.core.units.Torque;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.BenchPart;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Work cards of stays, one shop at a time: the public service of the station. */
@Service
public class Cards {
    private static final String OF =
            "select book_id, facts, supplied from card where shop_id = :shop and job_id = :job";

    private static final String ENTRIES = """
            select e.seq, e.what, e.step, e.item, e.text, e.more, e.value, e.spec_seq, e.made_at, p.initials
              from card_entry e join person p on p.id = e.person_id
             where e.shop_id = :shop and e.job_id = :job order by e.seq
            """;

    private static final String BEGIN = """
            insert into card (id, shop_id, job_id, book_id, facts, supplied, person_id, begun_at)
            values (:id, :shop, :job, :book, :facts, :supplied, :person, :at)
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

    Cards(JdbcClient jdbc, Reads reads, Kits kits, Books books, Specs specs, Clock clock) {
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
        FOUND
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
     */
    record Current(
            boolean begun,
            Card card,
            Wanted wanted,
            CardState state,
            List<Entry> entries,
            Map<String, List<Specs.Said>> specs,
            String planned) {
        /** The plan brings other parts than when the card began. */
        public boolean changed() {
            return begun && !planned.equals(supplied(wanted));
        }
    }

    /** The card of a stay; one that was not begun yet goes by the facts that most jobs have. */
    Current of(Job job) {
        return reads.ofVehicle(
                job.shop(), job.vehicle().id(), List.of(Cards.class, job.shop(), job.id()), () -> read(job));
    }

    /** How the card of a stay stands; empty while none was begun. */
    public Optional<CardState> begun(Job job) {
        return Optional.of(of(job)).filter(Current::begun).map(Current::state);
    }

    /** The steps that ship with the application. */
    public List<Chapter> shipped() {
        return books.shipped();
    }

    private record Row(String book, Set<String> facts, String supplied) {}

    private Current read(Job job) {
        Optional<Row> row = jdbc.sql(OF)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query((r, n) -> new Row(r.getString("book_id"), words(r.getString("facts")), r.getString("supplied")))
                .optional();
        Wanted wanted = wanted(job, row.map(Row::facts).orElse(Set.of("lift")));
        Card card = Card.of(row.map(r -> books.of(job.shop(), r.book())).orElseGet(books::shipped), wanted);
        List<Entry> entries = row.isPresent() ? entries(job) : List.of();
        Map<String, List<Specs.Said>> said = row.isPresent() ? specs.of(job.shop(), job.vehicle()) : Map.of();
        return new Current(
                row.isPresent(),
                card,
                wanted,
                CardState.of(card, wanted, events(card, entries, said)),
                entries,
                said,
                row.map(Row::supplied).orElse(""));
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

    /** What the steps of a kind of vehicle ask of a job beside its kit, in one order. */
    List<String> asked(VehicleKind kind) {
        Set<String> asked = new TreeSet<>();
        books.shipped().stream()
                .filter(chapter -> chapter.kinds().isEmpty() || chapter.kinds().contains(kind))
                .flatMap(chapter -> chapter.steps().stream())
                .flatMap(step -> step.when().stream())
                .map(condition -> condition.replace("!", ""))
                .filter(FACTS::contains)
                .forEach(asked::add);
        return List.copyOf(asked);
    }

    /** What steps may ask beside the kit. */
    static final Set<String> FACTS = Set.of("lift", "wired", "rubber-pivots", "notch", "shaft");

    /** What the kit brings to each end, by what is told of it; a printed drop alone is a spring. */
    Wanted wanted(Job job, Set<String> facts) {
        KitValues values = kits.of(job).chosen().values();
        Set<String> all = new TreeSet<>(facts);
        for (End end : End.values()) {
            if (values.at(end, KitField.PERCH).isPresent()
                    || values.at(end, KitField.TURNS).isPresent()) {
                all.add("perch");
            }
        }
        return new Wanted(
                job.vehicle().kind(),
                new PerEnd<>(job.vehicle().front(), job.vehicle().rear()),
                PerEnd.of(end -> parts(values, end)),
                all);
    }

    private static Set<String> parts(KitValues values, End end) {
        Set<String> parts = new TreeSet<>();
        BRINGS.forEach((kind, fields) -> {
            if (fields.stream().anyMatch(f -> values.at(end, f).isPresent())) {
                parts.add(kind);
            }
        });
        return parts;
    }

    private static final Map<String, List<KitField>> BRINGS = Map.of(
            "spring",
            List.of(KitField.BOX, KitField.NEW_FREE, KitField.NEW_RATE, KitField.NEW_TABLE),
            "damper",
            List.of(KitField.NEW_GAS, KitField.NEW_LONG, KitField.NEW_SHORT),
            "stop",
            List.of(KitField.NEW_STOP),
            "isolator",
            List.of(KitField.NEW_PAD),
            "helper",
            List.of(KitField.NEW_SECOND_RATE),
            "ring",
            List.of(KitField.NEW_STACK),
            "block",
            List.of(KitField.BLOCK),
            "spindle",
            List.of(KitField.SPINDLE));

    static String supplied(Wanted wanted) {
        return Arrays.stream(End.values())
                .flatMap(end -> wanted.supplied().get(end).stream().sorted().map(kind -> kind + "@" + end.code()))
                .collect(Collectors.joining(" "));
    }

    /** Under what a fastener's figure is kept: both sides of an end share it. */
    static String specKey(CardStep step, Step.Fastener fastener) {
        return fastener.id() + "@"
                + step.end().map(End::code).orElse(step.place().code());
    }

    private static Map<String, String> specKeys(Card card) {
        Map<String, String> keys = new LinkedHashMap<>();
        card.steps()
                .forEach(step -> step.step().fasteners().forEach(f -> keys.put(step.fastener(f), specKey(step, f))));
        return keys;
    }

    /** With the figures in between as they were known when each row was written. */
    private static List<CardEvent> events(Card card, List<Entry> entries, Map<String, List<Specs.Said>> said) {
        Map<String, String> keys = specKeys(card);
        List<CardEvent> events = new ArrayList<>();
        Map<String, Integer> told = new HashMap<>();
        for (Entry entry : entries) {
            if (entry.what() == What.TIGHTENED) {
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

    private static Optional<CardEvent> event(Entry e) {
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
            case FOUND -> Optional.empty();
        };
    }

    /** Begins a card with what ships today; one that was begun stays as it is. */
    @Transactional
    public void begin(Person by, Job job, Set<String> facts) {
        try {
            jdbc.sql(BEGIN)
                    .param("id", Ids.fresh().toString())
                    .param("shop", by.shop().toString())
                    .param("job", job.id().toString())
                    .param("book", books.now(by.shop()))
                    .param("facts", String.join(" ", new TreeSet<>(facts)))
                    .param("supplied", supplied(wanted(job, facts)))
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
        } catch (DuplicateKeyException begun) {
            // Somebody else began it meanwhile: it is the same card.
        }
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
    }
}
