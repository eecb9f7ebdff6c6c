package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.app.workcard.CardChanged;
import abbex.core.parts.BillLine;
import abbex.core.parts.Shelf;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a shop counts on its shelf; a shop that counts nothing pays one query. */
@Service
class ShelfLog {
    private static final String ITEMS = """
            select i.id, i.name, i.thread, i.name_key, m.what, m.pieces, m.job_id, m.line
              from shelf_item i left join shelf_move m on m.item_id = i.id
             where i.shop_id = :shop and i.withdrawn_at is null order by i.name_key, i.id, m.seq
            """;

    private static final String ADD_ITEM = """
            insert into shelf_item (id, shop_id, name, thread, name_key, person_id, made_at)
            values (:id, :shop, :name, :thread, :key, :person, :at)
            """;

    private static final String HOLD =
            "select id from shelf_item where shop_id = :shop and withdrawn_at is null order by id for update";

    private static final String MOVE = """
            insert into shelf_move (shop_id, item_id, what, pieces, job_id, line, person_id, made_at)
            values (:shop, :item, :what, :pieces, :job, :line, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final PartLog log;
    private final Jobs jobs;
    private final Clock clock;

    ShelfLog(JdbcClient jdbc, Reads reads, PartLog log, Jobs jobs, Clock clock) {
        this.jobs = jobs;
        this.jdbc = jdbc;
        this.reads = reads;
        this.log = log;
        this.clock = clock;
    }

    /** Something that is counted. */
    record Item(UUID id, String name, String thread, String key, List<Shelf.Move> moves) {
        int count() {
            return Shelf.count(moves);
        }
    }

    /** All that is counted, by name. */
    List<Item> items(UUID shop) {
        return reads.ofShop(shop, List.of(ShelfLog.class, shop), () -> read(shop));
    }

    /** Read afresh, for what is moved is counted from it. */
    private List<Item> read(UUID shop) {
        Map<UUID, Item> items = new LinkedHashMap<>();
        jdbc.sql(ITEMS).param("shop", shop.toString()).query(row -> {
            UUID id = Ids.id(row, "id");
            String name = row.getString("name");
            String thread = row.getString("thread");
            String key = row.getString("name_key");
            Item item = items.computeIfAbsent(id, i -> new Item(i, name, thread, key, new ArrayList<>()));
            if (row.getString("what") != null) {
                item.moves()
                        .add(new Shelf.Move(
                                Shelf.What.valueOf(row.getString("what")),
                                row.getInt("pieces"),
                                of(Ids.maybe(row, "job_id"), row.getString("line"))));
            }
        });
        return List.copyOf(items.values());
    }

    private static String of(@Nullable UUID job, String line) {
        return job == null ? "" : job + " " + line;
    }

    static Optional<Item> of(List<Item> items, BillLine line) {
        String key = Shelf.key(line.kind(), line.thread());
        return Shelf.counts(line)
                ? items.stream().filter(item -> item.key().equals(key)).findFirst()
                : Optional.empty();
    }

    /** Counts a part from now on; one that is counted already is counted again. */
    @Transactional
    void count(Person by, String name, String thread, int pieces) {
        hold(by.shop());
        String key = Shelf.key(name, thread);
        Optional<UUID> known = read(by.shop()).stream()
                .filter(item -> item.key().equals(key))
                .map(Item::id)
                .findFirst();
        UUID id = known.orElseGet(() -> add(by, name, thread, key));
        if (known.isEmpty()) {
            // What was fitted before it was counted did not lie there any more.
            jobs.onTheFloor(by.shop()).forEach(job -> moved(by, job));
        }
        move(by, id, Shelf.What.COUNTED, pieces, null, "");
    }

    private UUID add(Person by, String name, String thread, String key) {
        UUID id = Ids.fresh();
        jdbc.sql(ADD_ITEM)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("name", name)
                .param("thread", thread)
                .param("key", key)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return id;
    }

    private void hold(UUID shop) {
        jdbc.sql(HOLD).param("shop", shop.toString()).query(String.class).list();
    }

    /** Found or brought. */
    @Transactional
    void said(Person by, UUID item, Shelf.What what, int pieces) {
        hold(by.shop());
        move(by, item, what, pieces, null, "");
    }

    /** It is counted no more. */
    @Transactional
    void withdraw(Person by, UUID item) {
        jdbc.sql("update shelf_item set withdrawn_at = :at where id = :id and shop_id = :shop and withdrawn_at is null")
                .param("at", Times.column(clock.instant()))
                .param("id", item.toString())
                .param("shop", by.shop().toString())
                .update();
    }

    private void move(Person by, UUID item, Shelf.What what, int pieces, @Nullable UUID job, String line) {
        jdbc.sql(MOVE)
                .param("shop", by.shop().toString())
                .param("item", item.toString())
                .param("what", what.name())
                .param("pieces", pieces)
                .param("job", Ids.text(job))
                .param("line", line)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /** What a step fitted has left the shelf, and what was opened again lies there. */
    @EventListener
    @Transactional
    public void changed(CardChanged changed) {
        moved(changed.by(), changed.job());
    }

    /** Moves what the stay's bill has taken since; as often as it is asked, each piece is moved once. */
    @Transactional
    void moved(Person by, Job job) {
        if (read(job.shop()).isEmpty()) {
            return;
        }
        hold(job.shop());
        List<Item> items = read(job.shop());
        for (BillLine line : log.bill(job).lines()) {
            of(items, line).ifPresent(item -> {
                int owed = Shelf.owed(line, of(job.id(), line.key()), item.moves());
                if (owed != 0) {
                    move(by, item.id(), Shelf.What.FITTED, owed, job.id(), line.key());
                }
            });
        }
    }
}
