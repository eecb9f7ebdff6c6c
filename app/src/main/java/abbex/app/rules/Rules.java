package abbex.app.rules;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.figure.Place;
import abbex.core.heights.Limit;
import abbex.core.heights.Limits;
import abbex.core.heights.Repeatability;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import java.sql.Date;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** What a shop set for itself. Read by every page with heights on it, so it is kept while nothing of it is written. */
@Service
public class Rules {
    private static final String LIMITS = "select name, raw, nm from shop_limit where shop_id = :shop";

    private static final String SET_LIMIT = """
            insert into shop_limit (shop_id, name, raw, nm) values (:shop, :name, :raw, :nm)
                on duplicate key update raw = :raw, nm = :nm
            """;

    private static final String DROP_LIMIT = "delete from shop_limit where shop_id = :shop and name = :name";

    private static final String SHOP = "select walk, bays, version from shop where id = :shop";

    private static final String NEXT_EDITION =
            "update shop set version = version + 1 where id = :shop and version = coalesce(:from, version)";

    private static final String SET_BAYS = "update shop set bays = :bays where id = :shop";
    private static final String SET_WALK = "update shop set walk = :walk where id = :shop";

    private static final String SURVEYS = """
            select f.id, f.bay, f.since, f.made_at, p.display_name, d.corner, d.raw, d.nm
              from floor_survey f join person p on p.id = f.person_id left join floor_pad d on d.survey_id = f.id
             where f.shop_id = :shop order by f.nr
            """;

    private static final String ADD_SURVEY = """
            insert into floor_survey (id, shop_id, bay, bay_key, since, person_id, made_at)
            values (:id, :shop, :bay, :key, :since, :person, :at)
            """;

    private static final String ADD_PAD =
            "insert into floor_pad (shop_id, survey_id, corner, raw, nm) values (:shop, :survey, :corner, :raw, :nm)";

    private final JdbcClient jdbc;
    private final Audit audit;
    private final Clock clock;
    private final TransactionTemplate once;
    private final OwnPoints points;
    private final RepeatedReadings repeated;
    private final Reads reads;

    Rules(
            JdbcClient jdbc,
            Audit audit,
            Clock clock,
            TransactionTemplate once,
            OwnPoints points,
            RepeatedReadings repeated,
            Reads reads) {
        this.reads = reads;
        this.repeated = repeated;
        this.points = points;
        this.jdbc = jdbc;
        this.audit = audit;
        this.clock = clock;
        this.once = once;
    }

    public ShopRules of(UUID shop) {
        return reads.ofShopAndRepeats(shop, List.of(Rules.class, shop), () -> load(shop));
    }

    /** The same with every repeat that was read up to now. */
    ShopRules fresh(UUID shop) {
        return load(shop);
    }

    /** The ways to measure that a shop knows beside those of every shop: the points that it named. */
    public Ways ways(UUID shop) {
        return new Ways(reads.ofShop(shop, List.of(Rules.class, "points", shop), () -> points.of(shop)));
    }

    private ShopRules load(UUID shop) {
        Map<Limit, String> typed = new EnumMap<>(Limit.class);
        Map<Limit, Length> own = new EnumMap<>(Limit.class);
        jdbc.sql(LIMITS).param("shop", shop.toString()).query(row -> {
            Limit limit = Limit.valueOf(row.getString("name"));
            typed.put(limit, row.getString("raw"));
            own.put(limit, Length.ofNm(row.getLong("nm")));
        });
        return jdbc.sql(SHOP)
                .param("shop", shop.toString())
                .query((row, n) -> new ShopRules(
                        Limits.of(own),
                        typed,
                        surveys(shop),
                        Repeatability.pooled(repeated.of(shop)),
                        Stream.of(row.getString("walk").split(" "))
                                .map(Corner::valueOf)
                                .toList(),
                        ways(shop).points(),
                        row.getString("bays").lines().toList(),
                        row.getInt("version")))
                .single();
    }

    void walk(Person by, List<Corner> order) {
        String walk = order.stream().map(Enum::name).collect(Collectors.joining(" "));
        once.executeWithoutResult(status -> {
            jdbc.sql(SET_WALK)
                    .param("walk", walk)
                    .param("shop", by.shop().toString())
                    .update();
            audit.add(by, Audit.What.WALK_SET, walk);
        });
    }

    /** The bays of the shop, as it names them; none twice. */
    public void bays(Person by, List<String> names) {
        once.executeWithoutResult(status -> {
            jdbc.sql(SET_BAYS)
                    .param("bays", String.join("\n", names))
                    .param("shop", by.shop().toString())
                    .update();
            audit.add(by, Audit.What.BAYS_SET, Integer.toString(names.size()));
        });
    }

