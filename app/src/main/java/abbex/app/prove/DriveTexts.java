package abbex.app.prove;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What was noted of a drive. */
@Configuration
class DriveTexts {
    @Bean
    FreeTexts driveNotes(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "drive",
                "select id, note text from road_test where shop_id = :shop and vehicle_id = :vehicle",
                "update road_test set note = :now where shop_id = :shop and id = :id");
    }
}
