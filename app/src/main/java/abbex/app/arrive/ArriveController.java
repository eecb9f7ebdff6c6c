package abbex.app.arrive;

import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Receiving a vehicle: few fields first, the rest unfolds. */
@Controller
class ArriveController {
    private final Jobs jobs;
    private final JobHeads heads;
    private final Words words;
    private final Clock clock;

    ArriveController(Jobs jobs, JobHeads heads, Words words, Clock clock) {
        this.jobs = jobs;
        this.heads = heads;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/arrive")
    String arrive(@Me Person me, @RequestParam(required = false) String plate, Model model) {
        Map<String, String> texts = new LinkedHashMap<>();
        if (plate != null) {
            texts.put("plate", plate);
            jobs.byPlate(me.shop(), plate).ifPresent(known -> ArriveForm.vehicle(texts, known));
        }
        return form(me, model, Ids.fresh(), new ArriveForm(me, texts), false);
    }

    /** The vehicle that the shop knows by the plate that is being typed. */
    @GetMapping("/arrive/known")
    String known(@Me Person me, @RequestParam(defaultValue = "") String plate, Model model) {
        Optional<VehicleFacts> known = jobs.byPlate(me.shop(), plate);
        model.addAttribute("known", known.orElse(null));
        known.ifPresent(
                v -> model.addAttribute("stays", jobs.stays(me.shop(), v.id()).size()));
        return "arrive :: known";
    }

    @PostMapping("/arrive")
    ModelAndView receive(
            @Me Person me, @RequestParam Map<String, String> parameters, @RequestParam UUID job, Model model) {
        if (jobs.find(me.shop(), job).isPresent()) {
            return new ModelAndView("redirect:/jobs/" + job + "/measure");
        }
        ArriveForm form = new ArriveForm(me, parameters);
        Optional<VehicleFacts> known = jobs.byPlate(me.shop(), form.text("plate"));
        VehicleFacts typed = form.vehicle(known.map(VehicleFacts::id).orElseGet(Ids::fresh));
        VehicleFacts vehicle = known.map(typed::withBlanksFrom).orElse(typed);
        Job received = form.stay(
                new Job.Identity(
                        job,
                        me.shop(),
                        new Job.Where(Job.Place.WAITING, ""),
                        me.id(),
                        me.initials(),
                        null,
                        clock.instant()),
                vehicle);
        form.limits();
        if (!form.ok()) {
            return unfit(form(me, model, job, form, false), model);
        }
        jobs.receive(received, me);
        return new ModelAndView("redirect:/jobs/" + job + "/measure");
    }

    @GetMapping("/jobs/{id}/arrive")
    String edit(@Me Person me, @PathVariable UUID id, Model model) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        head(me, model, job);
        return form(me, model, id, ArriveForm.of(me, job), true);
    }

    @PostMapping("/jobs/{id}/arrive")
    ModelAndView change(
            @Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        ArriveForm form = new ArriveForm(me, parameters);
        Job changed = form.stay(job.identity(), form.vehicle(job.vehicle().id()));
        form.limits();
        jobs.byPlate(me.shop(), form.text("plate"))
                .filter(other -> !other.id().equals(job.vehicle().id()))
                .ifPresent(other -> form.problem("plate", "problem.plate.other"));
        if (!form.ok()) {
            head(me, model, job);
            return unfit(form(me, model, id, form, true), model);
        }
        jobs.save(changed);
        return new ModelAndView("redirect:/jobs/" + id + "/measure");
    }

    @PostMapping("/jobs/{id}/blank-customer")
    String blank(@Me Person me, @PathVariable UUID id) {
        jobs.blankCustomer(me, jobs.find(me.shop(), id).orElseThrow(NotHere::new));
        return "redirect:/jobs/" + id + "/arrive";
    }

    private static ModelAndView unfit(String view, Model model) {
        ModelAndView page = new ModelAndView(view, HttpStatus.valueOf(422));
        page.addAllObjects(model.asMap());
        return page;
    }

    private void head(Person me, Model model, Job job) {
        model.addAttribute("head", heads.head(me.shop(), job.id(), "arrive", Reader.of(me)));
    }

    private String form(Person me, Model model, UUID job, ArriveForm form, boolean known) {
        model.addAttribute("form", form);
        model.addAttribute("jobId", job);
        model.addAttribute("existing", known);
        model.addAttribute("kinds", VehicleKind.values());
        model.addAttribute("shapes", VehicleFacts.Shape.values());
        model.addAttribute("architectures", Architecture.values());
        model.addAttribute("measures", VehicleFacts.Measure.values());
        Map<String, String> problems = new LinkedHashMap<>();
        Map<String, String> offers = new LinkedHashMap<>();
        form.problems().forEach((field, problem) -> {
            if (problem.refused() == null) {
                problems.put(field, words.say(problem.key()));
            } else {
                problems.put(field, Numerals.html(words.refusal(problem.refused(), Reader.of(me))));
                problem.refused().offers().stream().findFirst().ifPresent(offer -> offers.put(field, offer));
            }
        });
        model.addAttribute("problems", problems);
        model.addAttribute("offers", offers);
        return "arrive";
    }
}
