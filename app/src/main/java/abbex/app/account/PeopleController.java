package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.Passwords;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.people.SecondFactor;
import abbex.app.people.SignInName;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The lead's page: who belongs to the shop, and who did what. */
@Controller
class PeopleController {
    private final People people;
    private final Audit audit;
    private final Words words;
    private final Keeping keeping;
    private final SecondFactor second;

    PeopleController(People people, Audit audit, Words words, Keeping keeping, SecondFactor second) {
        this.second = second;
        this.keeping = keeping;
        this.people = people;
        this.audit = audit;
        this.words = words;
    }

    @GetMapping("/people")
    ModelAndView people(@Me Person me) {
        return page(me, Form.blank(me, words));
    }

    private ModelAndView page(Person me, Form form) {
        ModelAndView page = form.on(new ModelAndView("people"));
        page.addObject("staff", people.ofShop(me.shop()));
        page.addObject("keeping", keeping.state().orElse(null));
        page.addObject("clock", Reader.of(me));
        page.addObject("roles", Role.values());
        return page;
    }

    @PostMapping("/people")
    ModelAndView add(@Me Person me, @RequestParam Map<String, String> typed) {
        Form form = new Form(me, words, typed);
        String own = SignInName.own(form.text("name"));
        String name = people.signInName(me.shop(), own);
        String display = form.named("display", 120, "problem.person.display");
        String initials = form.text("initials").toUpperCase(Locale.ROOT);
        if (own.isEmpty()) {
            form.problem("name", "problem.person.name");
        } else if (people.nameTaken(name)) {
            form.problem("name", "problem.person.taken");
        }
        if (!initials.matches("[\\p{L}\\p{N}]{1,4}")) {
            form.problem("initials", "problem.person.initials");
        }
        if (form.text("role").isEmpty()) {
            form.problem("role", "problem.choice.unknown", "read", "");
        }
        Role role = form.choice("role", Role.values(), Role.TECHNICIAN);
        if (!form.fits()) {
            return page(me, form);
        }
        String password = Passwords.make();
        people.add(me.shop(), name, display, initials, role, password, true, me.likes());
        audit.add(me, Audit.What.PERSON_ADDED, name);
        return shownOnce(me, name, password);
    }

    @PostMapping("/people/{person}/reset")
    ModelAndView reset(@Me Person me, @PathVariable UUID person) {
        Person who = own(me, person);
        String password = Passwords.make();
        people.resetPassword(me.shop(), who, password);
        audit.add(me, Audit.What.PASSWORD_RESET, who.signInName());
        if (second.off(who)) {
            audit.add(me, Audit.What.SECOND_FACTOR_OFF, who.signInName());
        }
        return shownOnce(me, who.signInName(), password);
    }

    @PostMapping("/people/{person}/deactivate")
    String deactivate(@Me Person me, @PathVariable UUID person) {
        Person who = own(me, person);
        if (!who.id().equals(me.id())) {
            people.deactivate(me.shop(), who);
            audit.add(me, Audit.What.PERSON_DEACTIVATED, who.signInName());
        }
        return "redirect:/people";
    }

    @PostMapping("/people/{person}/sign-out")
    String signOut(@Me Person me, @PathVariable UUID person, HttpServletRequest request) {
        Person who = own(me, person);
        people.endSessionsBut(who, request.getSession().getId());
        audit.add(me, Audit.What.SIGNED_OUT_ELSEWHERE, who.signInName());
        return "redirect:/people";
    }

    private Person own(Person me, UUID person) {
        return people.byId(person).filter(p -> p.shop().equals(me.shop())).orElseThrow(NotHere::new);
    }

    /** The page that answers is the only place where the password is ever seen. */
    private ModelAndView shownOnce(Person me, String name, String password) {
        ModelAndView page = page(me, Form.blank(me, words));
        page.addObject("fresh", name + " / " + password);
        return page;
    }
}
