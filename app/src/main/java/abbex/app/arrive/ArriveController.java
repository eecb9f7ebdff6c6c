package abbex.app.arrive;

import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.core.vehicle.Architecture;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
    private final Customers customers;
    private final JobHeads heads;
    private final Words words;
    private final Clock clock;
    private final Audit audit;

    ArriveController(Jobs jobs, Customers customers, JobHeads heads, Words words, Clock clock, Audit audit) {
        this.customers = customers;
        this.audit = audit;
        this.jobs = jobs;
        this.heads = heads;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/arrive")
    ModelAndView arrive(@Me Person me, @RequestParam(required = false) String plate) {
        Map<String, String> texts = new LinkedHashMap<>();
        if (plate != null) {
            texts.put("plate", plate);
            jobs.byPlate(me.shop(), plate).ifPresent(known -> ArriveForm.vehicle(texts, known));
        }
        return page(new Form(me, words, texts), Ids.fresh(), false);
    }

    /** The vehicle that the shop knows by the plate that is being typed. */
    @GetMapping("/arrive/known")
    String known(@Me Person me, @RequestParam(defaultValue = "") String plate, Model model) {
        Optional<VehicleFacts> known = jobs.byPlate(me.shop(), plate);
        model.addAttribute("known", known.orElse(null));
        known.ifPresent(v -> model.addAttribute("stays", jobs.stays(me.shop(), v.id())));
        model.addAttribute(
                "stay",
                known.flatMap(v -> jobs.openStay(me.shop(), v.id()))
                        .flatMap(stay -> jobs.find(me.shop(), stay))
                        .orElse(null));
        return "arrive :: known";
    }

    @PostMapping("/arrive")
    ModelAndView receive(@Me Person me, @RequestParam Map<String, String> parameters, @RequestParam UUID job) {
        if (jobs.find(me.shop(), job).isPresent()) {
            return measure(job);
        }
        ArriveForm form = new ArriveForm(new Form(me, words, parameters));
        Optional<VehicleFacts> known = jobs.byPlate(me.shop(), form.form().text("plate"));
        VehicleFacts typed = form.vehicle(known.map(VehicleFacts::id).orElseGet(Ids::fresh));
        Optional<KnownAgain> again = known.map(k -> KnownAgain.of(
                k, typed.withBlanksFrom(k), jobs.openStay(me.shop(), k.id()).orElse(null)));
        VehicleFacts vehicle = again.map(a -> form.changes() ? typed.withBlanksFrom(a.vehicle()) : a.vehicle())
                .orElse(typed);
        Job received = form.stay(
                new Job.Identity(
                        job,
                        me.shop(),
                        new Job.Where(Job.Place.WAITING, ""),
                        me.id(),
                        me.initials(),
                        null,
                        clock.instant(),
                        Job.Edition.FIRST),
                vehicle);
        form.limits();
        again.ifPresent(form::ask);
        if (!form.form().fits()) {
            ModelAndView page = page(form.form(), job, false);
            again.ifPresent(a -> {
                page.addObject("again", a);
                page.addObject("differs", new KnownWords(words, Reader.of(me)).lines(a));
            });
            return page;
        }
        jobs.receive(received, me);
        if (again.isPresent() && form.changes()) {
            audit.add(
                    me,
                    Audit.What.VEHICLE_CHANGED,
                    vehicle.plate() + ": " + again.get().fields());
        }
        return measure(job);
    }

    private static ModelAndView measure(UUID job) {
        return new ModelAndView("redirect:/jobs/" + job + "/measure");
    }

    @GetMapping("/jobs/{id}/arrive")
    ModelAndView edit(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return edit(me, job, new Form(me, words, ArriveForm.texts(job)));
    }

    @PostMapping("/jobs/{id}/arrive")
    ModelAndView change(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        ArriveForm form = new ArriveForm(new Form(me, words, parameters));
        Job changed = form.stay(job.identity(), form.vehicle(job.vehicle().id()));
        form.limits();
        jobs.byPlate(me.shop(), form.form().text("plate"))
                .filter(other -> !other.id().equals(job.vehicle().id()))
                .ifPresent(other -> form.form().problem("plate", "problem.plate.other"));
        if (form.form().fits() && jobs.save(changed, form.form().edition())) {
            String fields = ArriveForm.differ(job, changed);
            if (!fields.isEmpty()) {
                audit.add(me, Audit.What.STAY_CHANGED, job.vehicle().plate() + ": " + fields);
            }
            return measure(id);
        }
        if (form.form().fits()) {
            Job standing = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
            if (!form.form().meanwhile(standing.edition().texts(), ArriveForm.texts(standing))) {
                return measure(id);
            }
        }
        return edit(me, job, form.form());
    }

    private ModelAndView edit(Person me, Job job, Form form) {
        ModelAndView page = page(form, job.id(), true);
        page.addObject("head", heads.head(me.shop(), job.id(), "arrive", Reader.of(me)));
        page.addObject("blanked", customers.blanked(me.shop(), job.id()));
        return page;
    }

    private static ModelAndView page(Form form, UUID job, boolean known) {
        ModelAndView page = form.on(new ModelAndView("arrive"));
        page.addObject("jobId", job);
        page.addObject("existing", known);
        page.addObject("blanked", false);
        page.addObject("outlines", Looks.offered(form.text("outline")));
        page.addObject("architectures", Architecture.values());
        page.addObject("measures", VehicleFacts.Measure.values());
        return page;
    }
}
