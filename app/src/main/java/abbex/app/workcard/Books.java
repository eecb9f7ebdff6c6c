package abbex.app.workcard;

import abbex.app.store.Reads;
import abbex.core.workcard.Chapter;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
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

    /** Read and checked when the application starts: what does not fit together keeps it from starting. */
    Books(JdbcClient jdbc, Reads reads, OwnSteps own) {
        this.own = own;
        this.jdbc = jdbc;
        this.reads = reads;
        StepFiles.shipped();
        shipped = JSON.createObjectNode();
        StepFiles.SHIPPED.forEach(name -> shipped.set(name, JSON.readTree(StepFiles.text("steps/" + name + ".json"))));
    }

    /** What ships, and the shop's own. */
    private String body(UUID shop) {
        return reads.ofShop(shop, List.of(Books.class, shop), () -> {
            ObjectNode all = shipped.deepCopy();
            own.of(shop).forEach((step, file) -> all.set(OWN + step, JSON.readTree(file)));
            return all.toString();
        });
    }

    /** Names of the shop's own files begin so. */
    private static final String OWN = "own-";

    /** The id under which a shop has what counts now. */
    String now(UUID shop) {
        String id = id(shop);
        jdbc.sql("insert ignore into step_book (id, shop_id, body) values (:id, :shop, :body)")
                .param("id", id)
                .param("shop", shop.toString())
                .param("body", body(shop))
                .update();
        return id;
    }

    /** The same, whether it is kept or not. */
    String id(UUID shop) {
        try {
            byte[] digest =
                    MessageDigest.getInstance("SHA-256").digest((shop + body(shop)).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException none) {
            throw new IllegalStateException(none);
        }
    }

    /** The steps that a shop has now. */
    List<Chapter> today(UUID shop) {
        return reads.ofShop(shop, List.of(Books.class, shop, "today"), () -> chapters(body(shop)));
    }

    List<Chapter> shipped() {
        return chapters(shipped.toString());
    }

    List<Chapter> of(UUID shop, String id) {
        return reads.ofShop(
                shop,
                List.of(Books.class, shop, id),
                () -> chapters(jdbc.sql("select body from step_book where id = :id and shop_id = :shop")
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
