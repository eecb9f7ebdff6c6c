package abbex.app.parts;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What was written beside parts. */
@Configuration
class PartTexts {
    @Bean
    FreeTexts partRemarks(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "part",
                "select seq id, text from part_entry where shop_id = :shop and job_id = :job",
                "update part_entry set text = :now where shop_id = :shop and seq = :id");
    }

    /** Why a part goes on although it differs. */
    @Bean
    FreeTexts partReasons(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "part",
                "select seq id, raw text from part_figure where shop_id = :shop and job_id = :job and figure = 'BECAUSE'",
                "update part_figure set raw = :now where shop_id = :shop and seq = :id");
    }
}
