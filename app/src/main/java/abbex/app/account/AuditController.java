package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.AuditLog;
import abbex.app.people.People;
import abbex.app.people.Person;
import java.util.Arrays;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;

/** The record of who did what, for a lead. */
@Controller
class AuditController {
    private static final int LONGEST = 60;

    private final AuditLog log;
    private final People people;
    private final Words words;

    AuditController(AuditLog log, People people, Words words) {
        this.log = log;
        this.people = people;
        this.words = words;
    }

    @GetMapping("/audit")
    ModelAndView list(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        String person = form.text("person").matches("[0-9a-f-]{36}") ? form.text("person") : "";
        Audit.What what = Arrays.stream(Audit.What.values())
                .filter(w -> w.name().equals(form.text("what")))
                .findFirst()
                .orElse(null);
        String text = form.text("text");
        AuditLog.Asked asked =
                new AuditLog.Asked(person, what, text.length() > LONGEST ? text.substring(0, LONGEST) : text);
        boolean newest = !form.text("before").matches("\\d{1,18}");
        AuditLog.Page found = log.find(me.shop(), asked, newest ? Long.MAX_VALUE : Long.parseLong(form.text("before")));
        ModelAndView page = new ModelAndView("audit");
        page.addObject("entries", found.entries());
        page.addObject("clock", Reader.of(me));
        page.addObject("sought", asked);
        page.addObject("staff", people.ofShop(me.shop()));
        page.addObject("acts", Audit.What.values());
        found.older()
                .ifPresent(id -> page.addObject(
                        "older",
                        address(asked).queryParam("before", id).encode().toUriString()));
        if (!newest) {
            page.addObject("newest", address(asked).encode().toUriString());
        }
        if (form.has("check")) {
            AuditLog.Whole whole = log.whole(me.shop());
            page.addObject("broken", whole.broken().isPresent());
            page.addObject("whole", said(whole, Reader.of(me)));
        }
        return page;
    }

    private String said(AuditLog.Whole whole, Reader reader) {
        return whole.broken()
                .map(at -> words.say("audit.broken", reader, "when", reader.full(at)))
                .orElseGet(() -> words.say("audit.whole", reader, "n", whole.lines(), "mark", whole.mark()));
    }

    private static UriComponentsBuilder address(AuditLog.Asked asked) {
        return UriComponentsBuilder.fromPath("/audit")
                .queryParam("person", asked.person())
                .queryParam("what", asked.what() == null ? "" : asked.what().name())
                .queryParam("text", asked.text());
    }
}
