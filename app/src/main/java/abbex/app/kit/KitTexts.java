package abbex.app.kit;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Why a kit was chosen. */
@Configuration
class KitTexts {
    @Bean
    FreeTexts kitReasons(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "choice",
                "select seq id, reason text from kit_choice where shop_id = :shop and job_id = :job",
                "update kit_choice set reason = :now where shop_id = :shop and seq = :id");
    }
}
