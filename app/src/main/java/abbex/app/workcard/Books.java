package abbex.app.workcard;

import abbex.app.store.Reads;
import abbex.app.store.Sha256;
import abbex.core.workcard.Chapter;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Step knowledge as cards keep it: the files of the day a card began, whatever ships later. */
@Component
class Books {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final JdbcClient jdbc;
    private final Reads reads;
    private final OwnSteps own;
    private final ObjectNode shipped;

    /** Read once by whoever comes first: an id is the hash of all that is in it and of the shop that has it. */
    private final Cache<String, List<Chapter>> parsed =
            Caffeine.newBuilder().maximumSize(200).build();

    /** Read and checked when the application starts: what does not fit together keeps it from starting. */
    Books(JdbcClient jdbc, Reads reads, OwnSteps own) {
        this.own = own;
        this.jdbc = jdbc;
        this.reads = reads;
        StepFiles.shipped();
        shipped = JSON.createObjectNode();
        StepFiles.SHIPPED.forEach(name -> shipped.set(name, JSON.readTree(StepFiles.text("steps/" + name + ".json"))));
    }

    /** What a shop has now, under its id: the hash of all that is in it. */
    private record Today(String id, String body) {}

    /** What ships, and the shop's own. */
    private Today now(UUID shop) {
        return reads.ofShop(shop, List.of(Books.class, shop), () -> {
            ObjectNode all = shipped.deepCopy();
            own.of(shop).forEach((step, file) -> all.set(OWN + step, JSON.readTree(file)));
            String body = all.toString();
            return new Today(Sha256.hex(shop + body), body);
        });
    }

    /** Names of the shop's own files begin so. */
    private static final String OWN = "own-";

    /** Keeps what a shop has now, and says under which id. */
    String keep(UUID shop) {
        Today now = now(shop);
        jdbc.sql("insert ignore into step_book (id, shop_id, body) values (:id, :shop, :body)")
                .param("id", now.id())
                .param("shop", shop.toString())
                .param("body", now.body())
                .update();
        return now.id();
    }

    /** The same, whether it is kept or not. */
    String id(UUID shop) {
        return now(shop).id();
    }

    /** The steps that a shop has now. */
    List<Chapter> today(UUID shop) {
        Today now = now(shop);
        return parsed.get(now.id(), id -> chapters(now.body()));
    }

    List<Chapter> shipped() {
        return parsed.get("shipped", id -> chapters(shipped.toString()));
    }

    List<Chapter> of(UUID shop, String id) {
        return parsed.get(
                id,
                key -> chapters(jdbc.sql("select body from step_book where id = :id and shop_id = :shop")
                        .param("id", id)
                        .param("shop", shop.toString())
                        .query(String.class)
                        .single()));
    }

    private static List<Chapter> chapters(String body) {
        List<Chapter> chapters = new ArrayList<>();
        JsonNode all = JSON.readTree(body);
        for (String name : all.propertyNames()) {
            chapters.add(StepFiles.read(name, all.get(name).toString()));
        }
        return List.copyOf(chapters);
    }
}
