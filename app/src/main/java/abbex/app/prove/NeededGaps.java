package abbex.app.prove;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.clearance.Needed;
import abbex.core.clearance.ProbePlace;
import abbex.core.units.Length;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How much air a shop wants at each place; the newest row of a place counts, an empty text is common practice. */
@Service
class NeededGaps {
    private static final String OF = """
            select g.place, g.gap_raw, g.gap_nm from needed_gap g
             where g.shop_id = :shop and not exists (
                   select 1 from needed_gap n where n.shop_id = g.shop_id and n.place = g.place
                      and n.nr > g.nr)
            """;

    private static final String SET = """
            insert into needed_gap (id, shop_id, place, gap_raw, gap_nm, person_id, made_at)
            values (:id, :shop, :place, :raw, :nm, :person, :at)
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Audit audit;
    private final Clock clock;

    NeededGaps(JdbcClient jdbc, Audit audit, Clock clock, Reads reads) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.audit = audit;
        this.clock = clock;
    }

    /** A gap as it was typed, and exact. */
    record Typed(String raw, Length gap) {}

    Map<ProbePlace, Typed> typed(UUID shop) {
        Map<ProbePlace, Typed> typed = new EnumMap<>(ProbePlace.class);
        jdbc.sql(OF).param("shop", shop.toString()).query(row -> {
            if (!row.getString("gap_raw").isEmpty()) {
                typed.put(
                        ProbePlace.valueOf(row.getString("place")),
                        new Typed(row.getString("gap_raw"), Length.ofNm(row.getLong("gap_nm"))));
            }
        });
        return typed;
    }

    Needed of(UUID shop) {
        return reads.ofShop(shop, List.of(NeededGaps.class, shop), () -> read(shop));
    }

    private Needed read(UUID shop) {
        Map<ProbePlace, Double> set = new EnumMap<>(ProbePlace.class);
        typed(shop).forEach((place, typed) -> set.put(place, typed.gap().mm()));
        return new Needed(set);
    }

    /** How often any of them was set. */
    int edition(UUID shop) {
        return jdbc.sql("select count(*) from needed_gap where shop_id = :shop")
                .param("shop", shop.toString())
                .query(Integer.class)
                .single();
    }

    /**
     * Keeps what differs from what was set before; a place that is not named goes back to common practice.
     *
     * @param from the edition that was changed; empty when nobody says which
     * @return false when another was set meanwhile: nothing is changed then
     */
    @Transactional
    boolean set(Person by, Map<ProbePlace, Typed> wanted, Optional<Integer> from) {
        if (from.isPresent() && from.get() != edition(by.shop())) {
            return false;
        }
        Map<ProbePlace, Typed> before = typed(by.shop());
        for (ProbePlace place : ProbePlace.values()) {
            Typed now = wanted.getOrDefault(place, new Typed("", Length.ZERO));
            if (!now.equals(before.getOrDefault(place, new Typed("", Length.ZERO)))) {
                jdbc.sql(SET)
                        .param("id", Ids.fresh().toString())
                        .param("shop", by.shop().toString())
                        .param("place", place.name())
                        .param("raw", now.raw())
                        .param("nm", now.gap().nm())
                        .param("person", by.id().toString())
                        .param("at", Times.column(clock.instant()))
                        .update();
            }
        }
        audit.add(by, Audit.What.CLEARANCES_SET, "");
        return true;
    }
}
