package abbex.app.fitment;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.fitment.WheelSet.Item;
import abbex.app.fitment.WheelSet.Use;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.core.units.TapeParse;
import abbex.core.vehicle.End;
import abbex.core.wheels.Hub;
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
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Wheels now and planned, one over the other, and the sets that a vehicle owns. */
@Controller
class FitmentController {
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

    /** A text that was not taken. */
    public record Problem(String text, String offer) {}

    @GetMapping("/jobs/{id}/fitment")
    ModelAndView fitment(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable UUID set,
            @RequestParam(required = false) @Nullable UUID edit) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<WheelSet> all = sets.of(me.shop(), job.vehicle().id());
        WheelSet edited = edit == null ? null : find(all, edit);
        return page(me, job, all, set == null ? null : find(all, set), edited, Map.of(), Map.of());
    }

    @PostMapping("/jobs/{id}/fitment/sets")
    ModelAndView save(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<WheelSet> all = sets.of(me.shop(), job.vehicle().id());
        Optional<WheelSet> known = all.stream()
                .filter(s -> s.id().toString().equals(parameters.get("set")))
                .findFirst();
        Map<String, Problem> problems = new LinkedHashMap<>();
        String name = parameters.getOrDefault("name", "").strip();
        problem(name, 60, "problem.set.name").ifPresent(p -> problems.put("name", p));
        if (known.isEmpty() && all.size() >= MOST_SETS) {
            problems.put(
                    "name",
                    new Problem(words.say("problem.set.many", Reader.of(me), "most", Integer.toString(MOST_SETS)), ""));
        }
        Map<String, String> texts = new LinkedHashMap<>();
        boolean centred = job.vehicle().kind().singleTrack();
        for (End end : End.values()) {
            for (Item item : Item.values()) {
                String raw = parameters.getOrDefault(item.of(end), "").strip();
                String text = item == Item.WHEEL && centred ? centred(raw) : raw;
                if (!text.isEmpty()) {
                    problem(item, text, Reader.of(me)).ifPresent(p -> problems.put(item.of(end), p));
                    texts.put(item.of(end), text);
                }
            }
        }
        if (!texts.containsKey(Item.TYRE.of(End.FRONT)) && !texts.containsKey(Item.TYRE.of(End.REAR))) {
            problems.putIfAbsent(Item.TYRE.of(End.FRONT), new Problem(words.say("tyre.EMPTY"), ""));
        }
        if (!problems.isEmpty()) {
            ModelAndView page = page(me, job, all, null, known.orElse(null), problems, parameters);
            page.setStatus(HttpStatus.valueOf(422));
            return page;
        }
        Use use = use(parameters.get("use"));
        WheelSet saved = new WheelSet(known.map(WheelSet::id).orElseGet(Ids::fresh), name, use, texts);
        sets.save(me, job.vehicle().id(), saved);
        return new ModelAndView("redirect:/jobs/" + id + "/fitment"
                + (use == Use.PLANNED || use == Use.OTHER ? "?set=" + saved.id() : ""));
    }

    /** A motorcycle's wheel stands in the middle, whatever is said of an offset. */
    private static String centred(String raw) {
        boolean noOffset = Wheel.parse(raw) instanceof WheelParse.Refused r && r.why() == WheelParse.Refusal.NO_OFFSET;
        return noOffset ? raw + " ET0" : raw;
    }

    @PostMapping("/jobs/{id}/fitment/sets/{set}/withdraw")
    String withdraw(@Me Person me, @PathVariable UUID id, @PathVariable UUID set) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        sets.withdraw(
                me, job.vehicle().id(), find(sets.of(me.shop(), job.vehicle().id()), set));
        return "redirect:/jobs/" + id + "/fitment";
    }

    private static WheelSet find(List<WheelSet> all, UUID set) {
        return all.stream().filter(s -> s.id().equals(set)).findFirst().orElseThrow(NotHere::new);
    }

    private static Use use(@Nullable String text) {
        for (Use use : Use.values()) {
            if (use.name().equals(text)) {
                return use;
            }
        }
        return Use.OTHER;
    }

    private ModelAndView page(
            Person me,
            Job job,
            List<WheelSet> all,
            @Nullable WheelSet shown,
            @Nullable WheelSet edited,
            Map<String, Problem> problems,
            Map<String, String> typed) {
        Reader reader = Reader.of(me);
        Optional<WheelSet> planned = Optional.ofNullable(shown).or(() -> WheelSets.first(all, Use.PLANNED));
        ModelAndView page = new ModelAndView("fitment");
        page.addObject("head", heads.head(me.shop(), job.id(), "fitment", reader));
        page.addObject(
                "view", FitmentPage.of(all, planned, job.vehicle().build().dualRear(), reader, words));
        page.addObject("sets", all);
        page.addObject("shown", planned.map(WheelSet::id).orElse(null));
        page.addObject("edited", edited);
        page.addObject("open", edited != null || !problems.isEmpty() || all.isEmpty());
        page.addObject("problems", problems);
        page.addObject(
                "heldOpen",
                problems.keySet().stream()
                        .anyMatch(n -> !n.startsWith("TYRE") && !n.startsWith("WHEEL") && !n.equals("name")));
        page.addObject("uses", Use.values());
        page.addObject(
                "use",
                typed.getOrDefault(
                        "use", edited == null ? next(all).name() : edited.use().name()));
        page.addObject("first", WheelSet.FIRST);
        page.addObject("held", List.of(Item.BORE, Item.SPIGOT, Item.THREAD, Item.TURNS));
        page.addObject("text", texts(job, all, edited, typed));
        return page;
    }

    /** What a vehicle has no set of yet: first what stands on it, then what is planned. */
    private static Use next(List<WheelSet> all) {
        return WheelSets.first(all, Use.NOW).isEmpty()
                ? Use.NOW
                : WheelSets.first(all, Use.PLANNED).isEmpty() ? Use.PLANNED : Use.OTHER;
    }

    /** What the form's fields hold: what was typed, else the set in work, else what the shop knows of the tyres. */
    private Map<String, String> texts(
            Job job, List<WheelSet> all, @Nullable WheelSet edited, Map<String, String> typed) {
        Map<String, String> texts = new LinkedHashMap<>();
        if (edited != null) {
            texts.put("name", edited.name());
            texts.putAll(edited.texts());
        } else if (all.isEmpty()) {
            texts.put("name", words.say("fitment.name.now"));
            texts.put(Item.TYRE.of(End.FRONT), job.vehicle().tyreFront());
            texts.put(Item.TYRE.of(End.REAR), job.vehicle().tyreRear());
        }
        texts.putAll(typed);
        return texts;
    }

    private Optional<Problem> problem(String text, int longest, String missing) {
        if (text.isEmpty()) {
            return Optional.of(new Problem(words.say(missing), ""));
        }
        if (text.length() > longest) {
            return Optional.of(new Problem(words.say("problem.long." + longest), ""));
        }
        return text.chars().anyMatch(Character::isISOControl)
                ? Optional.of(new Problem(words.say("problem.unprintable"), ""))
                : Optional.empty();
    }

    private Optional<Problem> problem(Item item, String text, Reader reader) {
        Optional<Problem> plain = problem(text, LONGEST, "problem.unprintable");
        if (plain.isPresent()) {
            return plain;
        }
        return switch (item) {
            case TYRE ->
                TyreSize.parse(text) instanceof TyreParse.Refused refused
                        ? refused("tyre." + refused.why(), refused.offers(), text, reader)
                        : Optional.empty();
            case WHEEL ->
                Wheel.parse(text) instanceof WheelParse.Refused refused
                        ? refused("wheel.refused." + refused.why(), refused.offers(), text, reader)
                        : Optional.empty();
            case THREAD -> bad(Hub.Thread.parse(text).isEmpty(), "problem.thread", text, reader);
            case TURNS -> bad(WheelSet.turns(text).isEmpty(), "problem.turns", text, reader);
            default ->
                WheelSet.read(text) instanceof TapeParse.Refused refused
                        ? Optional.of(new Problem(
                                Numerals.html(words.refusal(refused, reader)),
                                refused.offers().stream().findFirst().orElse("")))
                        : Optional.empty();
        };
    }

    private Optional<Problem> refused(String key, List<String> offers, String text, Reader reader) {
        return Optional.of(new Problem(
                Numerals.html(words.say(key, reader, "read", text)),
                offers.stream().findFirst().orElse("")));
    }

    private Optional<Problem> bad(boolean is, String key, String text, Reader reader) {
        return is
                ? Optional.of(new Problem(Numerals.html(words.say(key, reader, "read", text)), ""))
                : Optional.empty();
    }
}
