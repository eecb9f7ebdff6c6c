package abbex.app.workcard;

import abbex.app.store.FreeTexts;
import abbex.app.store.TextColumn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What was written on the card. */
@Configuration
class CardTexts {
    @Bean
    FreeTexts cardRemarks(JdbcClient jdbc) {
        return new TextColumn(
                jdbc, "card", """
                select seq id, text from card_entry
                 where shop_id = :shop and job_id = :job and what in ('FOUND', 'OTHERWISE', 'ANSWERED')
                """, "update card_entry set text = :now where shop_id = :shop and seq = :id");
    }

    @Bean
    FreeTexts cardLimits(JdbcClient jdbc) {
        return new TextColumn(
                jdbc, "card-more", """
                select seq id, more text from card_entry
                 where shop_id = :shop and job_id = :job and what in ('FOUND', 'OTHERWISE')
                """, "update card_entry set more = :now where shop_id = :shop and seq = :id");
    }
}
