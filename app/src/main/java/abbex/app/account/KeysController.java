package abbex.app.account;

import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.ApiKeys;
import abbex.app.people.Person;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The lead's page of keys for other programs. */
@Controller
class KeysController {
    private final ApiKeys keys;
    private final Words words;

    KeysController(ApiKeys keys, Words words) {
        this.keys = keys;
        this.words = words;
    }

    @GetMapping("/keys")
    String keys(@Me Person me, Model model) {
        model.addAttribute("keys", keys.ofShop(me.shop()));
        model.addAttribute("clock", Reader.of(me));
        return "keys";
    }

    @PostMapping("/keys")
    ModelAndView make(@Me Person me, @RequestParam(defaultValue = "") String name, Model model) {
        String stripped = name.strip();
        boolean fit = !stripped.isEmpty() && stripped.length() <= 80;
        String fresh = fit ? keys.make(me, stripped) : "";
        keys(me, model);
        ModelAndView page = new ModelAndView("keys", fit ? HttpStatus.OK : HttpStatus.valueOf(422));
        page.addAllObjects(model.asMap());
        page.addObject("fresh", fresh);
        page.addObject("typed", fit ? "" : name);
        page.addObject("problem", fit ? "" : words.say("problem.key.name"));
        return page;
    }

    @PostMapping("/keys/{key}/revoke")
    String revoke(@Me Person me, @PathVariable UUID key) {
        if (!keys.revoke(me, key)) {
            throw new NotHere();
        }
        return "redirect:/keys";
    }
}
