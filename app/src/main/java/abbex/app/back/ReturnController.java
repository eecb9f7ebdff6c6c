package abbex.app.back;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.settle.Returns;
import abbex.app.settle.WatchList;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The visit that gets lost: when a vehicle is due, what is looked at when it is back, and who has to be reminded. */
@Controller
class ReturnController {
    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=utf-8");

    private final Jobs jobs;
    private final JobHeads heads;
    private final Words words;
    private final ReturnWords said;
    private final Returns returns;
    private final WatchList watched;
    private final StayValues values;
    private final Calendar calendar;

    ReturnController(
            Jobs jobs,
            JobHeads heads,
            Words words,
            ReturnWords said,
            Returns returns,
            WatchList watched,
            StayValues values,
            Calendar calendar) {
        this.jobs = jobs;
        this.heads = heads;
        this.words = words;
        this.said = said;
        this.returns = returns;
        this.watched = watched;
        this.values = values;
        this.calendar = calendar;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/return")
    ModelAndView page(@Me Person me, @PathVariable UUID id) {
        return page(me, job(me, id), Form.blank(me, words));
    }

    private ModelAndView page(Person me, Job job, Form form) {
        ModelAndView page = form.on(new ModelAndView("return"));
        StayValues.Told told = values.told(job, StayValues.Station.RETURN);
        page.addObject("head", heads.head(me.shop(), job.id(), "return", form.reader()));
        page.addObject("view", said.page(job, form, jobs.today(me.likes().zone())));
        page.addObject("perDay", told.text(ReturnForm.PER_DAY));
        page.addObject("told", told.edition());
        page.addObject("single", job.vehicle().kind().singleTrack());
        return page;
    }

    /** How each thing that was to be watched was found. */
    @PostMapping("/jobs/{id}/return")
    ModelAndView watched(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        UUID sheet = returns.of(job).back().orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        Map<String, Words.Said> asked = said.asked(job, form.reader());
        Map<String, WatchList.Given> given = ReturnForm.watched(form, asked.keySet());
        if (form.fits() && watched.answer(me, job, sheet, given, form.edition())) {
            return back(id);
        }
        if (form.fits()) {
            WatchList.Answered standing = watched.of(job, sheet);
            Map<String, String> stands = new LinkedHashMap<>();
            asked.keySet()
                    .forEach(key -> standing.of(key).ifPresent(g -> {
                        stands.put(ReturnForm.field(key), g.answer().name());
                        stands.put(ReturnForm.field(key) + "_why", g.note());
                    }));
            if (!form.meanwhile((int) standing.edition(), stands)) {
                return back(id);
            }
            asked.keySet()
                    .forEach(key -> standing.of(key)
                            .ifPresent(
                                    g -> form.called(ReturnForm.field(key), words.say("watch.answer." + g.answer()))));
        }
        return page(me, job, form);
    }

    /** How far it is driven in a day. */
    @PostMapping("/jobs/{id}/return/driven")
    ModelAndView driven(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        Map<String, String> kept = Map.of(ReturnForm.PER_DAY, ReturnForm.perDay(form));
        if (form.fits() && values.tell(me, job, StayValues.Station.RETURN, kept, form.edition())) {
            return back(id);
        }
        if (form.fits()) {
            StayValues.Told told = values.told(job, StayValues.Station.RETURN);
            if (!form.meanwhile((int) told.edition(), told.texts())) {
                return back(id);
            }
        }
        return page(me, job, form);
    }

    @GetMapping("/jobs/{id}/return.ics")
    ResponseEntity<String> appointment(@Me Person me, @PathVariable UUID id) {
        Job job = job(me, id);
        if (job.dueBack() == null) {
            throw new NotHere();
        }
        return file(
                calendar.of(List.of(job), me.shopName(), Reader.of(me)),
                "return-" + job.vehicle().plate().replaceAll("[^A-Za-z0-9-]", "-"));
    }

    /** Who is due, the earliest first. */
    @GetMapping("/returns")
    ModelAndView list(@Me Person me) {
        ModelAndView page = new ModelAndView("returns");
        LocalDate today = jobs.today(me.likes().zone());
        Reader reader = Reader.of(me);
        page.addObject(
                "due",
                due(me).stream()
                        .map(job -> new Due(
                                job.id(),
                                job.vehicle().plate(),
                                job.vehicle().name(),
                                job.customer(),
                                job.contact(),
                                reader.date(Objects.requireNonNull(job.dueBack())),
                                job.dueBack().isBefore(today),
                                !job.dueBack().isAfter(today.plusDays(7))))
                        .toList());
        return page;
    }

    /** Somebody to be reminded. */
    public record Due(
            UUID id,
            String plate,
            String vehicle,
            String customer,
            String contact,
            String day,
            boolean late,
            boolean soon) {}

    @GetMapping("/returns.ics")
    ResponseEntity<String> calendar(@Me Person me) {
        return file(calendar.of(due(me), me.shopName(), Reader.of(me)), "returns");
    }

    private List<Job> due(Person me) {
        return jobs.onTheFloor(me.shop()).stream()
                .filter(job -> job.where().place() == Job.Place.OUT && job.dueBack() != null)
                .sorted(Comparator.comparing(Job::dueBack))
                .toList();
    }

    private static ResponseEntity<String> file(String text, String name) {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(CALENDAR);
        headers.setContentDisposition(
                ContentDisposition.attachment().filename(name + ".ics").build());
        return new ResponseEntity<>(text, headers, HttpStatus.OK);
    }

    private static ModelAndView back(UUID id) {
        return new ModelAndView("redirect:/jobs/" + id + "/return");
    }
}
