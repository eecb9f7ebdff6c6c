package abbex.app.board;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.JobMark;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.verdict.JobVerdicts;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.view.RedirectView;

/** The floor: vehicles where they stand, each with its next act and who holds it. */
@Controller
class BoardController {
    private final Jobs jobs;
    private final People people;
    private final FloorPage page;
    private final JobVerdicts verdicts;
    private final Words words;
    private final Audit audit;

    BoardController(Jobs jobs, People people, FloorPage page, JobVerdicts verdicts, Words words, Audit audit) {
        this.audit = audit;
        this.verdicts = verdicts;
        this.jobs = jobs;
        this.people = people;
        this.page = page;
        this.words = words;
    }

    @GetMapping("/")
    ModelAndView floor(
            @Me Person me,
            @RequestParam(defaultValue = "false") boolean mine,
            @RequestParam(required = false) @Nullable UUID moving,
            @RequestParam Map<String, String> parameters) {
        Form form = Form.blank(me, words);
        FloorPage.Shown shown = new FloorPage.Shown(
                mine, moving, form, Optional.ofNullable(parameters.get("moved")).flatMap(this::id));
        ModelAndView floor = page.of(me, shown, before(parameters));
        // The way back counts from the move itself: who moved the vehicle since is told of, not written over.
        floor.addObject("since", parameters.getOrDefault("edition", ""));
        return floor;
    }

    private Optional<UUID> id(String text) {
        try {
            return Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    /** Where a vehicle that was just moved stood before. */
    private static Job.Where before(Map<String, String> parameters) {
        String place = parameters.getOrDefault("was", "");
        return Stream.of(Job.Place.values())
                .filter(p -> p.name().equals(place))
                .findFirst()
                .map(p -> new Job.Where(p, parameters.getOrDefault("bay", "")))
                .orElse(new Job.Where(Job.Place.WAITING, ""));
    }

    /** The form of one vehicle's place, for who has tapped it. */
    @GetMapping("/jobs/{id}/move")
    ModelAndView mover(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        if (job.where().place() == Job.Place.GONE) {
            throw new NotHere();
        }
        ModelAndView form = page.of(
                me,
                new FloorPage.Shown(false, id, Form.blank(me, words), Optional.empty()),
                new Job.Where(Job.Place.WAITING, ""));
        form.setViewName("board :: mover");
        return form;
    }

    /** What is not sent stays as it is: a vehicle that is dragged keeps its hands and its day. */
    @PostMapping("/jobs/{id}/move")
    ModelAndView move(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        Job.Place place = form.choice("place", Job.Place.values(), job.where().place());
        String bay = form.has("bay") ? form.line("bay", 20) : job.where().bay();
        LocalDate due = form.has("due") ? form.day("due") : job.dueBack();
        UUID holder = form.has("holder") ? holder(me, form.text("holder")) : job.holder();
        Job.Where where = new Job.Where(place, place == Job.Place.BAY ? bay : "");
        stopStays(job, place, form);
        if (form.fits() && !jobs.move(me.shop(), id, where, holder, due, form.edition())) {
            Job standing = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
            form.meanwhile(standing.edition().moves(), texts(standing));
        }
        if (!form.fits()) {
            return page.of(me, new FloorPage.Shown(false, id, form, Optional.empty()), job.where());
        }
        RedirectView floor = new RedirectView("/");
        if (!where.equals(job.where())) {
            String to = where.bay().isEmpty() ? words.say("place." + place, form.reader()) : where.bay();
            audit.add(me, Audit.What.MOVED, job.vehicle().plate() + ": " + to);
            floor.addStaticAttribute("moved", id.toString());
            floor.addStaticAttribute("was", job.where().place().name());
            floor.addStaticAttribute("bay", job.where().bay());
            floor.addStaticAttribute(
                    "edition",
                    jobs.find(me.shop(), id).orElseThrow(NotHere::new).edition().moves());
        }
        return new ModelAndView(floor);
    }

    /** Nothing that is marked stop leaves the building by a drag: it is answered at hand-over. */
    private void stopStays(Job job, Job.Place place, Form form) {
        boolean here = job.where().place() == Job.Place.BAY || job.where().place() == Job.Place.WAITING;
        boolean leaves = place == Job.Place.OUT || place == Job.Place.GONE;
        if (here && leaves) {
            JobMark judged = verdicts.mark(job, form.reader());
            if (judged.mark().equals("stop")) {
                form.problem(
                        "place", "problem.move.stop", "plate", job.vehicle().plate(), "fault", judged.title());
            }
        }
    }

    private @Nullable UUID holder(Person me, String asked) {
        return people.ofShop(me.shop()).stream()
                .map(Person::id)
                .filter(p -> p.toString().equals(asked))
                .findFirst()
                .orElse(null);
    }

    /** What the fields of a move hold. */
    private static Map<String, String> texts(Job job) {
        return Map.of(
                "place",
                job.where().place().name(),
                "bay",
                job.where().bay(),
                "holder",
                job.holder() == null ? "" : job.holder().toString(),
                "due",
                job.dueBack() == null ? "" : job.dueBack().toString());
    }
}
