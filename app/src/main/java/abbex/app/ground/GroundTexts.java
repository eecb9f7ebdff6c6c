package abbex.app.ground;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Names of low points and driveways: a driveway is often called by whose it is. */
@Configuration
class GroundTexts {
    @Bean
    FreeTexts lowPointNames(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "low-point",
                "select id, name text from low_point where shop_id = :shop and vehicle_id = :vehicle",
                "update low_point set name = :now where shop_id = :shop and id = :id");
    }

    @Bean
    FreeTexts drivewayNames(JdbcClient jdbc) {
        return new TextColumn(
                jdbc,
                "driveway",
                "select id, name text from own_ground where shop_id = :shop and vehicle_id = :vehicle",
                "update own_ground set name = :now where shop_id = :shop and id = :id");
    }
}
