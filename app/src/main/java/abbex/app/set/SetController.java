package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.kit.KitPlans;
import abbex.app.kit.Kits;
import abbex.app.measure.Sheets;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.heights.MeasuringPoint;
import abbex.core.setting.Adjuster;
import abbex.core.setting.Option;
import abbex.core.setting.SettingSolver;
import abbex.core.setting.Tries;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Setting: what to turn, one corner turned by hand and the others seen to answer, what was turned, measured again. */
@Controller
class SetController {
    private static final String READ = "read";

    private final Jobs jobs;
    private final Sheets sheets;
    private final Settings settings;
    private final SetWords said;
    private final JobHeads heads;
    private final Words words;
    private final Kits kits;
    private final KitPlans plans;
    private final Clock clock;

    SetController(
            Jobs jobs,
            Sheets sheets,
            Settings settings,
            SetWords said,
            JobHeads heads,
            Words words,
            Kits kits,
            KitPlans plans,
            Clock clock) {
        this.clock = clock;
        this.kits = kits;
        this.plans = plans;
        this.jobs = jobs;
        this.sheets = sheets;
        this.settings = settings;
        this.said = said;
        this.heads = heads;
        this.words = words;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/set")
    ModelAndView set(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        return page(me, job(me, id), Form.blank(me, words), new Form(me, words, parameters));
    }

    /** What would come of what is chosen by hand. */
    @GetMapping("/jobs/{id}/set/at")
    ModelAndView at(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Reader reader = Reader.of(me);
        ModelAndView page = new ModelAndView("set :: answer");
        page.addObject(
                "view",
                at(job).filter(SetCase::told)
                        .filter(at -> !at.doubtful())
                        .map(at -> view(at, new Form(me, words, parameters), reader))
                        .orElseThrow(NotHere::new));
        return page;
    }

    @PostMapping("/jobs/{id}/set")
    ModelAndView tell(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        Map<String, String> kept = SetForm.read(form);
        kept.putAll(Scales.read(form, settings.told(job), settings.moves(job).size()));
        at(job).flatMap(at -> SetForm.by(kept.getOrDefault(SetForm.BY, ""))
                        .way()
                        .map(at::reads)
                        .orElseGet(() -> Optional.of(at.now())))
                .ifPresent(stands -> SetForm.near(form, kept, stands));
        if (form.fits() && settings.tell(me, job, kept, form.edition())) {
            return back(id);
        }
        if (form.fits()) {
            StayValues.Told standing = settings.told(job);
            Map<String, String> stands = SetForm.all(standing);
            Scales.WEIGHTS.forEach(field -> stands.put(field, standing.text(field)));
            stands.put(Scales.CROSS, standing.text(Scales.CROSS));
            if (!form.meanwhile((int) standing.edition(), stands)) {
                return back(id);
            }
        }
        return page(me, job, form, Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/set/turned")
    ModelAndView turned(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        SetCase at = at(job).filter(SetCase::told).orElseThrow(NotHere::new);
        if (!form.has("locked")) {
            form.problem("locked", "problem.set.locked");
        }
        int before = form.text("done").matches("\\d{1,3}") ? Integer.parseInt(form.text("done")) : 0;
        if (form.fits() && before != at.turnedInAll()) {
            form.problem("locked", "problem.set.meanwhile");
        }
        if (form.fits() && !at.toMeasure().isEmpty()) {
            form.problem("locked", "problem.set.measure", "places", words.list(at.toMeasure(), Reader.of(me)));
        }
        if (form.fits() && at.exchanged().isPresent()) {
            form.problem(
                    "locked", "problem.set.exchanged", "which", at.exchanged().get());
        }
        if (form.fits() && at.doubtful()) {
            form.problem(
                    "locked",
                    "problem.set.suspect",
                    "spot",
                    at.suspects().get(0).spot());
        }
        List<Option> chosen = chosen(at, form, at.solve(at.known()).chosen());
        if (form.fits() && !settings.turned(me, job, at, chosen, before)) {
            form.problem("locked", "problem.set.meanwhile");
        }
        return form.fits() ? back(id) : page(me, job, form, form);
    }

    /** Heights read again after a turn; what can be read is kept, whatever stands in the other fields. */
    @PostMapping("/jobs/{id}/set/measured")
    ModelAndView measured(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        SetCase at = at(job).orElseThrow(NotHere::new);
        for (Corner corner : Corner.WALK) {
            String field = READ + corner.code();
            if (!form.text(field).isEmpty()) {
                UUID client = UUID.nameUUIDFromBytes(
                        (form.text("client") + corner + at.sheet().id()).getBytes(StandardCharsets.UTF_8));
                Sheets.Outcome outcome = sheets.take(
                        me,
                        at.sheet(),
                        MeasuringPoint.of(corner, at.method()),
                        form.text(field),
                        client,
                        clock.instant());
                if (outcome instanceof Sheets.Outcome.Refused refused) {
                    form.refused(field, refused.why());
                } else if (outcome instanceof Sheets.Outcome.SentOther other) {
                    form.problem(field, "problem.sent.other", "read", other.raw());
                }
            }
        }
        return form.fits() ? back(id) : page(me, job, form, Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/set/{move}/take-back")
    ModelAndView takeBack(@Me Person me, @PathVariable UUID id, @PathVariable UUID move) {
        settings.takeBack(me, job(me, id), move);
        return back(id);
    }

    private static ModelAndView back(UUID id) {
        return new ModelAndView("redirect:/jobs/" + id + "/set");
    }

    private Optional<SetCase> at(Job job) {
        return SetCase.of(job, settings.told(job), sheets, settings.moves(job), () -> plans.of(job));
    }

    /** What somebody chose at a corner, else what is best. */
    private static List<Option> chosen(SetCase at, Form by, List<Option> best) {
        List<Option> chosen = new ArrayList<>();
        List<Adjuster> adjusters = at.adjusters();
        for (Corner corner : Corner.WALK) {
            int c = corner.ordinal();
            List<Option> options = adjusters.get(c).options();
            String text = by.text(corner.code());
            boolean there = text.matches("\\d{1,4}") && Integer.parseInt(text) < options.size();
            chosen.add(there ? options.get(Integer.parseInt(text)) : best.get(c));
        }
        return chosen;
    }

    private ModelAndView page(Person me, Job job, Form form, Form hand) {
        Reader reader = Reader.of(me);
        ModelAndView page = form.on(new ModelAndView("set"));
        page.addObject("head", heads.head(me.shop(), job.id(), "set", reader));
        StayValues.Told told = settings.told(job);
        Optional<SetCase> at = at(job);
        page.addObject("told", told);
        page.addObject("usual", usual(job, told, at, reader));
        page.addObject("ends", End.values());
        page.addObject("kinds", SetForm.Kind.values());
        page.addObject("policies", SetForm.Policy.values());
        page.addObject("ways", SetForm.By.values());
        page.addObject("weights", Scales.WEIGHTS);
        page.addObject("four", !job.vehicle().kind().singleTrack());
        page.addObject("measured", at.isPresent());
        page.addObject(
                "sheet",
                sheets.of(job.shop(), job.id()).newest().map(s -> s.row().id()).orElse(null));
        page.addObject("way", at.map(a -> words.word(a.method(), reader)).orElse(""));
        page.addObject("client", UUID.randomUUID());
        page.addObject(
                "corners",
                at.stream()
                        .flatMap(a -> Corner.WALK.stream()
                                .filter(c -> a.toMeasure().contains(c)
                                        || !form.text(READ + c.code()).isEmpty()))
                        .toList());
        page.addObject("again", at.map(a -> words.list(a.toMeasure(), reader)).orElse(""));
        page.addObject(
                "view",
                at.filter(SetCase::told)
                        .filter(a -> !a.doubtful())
                        .map(a -> view(a, hand, reader))
                        .orElse(null));
        page.addObject(
                "doubt",
                at.filter(a -> a.told() && a.doubtful())
                        .map(a -> a.exchanged()
                                .map(which -> said.exchanged(which, reader))
                                .orElseGet(() -> said.suspect(a.suspects().get(0), "set.suspect.only", reader)))
                        .orElse(null));
        return page;
    }

    /** Only before anything was told of an end: what is taken out afterwards stays out. */
    private SetUsual usual(Job job, StayValues.Told told, Optional<SetCase> at, Reader reader) {
        return new SetUsual(told, kits.of(job).chosen().values(), at.map(SetCase::method), plans.of(job), reader);
    }

    private SetPage view(SetCase at, Form hand, Reader reader) {
        Tries.Known known = at.known();
        SettingSolver.Answer best = at.solve(known);
        return said.page(at, known, best, chosen(at, hand, best.chosen()), reader);
    }
}
