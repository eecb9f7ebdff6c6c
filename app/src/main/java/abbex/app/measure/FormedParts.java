package abbex.app.measure;

import abbex.app.page.Reader;
import abbex.core.heights.Round;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * The parts of the walk that hang on the readings alone (drawings, drops, findings, the choice of a round), rendered once for
 * as long as nobody reads anything: most of what the page's template costs. Nothing in them belongs to one request.
 */
@Component
class FormedParts {
    private final SpringTemplateEngine templates;

    FormedParts(SpringTemplateEngine templates) {
        this.templates = templates;
    }

    /**
     * What a page shows without forming it again.
     *
     * @param drawn each arch's drawing and what stands under it, by the arch's key
     */
    record Formed(Map<String, String> drawn, String chips, String said) {}

    /**
     * @param said findings in words, worst first
     */
    Formed of(MeasurePages.Opened o, Round round, UUID me, Walk walk, List<?> said, Reader reader) {
        return o.shown(
                List.of(FormedParts.class, round, me, reader),
                () -> new Formed(
                        walk.arches().stream()
                                .collect(Collectors.toMap(
                                        Arch::key, arch -> part("drawn", Map.of("a", arch)), (a, b) -> a)),
                        part("choices", Map.of("walk", walk)),
                        part("said", Map.of("says", said))));
    }

    private String part(String fragment, Map<String, Object> values) {
        return templates.process("measure-parts", Set.of(fragment), new Context(Locale.ENGLISH, values));
    }
}
