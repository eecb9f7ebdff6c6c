package abbex.app.handover;

import abbex.app.arrive.CustomerBlanked;
import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
    /** What is shorter, or one word, may be a word of the sheet itself: it goes only where it stands alone. */
    private static final int LONG = 12;

    /** Text of a page, between its tags. */
    static final Pattern TEXT = Pattern.compile("(?<=>)[^<>]+(?=<)");

    /** Text of a record: what stands between quotes, and is no name of a field and no kind. */
    static final Pattern VALUE = Pattern.compile("(?<=[\\[,:]\")(?<!\"kind\":\")(?:[^\"\\\\]|\\\\.)*(?=\"[,\\]}])");

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
                facts = without(VALUE, facts, json(gone.getKey()), json(gone.getValue()));
                body = without(TEXT, body, html(gone.getKey()), html(gone.getValue()));
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

    /** Never a tag, a code or a part of a word. */
    static String without(Pattern where, String all, String text, String instead) {
        if (text.isBlank()) {
            return all;
        }
        boolean anywhere = text.length() >= LONG && text.contains(" ");
        Pattern whole = Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(text) + "(?![\\p{L}\\p{N}])");
        return where.matcher(all).replaceAll(found -> {
            String left = found.group();
            String now = anywhere
                    ? whole.matcher(left).replaceAll(Matcher.quoteReplacement(instead))
                    : left.strip().equals(text) ? instead : left;
            return Matcher.quoteReplacement(now);
        });
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
