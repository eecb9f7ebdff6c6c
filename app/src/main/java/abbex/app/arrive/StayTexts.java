package abbex.app.arrive;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What was written when the vehicle was received. */
@Configuration
class StayTexts {
    @Bean
    FreeTexts wish(JdbcClient jdbc) {
        return of(
                jdbc,
                "wish",
                "select id, wish text from job where shop_id = :shop and id = :job",
                "update job set wish = :now, version = version + 1 where shop_id = :shop and id = :id");
    }

    @Bean
    FreeTexts usage(JdbcClient jdbc) {
        return of(
                jdbc,
                "usage",
                "select id, usage_text text from job where shop_id = :shop and id = :job",
                "update job set usage_text = :now, version = version + 1 where shop_id = :shop and id = :id");
    }

    @Bean
    FreeTexts worn(JdbcClient jdbc) {
        return of(
                jdbc,
                "worn",
                "select id, worn text from job where shop_id = :shop and id = :job",
                "update job set worn = :now, version = version + 1 where shop_id = :shop and id = :id");
    }

    @Bean
    FreeTexts changed(JdbcClient jdbc) {
        return of(
                jdbc,
                "changed",
                "select id, changed text from job where shop_id = :shop and id = :job",
                "update job set changed = :now, version = version + 1 where shop_id = :shop and id = :id");
    }

    @Bean
    FreeTexts kitAsTyped(JdbcClient jdbc) {
        return of(
                jdbc,
                "kit",
                "select id, kit text from job where shop_id = :shop and id = :job",
                "update job set kit = :now, version = version + 1 where shop_id = :shop and id = :id");
    }

    @Bean
    FreeTexts vehicleName(JdbcClient jdbc) {
        return of(
                jdbc,
                "vehicle",
                "select id, name text from vehicle where shop_id = :shop and id = :vehicle",
                "update vehicle set name = :now, version = version + 1 where shop_id = :shop and id = :id");
    }

    private static FreeTexts of(JdbcClient jdbc, String name, String find, String put) {
        return new TextColumn(jdbc, name, find, put);
    }
}