    private List<FloorSurvey> surveys(UUID shop) {
        Map<UUID, FloorSurvey> surveys = new LinkedHashMap<>();
        jdbc.sql(SURVEYS).param("shop", shop.toString()).query(row -> {
            UUID id = Ids.id(row, "id");
            Date since = row.getDate("since");
            FloorSurvey survey = surveys.computeIfAbsent(id, i -> survey(row, i, since));
            if (row.getString("corner") != null) {
                survey.pads()
                        .put(
                                Corner.valueOf(row.getString("corner")),
                                new Typed(row.getString("raw"), Length.ofNm(row.getLong("nm"))));
            }
        });
        return List.copyOf(surveys.values());
    }

    private static FloorSurvey survey(java.sql.ResultSet row, UUID id, @Nullable Date since) {
        try {
            return new FloorSurvey(
                    id,
                    row.getString("bay"),
                    since == null ? null : since.toLocalDate(),
                    new EnumMap<>(Corner.class),
                    row.getString("display_name"),
                    Times.instant(row, "made_at"));
        } catch (java.sql.SQLException broken) {
            throw new IllegalStateException("a floor survey that cannot be read", broken);
        }
    }

    /**
     * Names a point.
     *
     * @param vehicle the one vehicle that has it; null for all of the kind
     * @param floor true when it ends on the floor
     */
    public void name(
            Person by,
            String name,
            VehicleKind kind,
            @Nullable UUID vehicle,
            List<Place> places,
            boolean tyre,
            boolean floor,
            boolean sideways) {
        once.executeWithoutResult(status -> points.add(by, name, kind, vehicle, places, tyre, floor, sideways));
    }

    /** It is offered no more; what was read there stays. */
    public void withdraw(Person by, OwnPoint point) {
        once.executeWithoutResult(status -> points.withdraw(by, point));
    }

    /**
     * Sets the limits that are given and leaves the usual for those that are not.
     *
     * @param from the edition that was changed; empty when nobody says which
     * @return false when other limits were saved meanwhile: nothing is changed then
     */
    boolean set(Person by, Map<Limit, Typed> own, Optional<Integer> from) {
        return Boolean.TRUE.equals(once.execute(status -> {
            int next = jdbc.sql(NEXT_EDITION)
                    .param("shop", by.shop().toString())
                    .param("from", from.orElse(null))
                    .update();
            if (next == 0) {
                return false;
            }
            set(by, own);
            return true;
        }));
    }

    private void set(Person by, Map<Limit, Typed> own) {
        Map<Limit, String> before = of(by.shop()).typed();
        List<String> changed = new ArrayList<>();
        for (Limit limit : Limit.values()) {
            Typed pad = own.get(limit);
            String was = before.get(limit);
            if (pad != null && !pad.raw().equals(was)) {
                changed.add(limit + " " + pad.raw());
                limit(SET_LIMIT, by, limit)
                        .param("raw", pad.raw())
                        .param("nm", pad.length().nm())
                        .update();
            } else if (pad == null && was != null) {
                changed.add(limit + " as usual");
                limit(DROP_LIMIT, by, limit).update();
            }
        }
        if (!changed.isEmpty()) {
            audit.add(by, Audit.What.LIMITS_SET, String.join(", ", changed));
        }
    }

    private JdbcClient.StatementSpec limit(String sql, Person by, Limit limit) {
        return jdbc.sql(sql).param("shop", by.shop().toString()).param("name", limit.name());
    }

    /**
     * Appends a survey of a bay.
     *
     * @param pads all four, or none to take the bay's survey back
     */
    public void survey(Person by, String bay, @Nullable LocalDate since, Map<Corner, Typed> pads) {
        UUID id = Ids.fresh();
        once.executeWithoutResult(status -> {
            jdbc.sql(ADD_SURVEY)
                    .param("id", id.toString())
                    .param("shop", by.shop().toString())
                    .param("bay", bay)
                    .param("key", ShopRules.bayKey(bay))
                    .param("since", since)
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
            pads.forEach((corner, pad) -> jdbc.sql(ADD_PAD)
                    .param("shop", by.shop().toString())
                    .param("survey", id.toString())
                    .param("corner", corner.name())
                    .param("raw", pad.raw())
                    .param("nm", pad.length().nm())
                    .update());
            audit.add(by, pads.isEmpty() ? Audit.What.FLOOR_TAKEN_BACK : Audit.What.FLOOR_SURVEYED, bay);
        });
    }
}
