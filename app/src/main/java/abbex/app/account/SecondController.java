package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.SecondFactor;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A code from one's phone at every sign-in: on, off, and the codes for a lost phone. */
@Controller
class SecondController {
    /** The key that is offered stays the same until it is taken, so that a page opened again shows what the phone has. */
    private static final String OFFERED = "second-factor-offered";

    private final SecondFactor second;
    private final Present present;
    private final People people;
    private final Audit audit;
    private final Words words;

    SecondController(SecondFactor second, Present present, People people, Audit audit, Words words) {
        this.second = second;
        this.present = present;
        this.people = people;
        this.audit = audit;
        this.words = words;
    }

    @GetMapping("/account/second")
    ModelAndView second(@Me Person me, HttpSession session) {
        return page(me, Form.blank(me, words), session);
    }

    private ModelAndView page(Person me, Form form, HttpSession session) {
        ModelAndView page = form.on(new ModelAndView("second"));
        boolean on = second.on(me.id());
        page.addObject("on", on);
        page.addObject("left", second.recoveryCodesLeft(me.id()));
        if (!on) {
            String secret = offered(session);
            page.addObject("drawn", Scanned.key(secret, me.signInName()));
            page.addObject("secret", secret.replaceAll("(.{4})(?=.)", "$1 "));
        }
        return page;
    }

    private static String offered(HttpSession session) {
        Object had = session.getAttribute(OFFERED);
        if (had instanceof String secret) {
            return secret;
        }
        String secret = SecondFactor.freshSecret();
        session.setAttribute(OFFERED, secret);
        return secret;
    }

    @PostMapping("/account/second")
    ModelAndView turnOn(
            @Me Person me,
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpSession session) {
        Form form = Form.blank(me, words);
        if (second.on(me.id())) {
            return page(me, form, session);
        }
        this.present.password(me, present, form, "present", request);
        if (!form.fits()) {
            return page(me, form, session);
        }
        Optional<List<String>> codes = second.turnOn(me, offered(session), code);
        if (codes.isEmpty()) {
            form.problem("code", "problem.second.code");
            return page(me, form, session);
        }
        session.removeAttribute(OFFERED);
        people.endSessionsBut(me, session.getId());
        audit.add(me, Audit.What.SECOND_FACTOR_ON, "");
        return shownOnce(me, codes.get(), session);
    }

    @PostMapping("/account/second/codes")
    ModelAndView codes(
            @Me Person me,
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpSession session) {
        Form form = asked(me, present, code, request);
        if (!form.fits()) {
            return page(me, form, session);
        }
        audit.add(me, Audit.What.RECOVERY_CODES_MADE, "");
        return shownOnce(me, second.freshRecoveryCodes(me), session);
    }

    @PostMapping("/account/second/off")
    ModelAndView off(
            @Me Person me,
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpSession session) {
        Form form = asked(me, present, code, request);
        if (!form.fits()) {
            return page(me, form, session);
        }
        second.off(me);
        audit.add(me, Audit.What.SECOND_FACTOR_OFF, "");
        return new ModelAndView("redirect:/account?second");
    }

    /** Password and code, told at their fields when they are wrong. */
    private Form asked(Person me, String password, String code, HttpServletRequest request) {
        Form form = Form.blank(me, words);
        present.both(me, password, code, form, request);
        return form;
    }

    /** The page that answers is the only place where they are ever seen. */
    private ModelAndView shownOnce(Person me, List<String> codes, HttpSession session) {
        ModelAndView page = page(me, Form.blank(me, words), session);
        page.addObject("codes", codes);
        return page;
    }
}
