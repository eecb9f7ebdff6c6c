package abbex.app.fitment;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.fitment.WheelSet.Item;
import abbex.app.fitment.WheelSet.Use;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import abbex.core.wheels.FitmentText;
import abbex.core.wheels.Hub;
import abbex.core.wheels.SizeSteps;
import abbex.core.wheels.TyreParse;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import abbex.core.wheels.WheelParse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Wheels now and planned, one over the other, and the sets that a vehicle owns. */
@Controller
class FitmentController {
    /** No bore or spacer is as long as this; what is nearer the truth is asked for field by field. */
    private static final Length MOST_LENGTH = Length.ofMm(10_000);

    private static final int LONGEST = 40;
    /** No vehicle has more (ours). */
    private static final int MOST_SETS = 12;

    private final Jobs jobs;
    private final JobHeads heads;
    private final WheelSets sets;
    private final Words words;

    FitmentController(Jobs jobs, JobHeads heads, WheelSets sets, Words words) {
        this.jobs = jobs;
        this.heads = heads;
        this.sets = sets;
        this.words = words;
    }

    @GetMapping("/jobs/{id}/fitment")
    ModelAndView fitment(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable UUID set,
            @RequestParam(required = false) @Nullable UUID edit) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<WheelSet> all = sets.of(me.shop(), job.vehicle().id());
        WheelSet edited = edit == null ? null : find(all, edit);
        return page(me, job, all, set == null ? null : find(all, set), edited, Form.blank(me, words));
    }

    /** The next size in one number, for what the page's own script does not read; nothing (204) where there is none. */
    @GetMapping("/jobs/{id}/fitment/step")
    ResponseEntity<Map<String, String>> step(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String tyre,
            @RequestParam(defaultValue = "") String wheel,
            @RequestParam(defaultValue = "WIDTH") SizeSteps.Part part,
            @RequestParam(defaultValue = "1") int by) {
        jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return SizeSteps.read(tyre, wheel)
                .flatMap(pair -> SizeSteps.step(pair, part, Integer.signum(by)))
                .map(pair -> ResponseEntity.ok(Map.of(
                        "tyre",
                        pair.tyre().text(),
                        "wheel",
                        pair.wheel().map(Wheel::text).orElse(wheel))))
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    @PostMapping("/jobs/{id}/fitment/sets")
    ModelAndView save(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<WheelSet> all = sets.of(me.shop(), job.vehicle().id());
        Optional<WheelSet> known = all.stream()
                .filter(s -> s.id().toString().equals(parameters.get("set")))
                .findFirst();
        Form form = new Form(me, words, parameters);
        apart(form);
        String name = form.named("name", 60, "problem.set.name");
        if (known.isEmpty() && all.size() >= MOST_SETS) {
            form.problem("name", "problem.set.many", "most", Integer.toString(MOST_SETS));
        }
        Map<String, String> texts = new LinkedHashMap<>();
        boolean centred = job.vehicle().kind().singleTrack();
        for (End end : End.values()) {
            for (Item item : Item.values()) {
                String raw = form.line(item.of(end), LONGEST);
                String text = item == Item.WHEEL && centred ? centred(raw) : raw;
                if (!text.isEmpty()) {
                    check(form, item.of(end), item, text);
                    texts.put(
                            item.of(end),
                            item.length() ? withUnit(form, item.of(end)).orElse(text) : text);
                }
            }
        }
        if (!texts.containsKey(Item.TYRE.of(End.FRONT)) && !texts.containsKey(Item.TYRE.of(End.REAR))) {
            form.problem(Item.TYRE.of(End.FRONT), "tyre.EMPTY");
        }
        Use use = form.choice("use", Use.values(), Use.OTHER);
        if (!form.fits()) {
            return page(me, job, all, null, known.orElse(null), form);
        }
        UUID saved = known.map(WheelSet::id).orElseGet(Ids::fresh);
        WheelSet set = new WheelSet(saved, name, use, texts, 0);
        if (!sets.save(me, job.vehicle().id(), set, form.edition())) {
            List<WheelSet> standing = sets.of(me.shop(), job.vehicle().id());
            WheelSet there = find(standing, saved);
            if (form.meanwhile(there.edition(), there.fields())) {
                return page(me, job, standing, null, there, form);
            }
        }
        return new ModelAndView(
                "redirect:/jobs/" + id + "/fitment" + (use == Use.PLANNED || use == Use.OTHER ? "?set=" + saved : ""));
    }

    /** Tyre and wheel that were typed in one line go where they belong, as long as nothing else was typed there. */
    private static void apart(Form form) {
        for (End end : End.values()) {
            String wheel = Item.WHEEL.of(end);
            FitmentText.of(form.text(Item.TYRE.of(end)))
                    .filter(both -> form.text(wheel).isEmpty())
                    .ifPresent(both -> {
                        form.keep(Item.TYRE.of(end), both.tyre());
                        form.keep(wheel, both.wheel());
                        if (!both.spacer().isEmpty()
                                && form.text(Item.SPACER.of(end)).isEmpty()) {
                            form.keep(Item.SPACER.of(end), both.spacer());
                        }
                    });
        }
    }

    /** A length as it is kept; a bare one gets the person's unit, so that it reads alike to everybody. */
    private static Optional<String> withUnit(Form form, String field) {
        return form.length(field, TapeText.Allowed.ZERO_OR_MORE, MOST_LENGTH).map(form::raw);
    }

    /** A motorcycle's wheel stands in the middle, whatever is said of an offset. */
    private static String centred(String raw) {
        boolean noOffset = Wheel.parse(raw) instanceof WheelParse.Refused r && r.why() == WheelParse.Refusal.NO_OFFSET;
        return noOffset ? raw + " ET0" : raw;
    }

    @PostMapping("/jobs/{id}/fitment/sets/{set}/withdraw")
    String withdraw(@Me Person me, @PathVariable UUID id, @PathVariable UUID set) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        sets.withdraw(me, job.vehicle(), find(sets.of(me.shop(), job.vehicle().id()), set));
        return "redirect:/jobs/" + id + "/fitment";
    }

    private static WheelSet find(List<WheelSet> all, UUID set) {
        return all.stream().filter(s -> s.id().equals(set)).findFirst().orElseThrow(NotHere::new);
    }

    private ModelAndView page(
            Person me, Job job, List<WheelSet> all, @Nullable WheelSet shown, @Nullable WheelSet edited, Form form) {
        Reader reader = form.reader();
        Optional<WheelSet> planned = Optional.ofNullable(shown).or(() -> WheelSets.first(all, Use.PLANNED));
        ModelAndView page = form.on(new ModelAndView("fitment"));
        page.addObject("head", heads.head(me.shop(), job.id(), "fitment", reader));
        page.addObject(
                "view", FitmentPage.of(all, planned, job.vehicle().build().dualRear(), reader, words));
        page.addObject("sets", all);
        page.addObject("shown", planned.map(WheelSet::id).orElse(null));
        page.addObject("edited", edited);
        page.addObject("open", edited != null || !form.fits() || all.isEmpty());
        page.addObject(
                "heldOpen",
                form.problems().keySet().stream()
                        .anyMatch(n -> !n.startsWith("TYRE") && !n.startsWith("WHEEL") && !n.equals("name")));
        page.addObject("uses", Use.values());
        page.addObject(
                "use",
                form.text(
                        "use", edited == null ? next(all).name() : edited.use().name()));
        page.addObject("first", WheelSet.FIRST);
        page.addObject("held", List.of(Item.BORE, Item.SPIGOT, Item.THREAD, Item.TURNS));
        page.addObject("start", start(all));
        page.addObject("text", texts(job, all, edited, form));
        return page;
    }

    /** Where building by thumb begins: at what is fitted, else at a common size. */
    private static Map<String, String> start(List<WheelSet> all) {
        Optional<WheelSet> now = WheelSets.first(all, Use.NOW);
        String tyre = now.map(s -> s.text(Item.TYRE, End.FRONT)).orElse("");
        String wheel = now.map(s -> s.text(Item.WHEEL, End.FRONT)).orElse("");
        return Map.of("tyre", tyre.isEmpty() ? "205/55R16" : tyre, "wheel", wheel.isEmpty() ? "6.5Jx16 ET45" : wheel);
    }

    /** What a vehicle has no set of yet: first what stands on it, then what is planned. */
    private static Use next(List<WheelSet> all) {
        return WheelSets.first(all, Use.NOW).isEmpty()
                ? Use.NOW
                : WheelSets.first(all, Use.PLANNED).isEmpty() ? Use.PLANNED : Use.OTHER;
    }

    /** What the form's fields hold: what was typed, else the set in work, else what the shop knows of the tyres. */
    private Map<String, String> texts(Job job, List<WheelSet> all, @Nullable WheelSet edited, Form form) {
        Map<String, String> texts = new LinkedHashMap<>();
        if (edited != null) {
            texts.putAll(edited.fields());
        } else if (all.isEmpty()) {
            texts.put("name", words.say("fitment.name.now"));
            texts.put(Item.TYRE.of(End.FRONT), job.vehicle().tyreFront());
            texts.put(Item.TYRE.of(End.REAR), job.vehicle().tyreRear());
        }
        texts.putAll(form.texts());
        return texts;
    }

    private static void check(Form form, String field, Item item, String text) {
        switch (item) {
            case TYRE -> {
                if (TyreSize.parse(text) instanceof TyreParse.Refused refused) {
                    form.offering(field, Form.first(refused.offers()), "tyre." + refused.why(), "read", text);
                }
            }
            case WHEEL -> {
                if (Wheel.parse(text) instanceof WheelParse.Refused refused) {
                    form.offering(field, Form.first(refused.offers()), "wheel.refused." + refused.why(), "read", text);
                }
            }
            case THREAD -> {
                if (Hub.Thread.parse(text).isEmpty()) {
                    form.problem(field, "problem.thread", "read", text);
                }
            }
            case TURNS -> {
                if (WheelSet.turns(text).isEmpty()) {
                    form.problem(field, "problem.turns", "read", text);
                }
            }
            default -> {
                form.millimetres(field, 0, item == Item.SPACER ? 100 : 250);
            }
        }
    }
}
