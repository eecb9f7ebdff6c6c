package abbex.app.arrive;

import abbex.app.store.Ids;
import abbex.app.store.Reads;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Stays by what somebody remembers of them: a part of plate, customer, vehicle, kit or bay. What can be found is read once
 * while nothing of it is written, so that each further letter costs no search in the database.
 */
@Component
public class Finds {
    /** What fits under the field. */
    private static final int MOST = 12;
    /** More words tell no more apart. */
    private static final int WORDS = 4;

    private static final Pattern MARKS = Pattern.compile("\\p{M}+");

    private static final String ALL = """
            select j.id, v.plate, v.plate_key, v.name, j.customer, j.kit, j.place, j.bay
              from job j join vehicle v on v.id = j.vehicle_id
             where j.shop_id = :shop
             order by j.place = 'GONE', j.arrived_at desc
            """;

    private final JdbcClient jdbc;
    private final Reads reads;

    Finds(JdbcClient jdbc, Reads reads) {
        this.jdbc = jdbc;
        this.reads = reads;
    }

    /** A stay that was found. */
    public record Found(UUID job, String plate, String vehicle, String customer, String kit, Job.Where where) {}

    /**
     * A stay with all that it is found by.
     *
     * @param key of its plate
     * @param text the rest, without case and marks
     */
    private record Entry(Found found, String key, String text) {
        boolean has(Asked word) {
            return text.contains(word.text()) || !word.key().isEmpty() && key.contains(word.key());
        }
    }

    /** A word that is looked for, as a text and as a part of a plate. */
    private record Asked(String text, String key) {
        static Asked of(String word) {
            return new Asked(folded(word), VehicleFacts.plateKey(word));
        }
    }

    /**
     * The stays in which every word is found, those on the floor first, then the newest.
     *
     * @param text taken literally; without a letter or digit nothing is found
     */
    public List<Found> of(UUID shop, String text) {
        List<Asked> words = Stream.of(text.strip().split("\\s+"))
                .filter(w -> !w.isEmpty())
                .limit(WORDS)
                .map(Asked::of)
                .toList();
        if (words.isEmpty()) {
            return List.of();
        }
        return reads.ofFinds(shop, List.of(Finds.class, shop), () -> all(shop)).stream()
                .filter(entry -> words.stream().allMatch(entry::has))
                .limit(MOST)
                .map(Entry::found)
                .toList();
    }

    private List<Entry> all(UUID shop) {
        List<Entry> all = new ArrayList<>();
        jdbc.sql(ALL).param("shop", shop.toString()).query(row -> {
            Job.Place place = Job.Place.valueOf(row.getString("place"));
            Found found = new Found(
                    Ids.id(row, "id"),
                    row.getString("plate"),
                    row.getString("name"),
                    row.getString("customer"),
                    row.getString("kit"),
                    new Job.Where(place, row.getString("bay")));
            all.add(new Entry(
                    found,
                    row.getString("plate_key"),
                    folded(String.join(
                            "\n",
                            found.plate(),
                            found.vehicle(),
                            found.customer(),
                            found.kit(),
                            place == Job.Place.BAY ? found.where().bay() : ""))));
        });
        return List.copyOf(all);
    }

    private static String folded(String text) {
        return MARKS.matcher(Normalizer.normalize(text, Normalizer.Form.NFD))
                .replaceAll("")
                .toLowerCase(Locale.ROOT);
    }
}
