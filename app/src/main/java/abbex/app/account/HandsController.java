package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.people.Pins;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A shared tablet changes hands: initials, PIN, and the same page again under the other name. */
@Controller
class HandsController {
    private final Pins pins;
    private final Words words;

    HandsController(Pins pins, Words words) {
        this.pins = pins;
        this.words = words;
    }

    @GetMapping("/hands")
    ModelAndView hands(@Me Person me, @RequestParam(defaultValue = "/") String back) {
        return page(me, back, "", Form.blank(me, words));
    }

    private ModelAndView page(Person me, String back, String chosen, Form form) {
        ModelAndView page = form.on(new ModelAndView("hands"));
        page.addObject("others", pins.others(me));
        page.addObject("hasPin", pins.has(me.id()));
        page.addObject("back", local(back));
        page.addObject("chosen", chosen);
        return page;
    }

    @PostMapping("/hands")
    ModelAndView change(
            @Me Person me,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String pin,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            HttpServletResponse response) {
        List<Person> others = pins.others(me);
        Optional<Person> chosen =
                others.stream().filter(p -> p.id().toString().equals(to)).findFirst();
        Pins.Entry entry =
                chosen.map(p -> pins.change(p, pin, request, response)).orElse(Pins.Entry.WRONG);
        if (entry == Pins.Entry.TAKEN) {
            return new ModelAndView("redirect:" + local(back).replace("{", "%7B"));
        }
        Form form = Form.blank(me, words);
        chosen.ifPresentOrElse(
                who -> form.problem(
                        "pin",
                        entry == Pins.Entry.LOCKED ? "problem.pin.locked" : "problem.pin.wrong",
                        "name",
                        who.displayName()),
                () -> form.problem("pin", "problem.pin.who"));
        return page(me, back, to, form);
    }

    /** Only an address of this application is gone back to. */
    private static String local(String back) {
        return back.matches("/(?![/\\\\])[\\x21-\\x7e&&[^\\\\]]{0,300}") ? back : "/";
    }
}
