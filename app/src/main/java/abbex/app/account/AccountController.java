package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.Passwords;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Pins;
import abbex.app.people.SecondFactor;
import abbex.core.units.Graduation;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** One's own account: unit, tape, zone, theme, keys, password, PIN, and whether a code of the phone is asked for. */
@Controller
class AccountController {
    private final People people;
    private final Pins pins;
    private final Words words;
    private final Audit audit;
    private final Present present;
    private final SecondFactor second;

    AccountController(People people, Pins pins, Words words, Audit audit, Present present, SecondFactor second) {
        this.present = present;
        this.second = second;
        this.pins = pins;
        this.audit = audit;
        this.people = people;
        this.words = words;
    }

    @GetMapping("/account")
    String account(@Me Person me, HttpServletRequest request, Model model) {
        Person.Likes likes = me.likes();
        model.addAttribute("unit", likes.unit().symbol());
        model.addAttribute("tape", likes.tape().toString());
        model.addAttribute("zone", likes.zone().getId());
        model.addAttribute("theme", likes.theme());
        model.addAttribute("keys", likes.singleKeys());
        model.addAttribute("paint", likes.paint().map(Enum::name).orElse(""));
        model.addAttribute("paints", Person.Paint.values());
        model.addAttribute("hasPin", pins.has(me.id()));
        model.addAttribute("second", second.on(me.id()));
        model.addAttribute("codesLeft", second.recoveryCodesLeft(me.id()));
        model.addAttribute("signIns", people.signIns(me, request.getSession().getId()));
        model.addAttribute("clock", Reader.of(me));
        model.addAttribute("form", Form.blank(me, words));
        return "account";
    }

    private static Optional<ZoneId> zone(String text) {
        try {
            return Optional.of(ZoneId.of(text.strip()));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    @PostMapping("/account")
    ModelAndView likes(
            @Me Person me,
            @RequestParam(defaultValue = "in") String unit,
            @RequestParam(defaultValue = "") String tape,
            @RequestParam(defaultValue = "") String zone,
            @RequestParam(defaultValue = "auto") String theme,
            @RequestParam(defaultValue = "false") boolean keys,
            @RequestParam(defaultValue = "") String paint,
            HttpServletRequest request,
            Model model) {
        Form form = Form.blank(me, words);
        Optional<Graduation> marks = Graduation.parse(tape);
        if (marks.isEmpty()) {
            form.problem("tape", "problem.tape", "read", tape);
        }
        Optional<ZoneId> where = zone(zone);
        if (where.isEmpty()) {
            form.problem("zone", "problem.zone", "read", zone);
        }
        if (form.fits()) {
            String shown = theme.equals("bright") || theme.equals("dim") ? theme : "auto";
            people.setLikes(
                    me.id(),
                    new Person.Likes(
                            People.unit(unit),
                            marks.orElseThrow(),
                            where.orElseThrow(),
                            shown,
                            keys,
                            Person.Paint.named(paint)));
            return new ModelAndView("redirect:/account?kept");
        }
        account(me, request, model);
        model.addAttribute("unit", unit);
        model.addAttribute("tape", tape);
        model.addAttribute("zone", zone);
        model.addAttribute("theme", theme);
        model.addAttribute("keys", keys);
        model.addAttribute("paint", paint);
        return unfit(model, form);
    }

    /** Wherever else I am signed in, that ends. */
    @PostMapping("/account/elsewhere")
    String elsewhere(@Me Person me, HttpServletRequest request) {
        people.endSessionsBut(me, request.getSession().getId());
        audit.add(me, Audit.What.SIGNED_OUT_ELSEWHERE, "");
        return "redirect:/account";
    }

    /** The theme alone, by its key. */
    @PostMapping("/account/theme")
    ResponseEntity<Void> theme(@Me Person me, @RequestParam String theme) {
        if (!theme.equals("bright") && !theme.equals("dim")) {
            return ResponseEntity.badRequest().build();
        }
        Person.Likes l = me.likes();
        people.setLikes(me.id(), new Person.Likes(l.unit(), l.tape(), l.zone(), theme, l.singleKeys(), l.paint()));
        return ResponseEntity.noContent().build();
    }

    @PostMapping("/account/password")
    ModelAndView password(
            @Me Person me,
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String fresh,
            @RequestParam(defaultValue = "") String again,
            HttpServletRequest request,
            Model model) {
        Form form = Form.blank(me, words);
        this.present.password(me, present, form, "present", request);
        if (fresh.length() < 10) {
            form.problem("fresh", "problem.password.short");
        } else if (fresh.getBytes(StandardCharsets.UTF_8).length > 72) {
            form.problem("fresh", "problem.password.long");
        } else if (Passwords.trivial(fresh, me)) {
            form.problem("fresh", "problem.password.trivial");
        } else if (!fresh.equals(again)) {
            form.problem("again", "problem.password.same");
        }
        if (form.fits()) {
            people.setPassword(me.id(), fresh);
            people.endSessionsBut(me, request.getSession().getId());
            audit.add(me, Audit.What.PASSWORD_CHANGED, "");
            return new ModelAndView("redirect:/account?changed");
        }
        account(me, request, model);
        return unfit(model, form);
    }

    @PostMapping("/account/pin")
    ModelAndView pin(
            @Me Person me,
            @RequestParam(defaultValue = "") String present,
            @RequestParam(defaultValue = "") String pin,
            HttpServletRequest request,
            Model model) {
        Form form = Form.blank(me, words);
        this.present.password(me, present, form, "pin-present", request);
        if (!Pins.fit(pin)) {
            form.problem("pin", "problem.pin.unfit");
        }
        if (form.fits()) {
            pins.set(me.id(), pin);
            people.endSessionsBut(me, request.getSession().getId());
            audit.add(me, Audit.What.PIN_SET, "");
            return new ModelAndView("redirect:/account?pin");
        }
        account(me, request, model);
        return unfit(model, form);
    }

    private static ModelAndView unfit(Model model, Form form) {
        ModelAndView page = form.on(new ModelAndView("account"));
        page.addAllObjects(model.asMap());
        page.addObject("form", form);
        return page;
    }
}
