package abbex.app.day;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.core.day.WorkHours;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** When the shop works, and who is away. */
@Controller
class HoursController {
    /** Longer than a year somebody has left. */
    private static final int LONGEST = 366;

    private final Hours hours;
    private final Absences absences;
    private final DayPage page;
    private final People people;
    private final Words words;
    private final Clock clock;

    HoursController(Hours hours, Absences absences, DayPage page, People people, Words words, Clock clock) {
        this.hours = hours;
        this.absences = absences;
        this.page = page;
        this.people = people;
        this.words = words;
        this.clock = clock;
    }

    /** The lead's. */
    @PostMapping("/day/hours")
    ModelAndView hours(
            @Me Person me,
            @RequestParam(defaultValue = "") List<String> weekday,
            @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        LocalDate day = DayController.day(form, me, clock);
        ShopHours stands = hours.of(me.shop(), me.likes().zone());
        LocalTime opens = needed(form, "opens");
        LocalTime closes = needed(form, "closes");
        LocalTime delivery = needed(form, "delivery");
        Optional<WorkHours.Pause> pause = pause(form);
        if (form.fits() && opens.equals(closes)) {
            form.problem("closes", "problem.day.closes", "read", form.text("closes"));
        }
        Set<DayOfWeek> days = Arrays.stream(DayOfWeek.values())
                .filter(d -> weekday.contains(d.name()))
                .collect(Collectors.toSet());
        ShopHours asked = new ShopHours(opens, closes, pause, delivery, days, stands.zone(), stands.edition());
        if (form.fits() && !hours.save(me, asked, form.edition())) {
            ShopHours now = hours.of(me.shop(), me.likes().zone());
            form.meanwhile(now.edition(), now.texts());
        }
        return form.fits() ? back(day) : page.of(me, day, form);
    }

    private static ModelAndView back(LocalDate day) {
        return new ModelAndView(DayController.back(day.toString(), "shop"));
    }

    private static LocalTime needed(Form form, String field) {
        Optional<LocalTime> time = form.time(field);
        if (time.isEmpty()) {
            form.problem(field, "problem.time", "read", form.text(field));
        }
        return time.orElse(LocalTime.MIDNIGHT);
    }

    private static Optional<WorkHours.Pause> pause(Form form) {
        Optional<LocalTime> from = form.time("pauseFrom");
        Optional<LocalTime> to = form.time("pauseTo");
        if (from.isPresent() && (to.isEmpty() || !to.get().isAfter(from.get()))) {
            form.problem("pauseTo", "problem.day.pause", "read", form.text("pauseTo"));
        } else if (from.isEmpty() && to.isPresent()) {
            form.problem("pauseFrom", "problem.day.pause", "read", form.text("pauseFrom"));
        }
        return from.isPresent() && to.isPresent()
                ? Optional.of(new WorkHours.Pause(from.get(), to.get()))
                : Optional.empty();
    }

    /** Somebody is away, or the shop is shut. */
    @PostMapping("/day/away")
    ModelAndView away(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        LocalDate day = DayController.day(form, me, clock);
        LocalDate first = form.day("first");
        LocalDate last = form.has("last") && !form.text("last").isEmpty() ? form.day("last") : first;
        Optional<LocalTime> from = form.time("awayFrom");
        Optional<LocalTime> to = form.time("awayTo");
        Optional<UUID> who = people.ofShop(me.shop()).stream()
                .map(Person::id)
                .filter(id -> id.toString().equals(form.text("who")))
                .findFirst();
        if (first == null || last == null) {
            form.problem("first", "problem.day", "read", form.text("first"));
            return page.of(me, day, form);
        }
        if (last.isBefore(first) || first.plusDays(LONGEST).isBefore(last)) {
            form.problem("last", "problem.day.last", "read", form.text("last"));
        }
        if (from.isPresent() != to.isPresent() || from.isPresent() && !to.get().isAfter(from.get())) {
            form.problem("awayTo", "problem.day.times", "read", form.text("awayTo"));
        }
        if (who.isEmpty() && !form.text("who").equals("SHOP")) {
            form.problem("who", "problem.day.who");
        }
        if (!form.fits()) {
            return page.of(me, day, form);
        }
        absences.add(me, new Absences.Absence(Ids.fresh(), who, "", first, last, from, to));
        return back(day);
    }

    @PostMapping("/day/away/{id}/back")
    String here(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "") String on) {
        if (!absences.back(me, id)) {
            throw new NotHere();
        }
        return DayController.back(on, "shop");
    }
}
