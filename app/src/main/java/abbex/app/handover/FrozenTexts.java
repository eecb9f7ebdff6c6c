package abbex.app.handover;

import abbex.app.arrive.CustomerBlanked;
import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.json.JsonMapper;

/** What was deleted of a customer goes from sheets that left, too; their papers say so. */
@Service
class FrozenTexts {
    /** What is shorter would be found in the middle of other words. */
    private static final int LEAST = 3;

    private final JdbcClient jdbc;

    FrozenTexts(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record Frozen(String id, String facts, String body) {}

    @EventListener
    void blanked(CustomerBlanked blanked) {
        List<Frozen> all = jdbc.sql("select id, facts, body from handed_over where job_id = :job")
                .param("job", blanked.job().toString())
                .query((row, n) -> new Frozen(row.getString("id"), row.getString("facts"), row.getString("body")))
                .list();
        for (Frozen frozen : all) {
            String facts = frozen.facts();
            String body = frozen.body();
            for (Map.Entry<String, String> gone : blanked.gone().entrySet()) {
                if (gone.getKey().length() >= LEAST) {
                    facts = facts.replace(json(gone.getKey()), json(gone.getValue()));
                    body = body.replace(html(gone.getKey()), html(gone.getValue()));
                }
            }
            if (!facts.equals(frozen.facts()) || !body.equals(frozen.body())) {
                jdbc.sql("update handed_over set facts = :facts, body = :body where id = :id")
                        .param("facts", facts)
                        .param("body", body)
                        .param("id", frozen.id())
                        .update();
            }
        }
    }

    private static String json(String text) {
        String quoted = JsonMapper.shared().writeValueAsString(text);
        return quoted.substring(1, quoted.length() - 1);
    }

    private static String html(String text) {
        return HtmlUtils.htmlEscape(text, "UTF-8");
    }

    /** Why something was handed over as it is. */
    @Configuration
    static class Reasons {
        @Bean
        FreeTexts handOverReasons(JdbcClient jdbc) {
            return new TextColumn(
                    jdbc,
                    "reason",
                    """
                    select a.id, a.reason text from hand_over_answer a join handed_over h on h.id = a.handed_over_id
                     where h.shop_id = :shop and h.job_id = :job
                    """,
                    "update hand_over_answer set reason = :now where shop_id = :shop and id = :id");
        }
    }
}
