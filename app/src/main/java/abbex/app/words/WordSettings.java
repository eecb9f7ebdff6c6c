package abbex.app.words;

import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.support.ResourcePatternResolver;

/** Where the wording comes from; templates ask the same bundles. */
@Configuration
class WordSettings {
    @Bean
    Bundles messageSource(ResourcePatternResolver files, @Value("${abbex.words}") String where) throws IOException {
        return Bundles.of(files.getResources(where));
    }
}
