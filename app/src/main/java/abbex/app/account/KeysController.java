package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.ApiKeys;
import abbex.app.people.Person;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
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
    ModelAndView keys(@Me Person me) {
        return page(me, Form.blank(me, words), "");
    }

    @PostMapping("/keys")
    ModelAndView make(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        String name = form.named("name", 80, "problem.key.name");
        return form.fits() ? page(me, Form.blank(me, words), keys.make(me, name)) : page(me, form, "");
    }

    private ModelAndView page(Person me, Form form, String fresh) {
        ModelAndView page = form.on(new ModelAndView("keys"));
        page.addObject("keys", keys.ofShop(me.shop()));
        page.addObject("clock", form.reader());
        page.addObject("fresh", fresh);
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
