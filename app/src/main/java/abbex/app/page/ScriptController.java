package abbex.app.page;

import abbex.app.words.Bundles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is put together from several files, for everybody: the scripts' words as a module, the styles of all stations as one
 * sheet; and the page for a device without a network.
 */
@Controller
class ScriptController {
    private static final String OURS = "script.";

    /** In the order in which they build on each other: what is said later wins. */
    private static final List<String> STYLES = List.of(
            "base",
            "frame",
            "find",
            "floor",
            "line-up",
            "moving",
            "forms",
            "rounds",
            "walk",
            "sheet",
            "paper",
            "verdict",
            "hands",
            "tape",
            "wheels",
            "corner",
            "probing",
            "places",
            "set",
            "align",
            "return",
            "memory",
            "road",
            "ground",
            "plan",
            "plan-machine",
            "fit",
            "bay",
            "parts",
            "instruments",
            "day",
            "lead");

    private final String module;
    private final String styles;

    ScriptController(Bundles bundles) {
        styles = STYLES.stream().map(ScriptController::style).collect(Collectors.joining("\n"));
        Map<String, String> words = new TreeMap<>();
        bundles.keys().stream()
                .filter(key -> key.startsWith(OURS))
                .forEach(key -> words.put(key, bundles.pattern(key)));
        module = "export default " + JsonMapper.shared().writeValueAsString(words) + ";\n";
    }

    @GetMapping("/js/words.mjs")
    ResponseEntity<String> words() {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/javascript;charset=UTF-8"))
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)))
                .body(module);
    }

    private static String style(String name) {
        try {
            return new ClassPathResource("styles/" + name + ".css").getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    @GetMapping("/app.css")
    ResponseEntity<String> styles() {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/css;charset=UTF-8"))
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)))
                .body(styles);
    }

    @GetMapping("/no-network")
    String noNetwork() {
        return "no-network";
    }
}
