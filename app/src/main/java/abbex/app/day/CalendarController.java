package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Calendars: behind a secret address for a program that follows them, and an appointment as a file. */
@Controller
class CalendarController {
    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=utf-8");

    /** So many days back a calendar still shows. */
    private static final int BACK = 14;

    private final CalendarLinks links;
    private final DayStore store;
    private final DayCalendar calendar;
    private final DayPage page;
    private final Agreed agreed;
    private final Jobs jobs;
    private final People people;
    private final Words words;
    private final Clock clock;

    CalendarController(
            CalendarLinks links,
            DayStore store,
            DayCalendar calendar,
            DayPage page,
            Agreed agreed,
            Jobs jobs,
            People people,
            Words words,
            Clock clock) {
        this.links = links;
        this.store = store;
        this.calendar = calendar;
        this.page = page;
        this.agreed = agreed;
        this.jobs = jobs;
        this.people = people;
        this.words = words;
        this.clock = clock;
    }

    /** No sign-in: who has the address may read it. */
    @GetMapping("/calendar/{id}")
    ResponseEntity<String> days(@PathVariable String id) {
        CalendarLinks.Whose whose = links.whose(id.replaceFirst("[.]ics$", "")).orElseThrow(NotHere::new);
        // Where whoever made it, or whose it is, has left, it is read no more.
        Person maker = people.byId(whose.maker()).orElseThrow(NotHere::new);
        Person reader = whose.person().isEmpty()
                ? maker
                : people.byId(whose.person().get()).orElseThrow(NotHere::new);
        ZoneId zone = reader.likes().zone();
        Map<UUID, String> initials =
                people.ofShop(whose.shop()).stream().collect(Collectors.toMap(Person::id, Person::initials));
        String text = calendar.days(
                store.from(
                        whose.shop(), LocalDate.ofInstant(clock.instant(), zone).minusDays(BACK)),
                whose.person(),
                initials,
                maker.shopName(),
                Reader.of(reader));
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.maxAge(Duration.ofMinutes(5)).cachePrivate())
                .body(text);
    }

    /** An address of one's own, or of the shop for a lead; shown this once. */
    @PostMapping("/day/calendars")
    ModelAndView make(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        LocalDate day = DayController.day(form, me, clock);
        boolean shop = form.text("of").equals("SHOP") && me.role() == Role.LEAD;
        String secret = links.make(me, shop);
        ModelAndView made = page.of(me, day, Form.blank(me, words));
        made.addObject(
                "fresh",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path("/calendar/" + secret + ".ics")
                        .toUriString());
        return made;
    }

    @PostMapping("/day/calendars/{id}/withdraw")
    String withdraw(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "") String on) {
        if (!links.withdraw(me, id)) {
            throw new NotHere();
        }
        return DayController.back(on, "calendars");
    }

    /** What was agreed, for the customer. */
    @GetMapping("/jobs/{id}/appointment.ics")
    ResponseEntity<String> appointment(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Agreed.Said said = agreed.of(job);
        if (said.comes().isEmpty() && said.ready().isEmpty()) {
            throw new NotHere();
        }
        String name = "appointment-" + job.vehicle().plate().replaceAll("[^A-Za-z0-9-]", "-") + ".ics";
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(calendar.appointment(job, said, me.shopName(), Reader.of(me)));
    }
}
