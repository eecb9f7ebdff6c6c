package abbex.app.account;

import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.Passwords;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
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

    PeopleController(People people, Audit audit, Words words) {
        this.people = people;
        this.audit = audit;
        this.words = words;
    }

    @GetMapping("/people")
    String people(@Me Person me, Model model) {
        fill(me, model, Map.of(), Map.of());
        return "people";
    }

    private void fill(Person me, Model model, Map<String, String> typed, Map<String, String> problems) {
        model.addAttribute("staff", people.ofShop(me.shop()));
        model.addAttribute("roles", Role.values());
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems);
    }

    @PostMapping("/people")
    ModelAndView add(@Me Person me, @RequestParam Map<String, String> typed, Model model) {
        String name = typed.getOrDefault("name", "").strip().toLowerCase(Locale.ROOT);
        String display = typed.getOrDefault("display", "").strip();
        String initials = typed.getOrDefault("initials", "").strip().toUpperCase(Locale.ROOT);
        Map<String, String> problems = new LinkedHashMap<>();
        if (!name.matches("[\\p{L}\\p{N}][\\p{L}\\p{N}._-]{1,39}")) {
            problems.put("name", words.say("problem.person.name"));
        } else if (people.nameTaken(name)) {
            problems.put("name", words.say("problem.person.taken"));
        }
        if (display.isEmpty() || display.length() > 120) {
            problems.put("display", words.say("problem.person.display"));
        }
        if (!initials.matches("[\\p{L}\\p{N}]{1,4}")) {
            problems.put("initials", words.say("problem.person.initials"));
        }
        Optional<Role> role = Stream.of(Role.values())
                .filter(one -> one.name().equals(typed.get("role")))
                .findFirst();
        if (role.isEmpty()) {
            problems.put("role", words.say("problem.choice"));
        }
        if (!problems.isEmpty()) {
            fill(me, model, typed, problems);
            ModelAndView page = new ModelAndView("people", HttpStatus.valueOf(422));
            page.addAllObjects(model.asMap());
            return page;
        }
        String password = Passwords.make();
        people.add(me.shop(), name, display, initials, role.orElseThrow(), password, true, me.likes());
        audit.add(me, Audit.What.PERSON_ADDED, name);
        return shownOnce(me, model, name, password);
    }

    @PostMapping("/people/{person}/reset")
    ModelAndView reset(@Me Person me, @PathVariable UUID person, Model model) {
        Person who = own(me, person);
        String password = Passwords.make();
        people.resetPassword(me.shop(), who, password);
        audit.add(me, Audit.What.PASSWORD_RESET, who.signInName());
        return shownOnce(me, model, who.signInName(), password);
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

    @GetMapping("/audit")
    String audit(@Me Person me, Model model) {
        Reader reader = Reader.of(me);
        model.addAttribute("entries", audit.newest(me.shop()));
        model.addAttribute("clock", reader);
        return "audit";
    }

    private Person own(Person me, UUID person) {
        return people.byId(person).filter(p -> p.shop().equals(me.shop())).orElseThrow(NotHere::new);
    }

    /** The page that answers is the only place where the password is ever seen. */
    private ModelAndView shownOnce(Person me, Model model, String name, String password) {
        fill(me, model, Map.of(), Map.of());
        ModelAndView page = new ModelAndView("people");
        page.addAllObjects(model.asMap());
        page.addObject("fresh", name + " / " + password);
        return page;
    }
}
