package abbex.app.board;

import abbex.app.arrive.Finds;
import abbex.app.page.Me;
import abbex.app.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Finds a vehicle from anywhere. */
@Controller
class FindController {
    private static final int LONGEST = 80;

    private final Finds finds;

    FindController(Finds finds) {
        this.finds = finds;
    }

    @GetMapping("/find")
    ModelAndView find(
            @Me Person me,
            @RequestParam(defaultValue = "") String q,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        String asked = q.length() > LONGEST ? q.substring(0, LONGEST) : q;
        ModelAndView page = new ModelAndView(htmx == null ? "find" : "find :: found");
        page.addObject("asked", asked.strip());
        page.addObject("found", finds.of(me.shop(), asked));
        return page;
    }
}
