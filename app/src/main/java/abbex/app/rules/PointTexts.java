package abbex.app.rules;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Names of a vehicle's own points. */
@Configuration
class PointTexts {
    @Bean
    FreeTexts pointNames(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "point",
                "select id, name text from point where shop_id = :shop and vehicle_id = :vehicle",
                "update point set name = :now where shop_id = :shop and id = :id");
    }
}
