package abbex.app.prove;

import abbex.app.page.Me;
import abbex.app.page.Reader;
import abbex.app.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Fitments that were proven, to be found for the next vehicle. */
@Controller
class DrivenController {
    private final DrivenFitments proven;

    DrivenController(DrivenFitments proven) {
        this.proven = proven;
    }

    @GetMapping("/proven")
    ModelAndView proven(@Me Person me, @RequestParam(defaultValue = "") String q) {
        ModelAndView page = new ModelAndView("proven");
        page.addObject("q", q);
        page.addObject("found", proven.find(me.shop(), q));
        page.addObject("reader", Reader.of(me));
        return page;
    }
}
