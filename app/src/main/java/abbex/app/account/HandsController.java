package abbex.app.account;

import abbex.app.page.Me;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.people.Pins;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
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
    String hands(@Me Person me, @RequestParam(defaultValue = "/") String back, Model model) {
        model.addAttribute("others", pins.others(me));
        model.addAttribute("hasPin", pins.has(me.id()));
        model.addAttribute("back", local(back));
        model.addAttribute("chosen", "");
        model.addAttribute("problem", "");
        return "hands";
    }

    @PostMapping("/hands")
    ModelAndView change(
            @Me Person me,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String pin,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        List<Person> others = pins.others(me);
        Optional<Person> chosen =
                others.stream().filter(p -> p.id().toString().equals(to)).findFirst();
        Pins.Entry entry =
                chosen.map(p -> pins.change(p, pin, request, response)).orElse(Pins.Entry.WRONG);
        if (entry == Pins.Entry.TAKEN) {
            return new ModelAndView("redirect:" + local(back).replace("{", "%7B"));
        }
        hands(me, back, model);
        ModelAndView page = new ModelAndView("hands", HttpStatus.valueOf(422));
        page.addAllObjects(model.asMap());
        page.addObject("chosen", to);
        page.addObject(
                "problem", chosen.map(p -> sentence(entry, p, me)).orElseGet(() -> words.say("problem.pin.who")));
        return page;
    }

    private String sentence(Pins.Entry entry, Person who, Person me) {
        String key = entry == Pins.Entry.LOCKED ? "problem.pin.locked" : "problem.pin.wrong";
        return words.say(key, Reader.of(me), "name", who.displayName());
    }

    /** Only an address of this application is gone back to. */
    private static String local(String back) {
        return back.matches("/(?![/\\\\])[\\x21-\\x7e&&[^\\\\]]{0,300}") ? back : "/";
    }
}
