package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.vehicle.End;
import abbex.core.workcard.CardStep;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** The card: whole for who answers for it, and a step at a time for who has it in hand. */
@Controller
class CardController {
    private final Jobs jobs;
    private final JobHeads heads;
    private final Cards cards;
    private final CardViews views;
    private final BoltViews bolts;
    private final CardNotes notes;
    private final Photos photos;
    private final Words words;

    CardController(
            Jobs jobs,
            JobHeads heads,
            Cards cards,
            CardViews views,
            BoltViews bolts,
            CardNotes notes,
            Photos photos,
            Words words) {
        this.photos = photos;
        this.jobs = jobs;
        this.heads = heads;
        this.cards = cards;
        this.views = views;
        this.bolts = bolts;
        this.notes = notes;
        this.words = words;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/fit")
    ModelAndView whole(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        return whole(me, job, shown(job, parameters), Form.blank(me, words));
    }

    /** What was chosen so far of a card that is not begun: what is shown is what begins. */
    private Cards.Current shown(Job job, Map<String, String> parameters) {
        return parameters.containsKey("shown")
                ? cards.as(job, facts(job, parameters), rounds(parameters))
                : cards.as(job, views.likely(job), List.of());
    }

    private ModelAndView whole(Person me, Job job, Cards.Current current, Form form) {
        ModelAndView page = form.on(new ModelAndView("fit"));
        page.addObject("head", heads.head(me.shop(), job.id(), "fit", Reader.of(me)));
        page.addObject("view", views.whole(job, current, Reader.of(me)));
        page.addObject("client", UUID.randomUUID().toString());
        return page;
    }

    @PostMapping("/jobs/{id}/fit")
    String begin(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        cards.begin(me, job, facts(job, parameters), rounds(parameters));
        return cards.of(job)
                .state()
                .next()
                .map(step -> "redirect:/jobs/" + id + "/fit/" + step.key())
                .orElse("redirect:/jobs/" + id + "/fit");
    }

    private Set<String> facts(Job job, Map<String, String> parameters) {
        return cards.asked(job).stream()
                .filter(fact -> "yes".equals(parameters.get(fact)))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** None for all ends at once. */
    private static List<Set<End>> rounds(Map<String, String> parameters) {
        Set<End> now = ends(parameters);
        boolean all = now.isEmpty() || now.size() == End.values().length;
        return all ? List.of() : List.of(now);
    }

    private static Set<End> ends(Map<String, String> parameters) {
        return Arrays.stream(End.values())
                .filter(end -> "yes".equals(parameters.get("now-" + end.code())))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Another round for one end or both; sent twice it is one. */
    @PostMapping("/jobs/{id}/fit/round")
    ModelAndView round(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Cards.Current current = cards.of(job);
        Form form = new Form(me, words, parameters);
        Set<End> ends = ends(parameters).stream()
                .filter(end -> !current.wanted().supplied().get(end).isEmpty())
                .collect(Collectors.toUnmodifiableSet());
        if (ends.isEmpty() || !current.begun()) {
            form.problem("now-front", "problem.fit.round");
            return whole(me, job, cards.of(job), form);
        }
        if (form.text("rounds").matches("[1-9]")) {
            cards.round(me, job, ends, Integer.parseInt(form.text("rounds")));
        }
        return new ModelAndView("redirect:/jobs/" + id + "/fit");
    }

    /** The card goes on with the steps of today. */
    @PostMapping("/jobs/{id}/fit/newer")
    String newer(@Me Person me, @PathVariable UUID id) {
        cards.renew(me, job(me, id));
        return "redirect:/jobs/" + id + "/fit";
    }

    /** A step in hand; with a crow-foot, what the wrench is set to. */
    @GetMapping("/jobs/{id}/fit/{step}")
    ModelAndView bay(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable String step,
            @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        Job job = job(me, id);
        String setting = form.has("arm") ? bolts.setting(cards.of(job), form) : "";
        return bay(me, job, step, form).addObject("setting", setting);
    }

    private ModelAndView bay(Person me, Job job, String key, Form form) {
        CardStep step = cards.of(job).card().find(key).orElseThrow(NotHere::new);
        ModelAndView page = form.on(new ModelAndView("bay"));
        page.addObject("head", heads.head(me.shop(), job.id(), "fit", Reader.of(me)));
        page.addObject("view", views.bay(job, step, Reader.of(me)));
        return page;
    }

    /** Lift or jacks is asked before anything is ticked. */
    private static ModelAndView begins(UUID job, @Nullable String script, HttpServletResponse response) {
        return on("/jobs/" + job + "/fit", script, response);
    }

    /** A photo of a step; what is none is told where it was chosen. */
    @PostMapping("/jobs/{id}/fit/{step}/photo")
    ModelAndView photo(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable String step,
            @RequestParam Map<String, String> parameters,
            @RequestParam(required = false) @Nullable MultipartFile photo,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String script,
            HttpServletResponse response)
            throws IOException {
        Job job = job(me, id);
        CardStep at = cards.of(job).card().find(step).orElseThrow(NotHere::new);
        if (!cards.of(job).begun()) {
            return begins(id, script, response);
        }
        Form form = new Form(me, words, parameters);
        if (stranger(me, form)) {
            return nothing(HttpStatus.PRECONDITION_FAILED);
        }
        Photos.Read read = photo == null ? new Photos.Read.None() : Photos.read(photo.getBytes());
        String field = "capture-" + form.text("item");
        if (read instanceof Photos.Read.Heic) {
            form.problem(field, "problem.fit.heic");
        } else if (!(read instanceof Photos.Read.Taken)) {
            form.problem(field, "problem.fit.photo");
        }
        if (form.fits() && read instanceof Photos.Read.Taken taken) {
            notes.photo(me, job, at, form, taken.jpeg());
        }
        return form.fits() ? on("/jobs/" + id + "/fit/" + step, script, response) : bay(me, job, step, form);
    }

    /** What waited on a device goes under the sign-in of who typed it, whoever holds the device now. */
    private static boolean stranger(Person me, Form form) {
        String by = form.text("by");
        return !by.isEmpty() && !by.equals(me.id().toString());
    }

    private static ModelAndView nothing(HttpStatus status) {
        ModelAndView nothing = new ModelAndView("bay :: nothing");
        nothing.setStatus(status);
        return nothing;
    }

    /** On to another page; a script is told where to. */
    private static ModelAndView on(String to, @Nullable String script, HttpServletResponse response) {
        if (script == null) {
            return new ModelAndView("redirect:" + to);
        }
        response.setHeader("X-Abbex-To", to);
        return nothing(HttpStatus.OK);
    }

    @GetMapping("/jobs/{id}/photos/{item}")
    ResponseEntity<byte[]> photo(@Me Person me, @PathVariable UUID id, @PathVariable UUID item) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .header("X-Content-Type-Options", "nosniff")
                .body(photos.find(me.shop(), job(me, id).id(), item).orElseThrow(NotHere::new));
    }

    private static final Set<String> LEADS_ON = Set.of(
            Cards.What.TICKED.name(),
            Cards.What.OTHERWISE.name(),
            CardPresses.Press.ROW.name(),
            CardPresses.Press.CLOSE.name());

    /** Something is written down of a step. Done, the card goes on to what comes next. */
    @PostMapping("/jobs/{id}/fit/{step}")
    ModelAndView write(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable String step,
            @RequestParam Map<String, String> parameters,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String script,
            HttpServletResponse response) {
        Job job = job(me, id);
        CardStep at = cards.of(job).card().find(step).orElseThrow(NotHere::new);
        if (!cards.of(job).begun()) {
            return begins(id, script, response);
        }
        Form form = new Form(me, words, parameters);
        if (stranger(me, form)) {
            return nothing(HttpStatus.PRECONDITION_FAILED);
        }
        notes.take(me, job, at, form);
        if (!form.fits()) {
            return bay(me, job, step, form);
        }
        boolean on = LEADS_ON.contains(form.text("what")) || form.text("then").equals("done");
        String to = on ? cards.of(job).state().next().map(s -> "/" + s.key()).orElse("") : "/" + step;
        return on("/jobs/" + id + "/fit" + to, script, response);
    }
}
