package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.rules.ShopRules;
import abbex.core.day.DaySolver;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The day of a shop: planned, put by hand, planned again. */
@Controller
class DayController {
    private static final Logger LOG = LoggerFactory.getLogger(DayController.class);

    private final DayPage page;
    private final DayPlanner planner;
    private final Hours hours;
    private final Drafts drafts;
    private final Agreed agreed;
    private final Jobs jobs;
    private final People people;
    private final Words words;
    private final Clock clock;

    DayController(
            DayPage page,
            DayPlanner planner,
            Hours hours,
            Drafts drafts,
            Agreed agreed,
            Jobs jobs,
            People people,
            Words words,
            Clock clock) {
        this.page = page;
        this.planner = planner;
        this.hours = hours;
        this.drafts = drafts;
        this.agreed = agreed;
        this.jobs = jobs;
        this.people = people;
        this.words = words;
        this.clock = clock;
    }

    /** The day that a form is about, today where it says none. */
    static LocalDate day(Form form, Person me, Clock clock) {
        LocalDate day = form.day("on");
        return day == null ? LocalDate.ofInstant(clock.instant(), me.likes().zone()) : day;
    }

    /** The way back to a day; what is no day is today. */
    static String back(String on, String part) {
        String day = on.matches("\\d{4}-\\d{2}-\\d{2}") ? "?on=" + on : "";
        return "redirect:/day" + day + (part.isEmpty() ? "" : "#" + part);
    }

    @GetMapping("/day")
    ModelAndView day(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form asked = new Form(me, words, parameters);
        LocalDate day = day(asked, me, clock);
        return page.of(me, day, asked.fits() ? Form.blank(me, words) : asked);
    }

    /** Planned as things stand now. */
    @PostMapping("/day")
    ModelAndView plan(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        LocalDate day = day(form, me, clock);
        if (form.fits()) {
            solved(
                    form,
                    "on",
                    () -> planner.again(me, hours.of(me.shop(), me.likes().zone()), day));
        }
        return form.fits() ? new ModelAndView(back(day.toString(), "")) : page.of(me, day, form);
    }

    private void solved(Form form, String field, Runnable solve) {
        try {
            solve.run();
        } catch (DaySolver.NoSolver none) {
            LOG.error("{}", none.getMessage(), none);
            form.problem(field, "problem.day.solver");
        }
    }

    /** One vehicle put somewhere by hand, back to where it fits best, or not on this day. */
    @PostMapping("/day/vehicle")
    ModelAndView vehicle(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        LocalDate day = day(form, me, clock);
        Job job = job(me, form);
        ShopHours shop = hours.of(me.shop(), me.likes().zone());
        Wishes.Wish wish = wish(me, form, job, day, shop);
        if (form.fits()) {
            String field = "at" + job.id();
            solved(form, field, () -> {
                if (!planner.set(me, shop, day, job.id(), wish, form.edition())) {
                    form.problem(field, "problem.day.meanwhile");
                }
            });
        }
        return form.fits() ? new ModelAndView(back(day.toString(), "")) : page.of(me, day, form);
    }

    private Job job(Person me, Form form) {
        try {
            return jobs.find(me.shop(), UUID.fromString(form.text("job"))).orElseThrow(NotHere::new);
        } catch (IllegalArgumentException none) {
            throw new NotHere();
        }
    }

    private Wishes.Wish wish(Person me, Form form, Job job, LocalDate day, ShopHours shop) {
        Wishes.What what = form.choice("what", Wishes.What.values(), Wishes.What.FREE);
        if (what != Wishes.What.PUT) {
            return what == Wishes.What.OUT ? Wishes.Wish.OUT : Wishes.Wish.FREE;
        }
        String field = "at" + job.id();
        Optional<Instant> at = form.time(field).map(time -> at(day, time, shop));
        if (at.filter(when -> when.isBefore(clock.instant().minusSeconds(300))).isPresent()) {
            form.problem(field, "problem.day.past", "read", form.text(field));
        }
        String bay = form.line("bay" + job.id(), 20);
        if (drafts.liftMissing(me.shop(), job, bay)) {
            form.problem(field, "problem.day.lift", "bay", bay);
        }
        Optional<UUID> lead = people.ofShop(me.shop()).stream()
                .filter(p -> p.role() != Role.DESK)
                .map(Person::id)
                .filter(id -> id.toString().equals(form.text("lead" + job.id())))
                .findFirst();
        return new Wishes.Wish(what, ShopRules.bayKey(bay).isEmpty() ? "" : bay, lead, at);
    }

    /** Who works past midnight means the next day by an early hour. */
    private static Instant at(LocalDate day, LocalTime time, ShopHours shop) {
        boolean next = shop.closes().isBefore(shop.opens()) && time.isBefore(shop.opens());
        return (next ? day.plusDays(1) : day).atTime(time).atZone(shop.zone()).toInstant();
    }

    /** When the vehicle comes and by when it is promised. */
    @PostMapping("/day/agreed")
    ModelAndView agreed(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        LocalDate day = day(form, me, clock);
        Job job = job(me, form);
        ZoneId zone = hours.of(me.shop(), me.likes().zone()).zone();
        String ready = "ready" + job.id();
        Optional<LocalDateTime> comes = form.moment("comes" + job.id());
        Optional<LocalDateTime> promised = form.moment(ready);
        if (comes.isPresent() && promised.isPresent() && !promised.get().isAfter(comes.get())) {
            form.problem(ready, "problem.day.order", "read", form.text(ready));
        }
        if (form.fits()
                && !agreed.agree(
                        me,
                        job,
                        comes.map(t -> instant(t, zone)),
                        promised.map(t -> instant(t, zone)),
                        form.edition())) {
            Agreed.Said stands = agreed.of(job);
            Map<String, String> texts = new HashMap<>();
            texts.put(
                    "comes" + job.id(), stands.comes().map(at -> text(at, zone)).orElse(""));
            texts.put(ready, stands.ready().map(at -> text(at, zone)).orElse(""));
            form.meanwhile((int) stands.edition(), texts);
        }
        return form.fits() ? new ModelAndView(back(day.toString(), "")) : page.of(me, day, form);
    }

    private static Instant instant(LocalDateTime at, ZoneId zone) {
        return at.atZone(zone).toInstant();
    }

    private static String text(Instant at, ZoneId zone) {
        return DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm").format(at.atZone(zone));
    }
}
