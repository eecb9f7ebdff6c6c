package abbex.app.arrive;

import abbex.app.store.Ids;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Stays by what somebody remembers of them: a part of plate, customer, vehicle, kit or bay. */
@Component
public class Finds {
    /** What fits under the field. */
    private static final int MOST = 12;
    /** More words tell no more apart. */
    private static final int WORDS = 4;

    private static final String WORD = """
             and (v.plate like :w%1$d escape '!' or v.plate_key like :k%1$d escape '!' or v.name like :w%1$d escape '!'
                  or j.customer like :w%1$d escape '!' or j.kit like :w%1$d escape '!'
                  or (j.place = 'BAY' and j.bay like :w%1$d escape '!'))
            """;

    private final JdbcClient jdbc;

    Finds(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A stay that was found. */
    public record Found(UUID job, String plate, String vehicle, String customer, String kit, Job.Where where) {}

    /**
     * The stays in which every word is found, those on the floor first, then the newest.
     *
     * @param text taken literally; without a letter or digit nothing is found
     */
    public List<Found> of(UUID shop, String text) {
        List<String> words = Stream.of(text.strip().split("\\s+"))
                .filter(w -> !w.isEmpty())
                .limit(WORDS)
                .toList();
        if (words.isEmpty()) {
            return List.of();
        }
        StringBuilder sql = new StringBuilder("""
                select j.id, v.plate, v.name, j.customer, j.kit, j.place, j.bay
                  from job j join vehicle v on v.id = j.vehicle_id
                 where j.shop_id = :shop
                """);
        Map<String, String> asked = new LinkedHashMap<>();
        for (int i = 0; i < words.size(); i++) {
            sql.append(WORD.formatted(i));
            asked.put("w" + i, "%" + literal(words.get(i)) + "%");
            String key = VehicleFacts.plateKey(words.get(i));
            asked.put("k" + i, key.isEmpty() ? literal(words.get(i)) : "%" + literal(key) + "%");
        }
        sql.append(" order by j.place = 'GONE', j.arrived_at desc limit ").append(MOST);
        List<Found> found = new ArrayList<>();
        jdbc.sql(sql.toString()).param("shop", shop.toString()).params(asked).query(row -> {
            found.add(new Found(
                    Ids.id(row, "id"),
                    row.getString("plate"),
                    row.getString("name"),
                    row.getString("customer"),
                    row.getString("kit"),
                    new Job.Where(Job.Place.valueOf(row.getString("place")), row.getString("bay"))));
        });
        return found;
    }

    private static String literal(String word) {
        return word.replace("!", "!!").replace("%", "!%").replace("_", "!_");
    }
}
