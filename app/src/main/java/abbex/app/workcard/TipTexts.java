package abbex.app.workcard;

import abbex.app.arrive.Jobs;
import abbex.app.store.FreeText;
import abbex.app.store.FreeTexts;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** What the shop tells itself of vehicles of the stay's kind. */
@Service
class TipTexts implements FreeTexts {
    private static final String NAME = "tip";

    private final JdbcClient jdbc;
    private final Jobs jobs;

    TipTexts(JdbcClient jdbc, Jobs jobs) {
        this.jdbc = jdbc;
        this.jobs = jobs;
    }

    @Override
    public List<FreeText> of(Of stay) {
        return jobs.find(stay.shop(), stay.job())
                .map(job -> jdbc.sql("select seq, text from step_tip where shop_id = :shop and vehicle = :kind")
                        .param("shop", stay.shop().toString())
                        .param("kind", Specs.kind(job.vehicle()))
                        .query((row, n) -> new FreeText(NAME, row.getString("seq"), row.getString("text")))
                        .list())
                .orElse(List.of());
    }

    @Override
    public void put(UUID shop, FreeText text, String now) {
        if (text.name().equals(NAME)) {
            jdbc.sql("update step_tip set text = :now where shop_id = :shop and seq = :id")
                    .param("now", now)
                    .param("id", text.id())
                    .param("shop", shop.toString())
                    .update();
        }
    }
}
