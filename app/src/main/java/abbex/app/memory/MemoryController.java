package abbex.app.memory;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.drawing.HistogramDrawing;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.kit.Cause;
import abbex.core.settling.Bins;
import abbex.core.units.Length;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What this shop has seen, kit by kit; a stay can be struck out of it with a reason. */
@Controller
class MemoryController {
    private static final int LONGEST = 300;

    private final Memory memory;
    private final Jobs jobs;
    private final Words words;

    MemoryController(Memory memory, Jobs jobs, Words words) {
        this.memory = memory;
        this.jobs = jobs;
        this.words = words;
    }

    /** A distribution; its texts are safe for a page. */
    public record Spread(String name, String mean, String spread, int count, HistogramDrawing drawing) {}

    /** A cause and how often it was the likeliest. */
    public record Seen(String name, int count) {}

    /** A stay that told of it. */
    public record Stay(UUID id, String plate, String vehicle, List<String> told, String struck) {}

    @GetMapping("/memory")
    ModelAndView page(
            @Me Person me,
            @RequestParam(defaultValue = "") String kit,
            @RequestParam(defaultValue = "CAR") VehicleKind kind) {
        return page(me, new Memory.Kit(Memory.key(kit), kind), Form.blank(me, words));
    }

    private ModelAndView page(Person me, Memory.Kit kit, Form form) {
        Reader reader = form.reader();
        ModelAndView page = form.on(new ModelAndView("memory"));
        List<Memory.Counted> kits = memory.kits(me.shop());
        Memory.Kit shown = kit.key().isEmpty() && !kits.isEmpty() ? kits.get(0).kit() : kit;
        Map<String, Bins> all = memory.of(me.shop(), shown);
        page.addObject("kits", kits);
        page.addObject("shown", shown);
        page.addObject("stays", all.getOrDefault("STAYS", Bins.NONE).count());
        page.addObject("spreads", spreads(all, reader));
        page.addObject("causes", causes(all, reader));
        page.addObject(
                "jobs",
                memory.newest(me.shop(), shown).stream()
                        .flatMap(id -> jobs.find(me.shop(), id).stream())
                        .map(job -> stay(job, reader))
                        .toList());
        return page;
    }

    private List<Spread> spreads(Map<String, Bins> all, Reader reader) {
        List<Spread> spreads = new ArrayList<>();
        for (Remembered what : Remembered.values()) {
            Bins bins = all.getOrDefault(what.name(), Bins.NONE);
            if (bins.count() > 0) {
                spreads.add(new Spread(
                        words.say("memory." + what),
                        Numerals.html(Numerals.drop(Length.ofRoundedMm(bins.mean()), reader)),
                        bins.count() < 2
                                ? ""
                                : Numerals.html("± " + Numerals.uncertainty(Length.ofRoundedMm(bins.spread()), reader)),
                        bins.count(),
                        HistogramDrawing.of(
                                bins.counts(), Bins.WIDTH, reader.unit().metric())));
            }
        }
        return spreads;
    }

    private List<Seen> causes(Map<String, Bins> all, Reader reader) {
        return Stream.of(Cause.Kind.values())
                .map(cause -> new Seen(
                        Words.capital(
                                words.say("cause." + cause, reader, "place", "").strip()),
                        all.getOrDefault("CAUSE_" + cause, Bins.NONE).count()))
                .filter(seen -> seen.count() > 0)
                .sorted(Comparator.comparing(Seen::count).reversed())
                .toList();
    }

    private Stay stay(Job job, Reader reader) {
        Map<String, Double> told = memory.told(job.shop(), job.id());
        return new Stay(
                job.id(),
                job.vehicle().plate(),
                job.vehicle().name(),
                Stream.of(Remembered.values())
                        .filter(what -> told.containsKey(what.name()))
                        .map(what -> Numerals.html(words.say("memory." + what) + " "
                                + Numerals.drop(Length.ofRoundedMm(told.getOrDefault(what.name(), 0.0)), reader)))
                        .toList(),
                memory.struck(job.shop(), job.id())
                        .map(s -> words.say("memory.struck", reader, "reason", s.reason(), "by", s.by()))
                        .orElse(""));
    }

    @PostMapping("/memory/{id}/strike")
    ModelAndView strike(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String kit,
            @RequestParam(defaultValue = "CAR") VehicleKind kind,
            @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        String reason = form.named("reason-" + id, LONGEST, "problem.memory.reason");
        if (!form.fits()) {
            return page(me, new Memory.Kit(Memory.key(kit), kind), form);
        }
        memory.strike(me, job, reason);
        return back(kit, kind);
    }

    @PostMapping("/memory/{id}/put-back")
    ModelAndView putBack(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String kit,
            @RequestParam(defaultValue = "CAR") VehicleKind kind) {
        memory.putBack(me, jobs.find(me.shop(), id).orElseThrow(NotHere::new));
        return back(kit, kind);
    }

    private static ModelAndView back(String kit, VehicleKind kind) {
        ModelAndView page = new ModelAndView("redirect:/memory");
        page.addObject("kit", Memory.key(kit));
        page.addObject("kind", kind.name());
        return page;
    }
}
