package abbex.app.page;

import abbex.app.words.Bundles;
import java.time.Duration;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import tools.jackson.databind.json.JsonMapper;

/** What the scripts need of the bundles, for everybody: their words as a module, and the page for a device without a network. */
@Controller
class ScriptController {
    private static final String OURS = "script.";

    private final String module;

    ScriptController(Bundles bundles) {
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

    @GetMapping("/no-network")
    String noNetwork() {
        return "no-network";
    }
}
