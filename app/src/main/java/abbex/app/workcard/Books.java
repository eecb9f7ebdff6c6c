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
    private final String shipped;

    /** Read and checked when the application starts: what does not fit together keeps it from starting. */
    Books(JdbcClient jdbc, Reads reads) {
        this.jdbc = jdbc;
        this.reads = reads;
        StepFiles.shipped();
        ObjectNode all = JSON.createObjectNode();
        StepFiles.SHIPPED.forEach(name -> all.set(name, JSON.readTree(StepFiles.text("steps/" + name + ".json"))));
        shipped = all.toString();
    }

    /** The id under which a shop has what ships now. */
    String now(UUID shop) {
        String id = id(shop);
        jdbc.sql("insert ignore into step_book (id, shop_id, body) values (:id, :shop, :body)")
                .param("id", id)
                .param("shop", shop.toString())
                .param("body", shipped)
                .update();
        return id;
    }

    /** The same, whether it is kept or not. */
    String id(UUID shop) {
        try {
            byte[] digest =
                    MessageDigest.getInstance("SHA-256").digest((shop + shipped).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException none) {
            throw new IllegalStateException(none);
        }
    }

    /** A card that was not begun goes by what ships. */
    List<Chapter> shipped() {
        return chapters(shipped);
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
