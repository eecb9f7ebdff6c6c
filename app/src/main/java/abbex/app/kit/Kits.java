package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.app.arrive.KnownKits;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.heights.Advertised;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Kits for stays and what is told of them, one shop at a time: the public service of the station. */
@Service
public class Kits implements KnownKits {
    /** Kits of a stay in the order in which they were named, each with the newest choice, then what was told, in order. */
    private static final String OF = """
            select 'kit' what, id, null end_of, null field, null raw, null value, nr seq, made_at,
                   (select kit_id from kit_choice c where c.shop_id = k.shop_id and c.job_id = k.job_id
                     order by seq desc limit 1) chosen,
                   (select reason from kit_choice c where c.shop_id = k.shop_id and c.job_id = k.job_id
                     order by seq desc limit 1) reason
              from kit k where shop_id = :shop and job_id = :job
            union all
            select 'told', kit_id, end_of, field, raw, value, seq, null, null, null
              from kit_value where shop_id = :shop and vehicle_id = :vehicle
            union all
            select 'turn', kit_id, null, null, null, null, seq, made_at, null, null
              from kit_choice where shop_id = :shop and job_id = :job
             order by what, seq
            """;

    /** The newest figures of every kit of a shop that has a name, with the kind of vehicle that it was for. */
    private static final String SHELF = """
            select n.raw name, k.kind, n.kit_id id, n.seq
              from kit_value n join kit k on k.id = n.kit_id and k.shop_id = n.shop_id
             where n.shop_id = :shop and n.field = 'NAME' and n.raw <> ''
             order by n.seq desc limit 400
            """;

    /** When the parts of each stay's kit come, of the kit that was chosen or of any while none is. */
    private static final String ARRIVALS = """
            select k.job_id, v.raw
              from kit_value v join kit k on k.id = v.kit_id and k.shop_id = v.shop_id
             where v.shop_id = :shop and v.field = 'DAYS'
               and k.id = coalesce((select c.kit_id from kit_choice c where c.shop_id = k.shop_id and c.job_id = k.job_id
                                     order by c.seq desc limit 1), k.id)
             order by v.seq
            """;

    private static final String OF_KIT = """
            select end_of, field, raw, value from kit_value where shop_id = :shop and kit_id = :kit order by seq
            """;

    private static final String ADD = """
            insert into kit (id, shop_id, job_id, kind, person_id, made_at) values (:id, :shop, :job, :kind, :person, :at)
            """;

    private static final String TELL = """
            insert into kit_value (shop_id, vehicle_id, kit_id, end_of, field, raw, value, person_id, made_at)
            values (:shop, :vehicle, :kit, :end, :field, :raw, :value, :person, :at)
            """;

