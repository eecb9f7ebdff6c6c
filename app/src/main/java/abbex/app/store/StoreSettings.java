package abbex.app.store;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What all stations share of the world outside: the time. */
@Configuration
class StoreSettings {
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
