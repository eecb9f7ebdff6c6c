package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.kit.KitValues;
import abbex.app.kit.Kits;
import abbex.app.kit.WishedHeights;
import abbex.app.memory.SeenText;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.vehicle.End;
import java.util.HashMap;
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

/** The plan: parts in, heights out, kits side by side. */
@Controller
class PlanController {
    /** No customer looks at more (ours). */
    private static final int MOST_KITS = 6;

    private final Jobs jobs;
    private final JobHeads heads;
    private final Kits kits;
    private final Planner planner;
    private final PlanFragments fragments;
    private final Words words;
    private final SeenText seen;
    private final Tried tried;

    PlanController(
            Jobs jobs,
            JobHeads heads,
            Kits kits,
            Planner planner,
            PlanFragments fragments,
            Words words,
            SeenText seen,
            Tried tried) {
        this.tried = tried;
        this.seen = seen;
        this.fragments = fragments;
        this.jobs = jobs;
        this.heads = heads;
        this.kits = kits;
        this.planner = planner;
        this.words = words;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    private static Kits.Kit kit(Kits.OfJob all, @Nullable String key) {
        return key == null || key.isEmpty() ? all.chosen() : all.find(key).orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/plan")
    ModelAndView plan(@Me Person me, @PathVariable UUID id, @RequestParam(required = false) @Nullable String kit) {
        Job job = job(me, id);
        Kits.OfJob all = kits.of(job);
        Kits.Kit shown = kit(all, kit);
        return page(me, job, all, shown, shown.values(), Form.blank(me, words));
    }

    /** What would come of what is typed, before it is kept. */
    @GetMapping("/jobs/{id}/plan/at")
    ModelAndView at(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Kits.Kit shown = kit(kits.of(job), parameters.get("kit"));
        Form form = new Form(me, words, parameters);
        KitValues values = KitForm.read(form, shown.values());
        ModelAndView page = new ModelAndView("plan :: answer");
        page.addObject("view", planner.of(job, form.fits() ? values : shown.values(), Reader.of(me)));
        page.addObject(
                "wrong",
                form.problems().values().stream()
                        .findFirst()
                        .map(Form.Problem::text)
                        .orElse(""));
        return page;
    }

    @PostMapping("/jobs/{id}/plan")
    ModelAndView save(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Kits.OfJob all = kits.of(job);
        Kits.Kit shown = kit(all, parameters.get("kit"));
        Form form = new Form(me, words, parameters);
        KitValues values = KitForm.read(form, shown.values());
        if (!form.fits()) {
            return page(me, job, all, shown, shown.values(), form);
        }
        Optional<UUID> saved = kits.tell(me, job, shown.id(), values, form.edition());
        if (saved.isEmpty()) {
            Kits.OfJob standing = kits.of(job);
            Kits.Kit there = kit(standing, shown.key());
            if (form.meanwhile((int) there.edition(), texts(there.values()))) {
                return page(me, job, standing, there, there.values(), form);
            }
            saved = Optional.ofNullable(there.id());
        }
        return to(id, saved.map(UUID::toString).orElse(""));
    }

    private static ModelAndView to(UUID job, String kit) {
        return new ModelAndView("redirect:/jobs/" + job + "/plan" + (kit.isEmpty() ? "" : "?kit=" + kit));
    }

    /** Every field of the form as it stands, empty ones too. */
    private static Map<String, String> texts(KitValues values) {
        Map<String, String> texts = new HashMap<>();
        for (KitField field : KitField.values()) {
            for (End end : End.values()) {
                KitValues.Key key = new KitValues.Key(field.perEnd() ? end : null, field);
                texts.put(key.name(), values.raw(key.end(), field));
            }
        }
        return texts;
    }

    @PostMapping("/jobs/{id}/plan/kits")
    ModelAndView another(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Kits.OfJob all = kits.of(job);
        Form form = new Form(me, words, parameters);
        String name = form.named("another", 60, "problem.kit.name");
        if (all.list().size() >= MOST_KITS) {
            form.problem("another", "problem.kit.many", "most", Integer.toString(MOST_KITS));
        }
        if (!form.fits()) {
            return page(me, job, all, all.chosen(), all.chosen().values(), form);
        }
        return to(id, kits.another(me, job, name).toString());
    }

    @PostMapping("/jobs/{id}/plan/choose")
    ModelAndView choose(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Kits.OfJob all = kits.of(job);
        Form form = new Form(me, words, parameters);
        String reason = form.line("reason", 200);
        Kits.Kit kit = kit(all, parameters.get("kit"));
        if (!form.fits()) {
            form.keep("kit", kit.key());
            return compare(me, job, form);
        }
        UUID chosen = kit.id() != null
                ? kit.id()
                : kits.tell(me, job, null, kit.values(), Optional.empty()).orElseThrow();
        kits.choose(me, job, chosen, reason);
        return to(id, chosen.toString());
    }

    @GetMapping("/jobs/{id}/plan/kits")
    ModelAndView compare(@Me Person me, @PathVariable UUID id) {
        return compare(me, job(me, id), Form.blank(me, words));
    }

    private ModelAndView compare(Person me, Job job, Form form) {
        Kits.OfJob all = kits.of(job);
        ModelAndView page = form.on(new ModelAndView("kits"));
        page.addObject("head", heads.head(me.shop(), job.id(), "plan", Reader.of(me)));
        page.addObject(
                "kits",
                all.list().stream()
                        .map(kit -> new Compared(
                                kit.key(),
                                name(kit),
                                kit.values(),
                                planner.kept(job, kit.values(), Reader.of(me)),
                                all.decided() && kit.equals(all.chosen())))
                        .toList());
        page.addObject("reason", all.reason());
        page.addObject("decided", all.decided());
        return page;
    }

    /** A kit beside the others. */
    public record Compared(String key, String name, KitValues values, PlanPage view, boolean chosen) {
        public String text(String field) {
            return values.raw(null, KitField.valueOf(field));
        }
    }

    private String name(Kits.Kit kit) {
        return kit.name().isEmpty() ? words.say("plan.kit.unnamed") : kit.name();
    }

    /** A kit's tab. */
    public record Tab(String key, String name, boolean shown, boolean chosen) {}

    private ModelAndView page(Person me, Job job, Kits.OfJob all, Kits.Kit shown, KitValues values, Form form) {
        ModelAndView page = form.on(new ModelAndView("plan"));
        page.addObject("head", heads.head(me.shop(), job.id(), "plan", Reader.of(me)));
        page.addObject("answer", fragments.answer(job, values, Reader.of(me)));
        page.addObject("tried", tried.of(job, form.reader()));
        page.addObject("kit", shown);
        String name = values.raw(null, KitField.NAME);
        page.addObject(
                "seen",
                seen.of(job, name.isBlank() ? job.kit() : name, Reader.of(me)).orElse(null));
        Map<String, String> texts = texts(values);
        page.addObject("values", texts);
        page.addObject("bench", fragments.bench(job, values, texts, form));
        page.addObject(
                "tabs",
                all.list().stream()
                        .map(k -> new Tab(k.key(), name(k), k.equals(shown), all.decided() && k.equals(all.chosen())))
                        .toList());
        page.addObject(
                "whole",
                Stream.concat(
                                Stream.of(
                                        KitField.NAME,
                                        KitField.CONDITION,
                                        KitField.PRICE,
                                        KitField.DAYS,
                                        KitField.HOURS,
                                        KitField.ALSO),
                                WishedHeights.asked(job).stream())
                        .toList());
        page.addObject(
                "shelf",
                kits.shelf(me.shop()).stream()
                        .filter(shelved -> shelved.kind() == job.vehicle().kind())
                        .map(Kits.Shelved::name)
                        .toList());
        return page;
    }
}