    private static final String CHOOSE = """
            insert into kit_choice (shop_id, job_id, kit_id, reason, person_id, made_at)
            values (:shop, :job, :kit, :reason, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Audit audit;
    private final Reads reads;
    private final Clock clock;

    Kits(JdbcClient jdbc, Audit audit, Reads reads, Clock clock) {
        this.jdbc = jdbc;
        this.audit = audit;
        this.reads = reads;
        this.clock = clock;
    }

    /**
     * A kit for a stay.
     *
     * @param id null for the one that was only named when the vehicle was received
     * @param values of the vehicle and of the kit
     * @param edition grows with whatever is told of the vehicle or the kit
     */
    public record Kit(@Nullable UUID id, KitValues values, long edition) {
        public String name() {
            return values.raw(null, KitField.NAME);
        }

        /** What it is chosen by on a page. */
        public String key() {
            return id == null ? "" : id.toString();
        }
    }

    /**
     * All kits of a stay.
     *
     * @param list at least one
     * @param chosen the one that the stay gets
     * @param reason why; empty where nobody said
     * @param choices what was chosen when, the first first
     */
    public record OfJob(List<Kit> list, Kit chosen, String reason, boolean decided, List<Choice> choices) {
        /** The one that the stay was to get at a moment: the first of all before any was chosen. */
        public Kit chosenAt(Instant moment) {
            return choices.stream()
                    .filter(choice -> !choice.at().isAfter(moment))
                    .reduce((one, other) -> other)
                    .flatMap(choice -> find(choice.kit()))
                    .orElse(list.get(0));
        }

        public Optional<Kit> find(String key) {
            return list.stream().filter(kit -> kit.key().equals(key)).findFirst();
        }
    }

    /** A kit that was chosen, by its key. */
    public record Choice(Instant at, String kit) {}

    private record Row(
            UUID id, @Nullable String chosen, @Nullable String reason) {}

    /** Everything of a vehicle and a stay, by the kit's id; what is told of the vehicle stands under an empty one. */
    private record Kept(
            List<Row> kits,
            Map<String, Map<KitValues.Key, KitValues.Told>> values,
            Map<String, Long> newest,
            List<Choice> choices) {}

    public OfJob of(Job job) {
        return reads.ofVehicle(
                job.shop(), job.vehicle().id(), List.of(Kits.class, job.shop(), job.id()), () -> read(job));
    }

    @Override
    public List<String> names(Job job) {
        return of(job).list().stream()
                .map(Kit::name)
                .filter(name -> !name.isEmpty())
                .toList();
    }

    private OfJob read(Job job) {
        Kept kept = kept(job);
        if (kept.kits().isEmpty()) {
            Kit named = kit(job, null, kept);
            return new OfJob(List.of(named), named, "", false, List.of());
        }
        List<Kit> kits =
                kept.kits().stream().map(row -> kit(job, row.id(), kept)).toList();
        Row first = kept.kits().get(0);
        Kit chosen = kits.stream()
                .filter(kit -> kit.key().equals(first.chosen()))
                .findFirst()
                .orElse(kits.get(0));
        return new OfJob(
                kits,
                chosen,
                Objects.requireNonNullElse(first.reason(), ""),
                first.chosen() != null,
                List.copyOf(kept.choices()));
    }

    private Kept kept(Job job) {
        Kept kept = new Kept(new ArrayList<>(), new HashMap<>(), new HashMap<>(), new ArrayList<>());
        jdbc.sql(OF)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("vehicle", job.vehicle().id().toString())
                .query(row -> {
                    String kit = Objects.requireNonNullElse(row.getString("id"), "");
                    if (row.getString("what").equals("kit")) {
                        kept.kits()
                                .add(new Row(UUID.fromString(kit), row.getString("chosen"), row.getString("reason")));
                    } else if (row.getString("what").equals("turn")) {
                        kept.choices().add(new Choice(Times.instant(row, "made_at"), kit));
                    } else {
                        kept.newest().put(kit, row.getLong("seq"));
                        value(row, kept.values().computeIfAbsent(kit, k -> new HashMap<>()));
                    }
                });
        return kept;
    }

    private static void value(ResultSet row, Map<KitValues.Key, KitValues.Told> into) throws SQLException {
        String end = row.getString("end_of");
        KitValues.Key key =
                new KitValues.Key(end.isEmpty() ? null : End.valueOf(end), KitField.valueOf(row.getString("field")));
        String raw = row.getString("raw");
        if (raw.isEmpty()) {
            into.remove(key);
        } else {
            into.put(key, new KitValues.Told(raw, row.getDouble("value")));
        }
    }

    /** The first kit of a stay starts with what was said of it when the vehicle was received. */
    private static Kit kit(Job job, @Nullable UUID id, Kept kept) {
        Map<KitValues.Key, KitValues.Told> all = new LinkedHashMap<>();
        if (id == null) {
            all.putAll(received(job).told());
        } else {
            all.putAll(kept.values().getOrDefault(id.toString(), Map.of()));
        }
        all.putAll(kept.values().getOrDefault("", Map.of()));
        long edition = Math.max(
                kept.newest().getOrDefault("", 0L),
                id == null ? 0 : kept.newest().getOrDefault(id.toString(), 0L));
        return new Kit(id, new KitValues(all), edition);
    }

    /** What was said of a kit when the vehicle was received: its name and what its box promises. */
    static KitValues received(Job job) {
        Map<KitValues.Key, KitValues.Told> told = new HashMap<>();
        if (!job.kit().isEmpty()) {
            told.put(new KitValues.Key(null, KitField.NAME), new KitValues.Told(job.kit(), 0));
        }
        for (End end : End.values()) {
            Job.Promise promise = job.promises().get(end);
            if (promise != null) {
                Advertised.Range range = promise.range();
                told.put(
                        new KitValues.Key(end, KitField.BOX),
                        new KitValues.Told(promise.leastRaw(), range.least().mm()));
                if (!range.single()) {
                    told.put(
                            new KitValues.Key(end, KitField.BOX_TO),
                            new KitValues.Told(promise.mostRaw(), range.most().mm()));
                }
            }
        }
        return new KitValues(told);
    }

    /**
     * Keeps what is told of a kit and of the vehicle; of a stay's first kit all that was said when it was received as well.
     *
     * @param from the edition that was on the page; empty when nobody says which
     * @return the kit's id; empty when somebody told otherwise meanwhile, and nothing is changed then
     */
    @Transactional
    public Optional<UUID> tell(Person by, Job job, @Nullable UUID kit, KitValues values, Optional<Integer> from) {
        Kit standing = standing(job, kit);
        if (from.isPresent() && from.get() != standing.edition()) {
            return Optional.empty();
        }
        UUID id = kit == null ? add(by, job) : kit;
        (kit == null
                        ? vehicle(standing.values()).changed(values)
                        : standing.values().changed(values))
                .forEach((key, told) -> tell(by, job, key.field().vehicle() ? null : id, key, told));
        return Optional.of(id);
    }

    private static KitValues vehicle(KitValues all) {
        Map<KitValues.Key, KitValues.Told> told = new HashMap<>(all.told());
        told.keySet().removeIf(key -> !key.field().vehicle());
        return new KitValues(told);
    }

    /** Read afresh, for what is written is counted from it. */
    private Kit standing(Job job, @Nullable UUID kit) {
        List<Kit> kits = new ArrayList<>(read(job).list());
        return kits.stream()
                .filter(k -> Objects.equals(k.id(), kit))
                .findFirst()
                .orElseGet(() -> kit(job, kit, kept(job)));
    }

    private UUID add(Person by, Job job) {
        UUID id = Ids.fresh();
        jdbc.sql(ADD)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("job", job.id().toString())
                .param("kind", job.vehicle().kind().name())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return id;
    }

    private void tell(Person by, Job job, @Nullable UUID kit, KitValues.Key key, KitValues.Told told) {
        jdbc.sql(TELL)
                .param("shop", by.shop().toString())
                .param("vehicle", job.vehicle().id().toString())
                .param("kit", Ids.text(kit))
                .param("end", key.end() == null ? "" : key.end().name())
                .param("field", key.field().name())
                .param("raw", told.raw())
                .param("value", told.value())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /**
     * A kit that the shop has used: what was told of it last.
     *
     * @param kind of vehicle that it was for
     */
    public record Shelved(UUID id, String name, VehicleKind kind) {}

    /** The kits of a shop by name and kind of vehicle, the newest first. */
    public List<Shelved> shelf(UUID shop) {
        Map<String, Shelved> shelf = new LinkedHashMap<>();
        jdbc.sql(SHELF).param("shop", shop.toString()).query(row -> {
            Shelved one =
                    new Shelved(Ids.id(row, "id"), row.getString("name"), VehicleKind.valueOf(row.getString("kind")));
            shelf.putIfAbsent(one.kind() + " " + one.name().toLowerCase(Locale.ROOT), one);
        });
        return List.copyOf(shelf.values());
    }

    /**
     * Another kit beside those there are; one that the shop has used on this kind of vehicle comes with its figures as they are
     * now. What is told of either later changes nothing of the other.
     */
    @Transactional
    public UUID another(Person by, Job job, String name) {
        if (of(job).list().get(0).id() == null) {
            tell(by, job, null, of(job).list().get(0).values(), Optional.empty());
        }
        Optional<Shelved> known = shelf(by.shop()).stream()
                .filter(kit -> kit.kind() == job.vehicle().kind())
                .filter(kit -> kit.name().equalsIgnoreCase(name))
                .findFirst();
        UUID id = add(by, job);
        tell(by, job, id, new KitValues.Key(null, KitField.NAME), new KitValues.Told(name, 0));
        known.ifPresent(kit -> figures(by.shop(), kit.id()).forEach((key, told) -> {
            if (key.field() != KitField.NAME) {
                tell(by, job, id, key, told);
            }
        }));
        return id;
    }

    /** When the parts of the stays of a shop come, as it was typed; a stay without is not among them. */
    public Map<UUID, String> arrivals(UUID shop) {
        Map<UUID, String> arrivals = new HashMap<>();
        jdbc.sql(ARRIVALS).param("shop", shop.toString()).query(row -> {
            if (row.getString("raw").isEmpty()) {
                arrivals.remove(Ids.id(row, "job_id"));
            } else {
                arrivals.put(Ids.id(row, "job_id"), row.getString("raw"));
            }
        });
        return arrivals;
    }

    private Map<KitValues.Key, KitValues.Told> figures(UUID shop, UUID kit) {
        Map<KitValues.Key, KitValues.Told> figures = new LinkedHashMap<>();
        jdbc.sql(OF_KIT)
                .param("shop", shop.toString())
                .param("kit", kit.toString())
                .query(row -> {
                    value(row, figures);
                });
        return figures;
    }

    /** The kit that a stay gets, and why. */
    @Transactional
    public void choose(Person by, Job job, UUID kit, String reason) {
        jdbc.sql(CHOOSE)
                .param("shop", by.shop().toString())
                .param("job", job.id().toString())
                .param("kit", kit.toString())
                .param("reason", reason)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        audit.add(
                by,
                Audit.What.KIT_CHOSEN,
                job.vehicle().plate() + ": "
                        + of(job).find(kit.toString()).map(Kit::name).orElse(""));
    }
}
