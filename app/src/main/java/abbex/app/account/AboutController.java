package abbex.app.account;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What Abbex is made of: the list that the build makes. */
@Controller
class AboutController {
    @GetMapping("/about")
    String about(Model model) throws IOException {
        model.addAttribute(
                "parts", new ClassPathResource("THIRD-PARTY.txt").getContentAsString(StandardCharsets.UTF_8));
        return "about";
    }
}
