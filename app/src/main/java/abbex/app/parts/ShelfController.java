package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.parts.BillLine;
import abbex.core.parts.Shelf;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The shelf of what a shop chooses to count. */
@Controller
class ShelfController {
    /** More of one bolt no shelf holds (ours, against slips). */
    private static final int MOST = 9_999;

    /** More to choose from would be a list to search (ours). */
    private static final int OFFERED = 8;

    private final ShelfLog shelf;
    private final PartLog log;
    private final Jobs jobs;
    private final Words words;

    ShelfController(ShelfLog shelf, PartLog log, Jobs jobs, Words words) {
        this.shelf = shelf;
        this.log = log;
        this.jobs = jobs;
        this.words = words;
    }

    /**
     * A line of the shelf.
     *
     * @param mark look where more was fitted than was there, or vehicles ask for more than lies there
     */
    public record Line(String id, String name, int count, String mark, String word, String says) {}

    /** A bolt that vehicles which are here ask for, and that is not counted. */
    public record Uncounted(String name, String thread, int pieces) {
        Uncounted with(Uncounted other) {
            return new Uncounted(name, thread, pieces + other.pieces);
        }

        public String called() {
            return (name + " " + thread).strip();
        }
    }

    @GetMapping("/shelf")
    ModelAndView shelf(@Me Person me) {
        return page(me, Form.blank(me, words));
    }

    /** A part is counted from now on. */
    @PostMapping("/shelf")
    ModelAndView count(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        String name = form.named("name", 120, "problem.parts.name");
        String thread = form.line("thread", 40);
        OptionalInt pieces = pieces(form, "pieces");
        if (!form.fits()) {
            return page(me, form);
        }
        shelf.count(me, name, thread, pieces.orElse(0));
        return new ModelAndView("redirect:/shelf");
    }

    /** Counted again, brought, or counted no more. */
    @PostMapping("/shelf/{id}")
    ModelAndView said(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        if (shelf.items(me.shop()).stream().noneMatch(item -> item.id().equals(id))) {
            throw new NotHere();
        }
        if (form.has("drop")) {
            shelf.withdraw(me, id);
            return new ModelAndView("redirect:/shelf");
        }
        Shelf.What what = form.text("what").equals(Shelf.What.BROUGHT.name()) ? Shelf.What.BROUGHT : Shelf.What.COUNTED;
        OptionalInt pieces = pieces(form, "pieces" + id);
        if (!form.fits()) {
            return page(me, form);
        }
        shelf.said(me, id, what, pieces.orElse(0));
        return new ModelAndView("redirect:/shelf");
    }

    /** Nobody counts fewer than none. */
    private static OptionalInt pieces(Form form, String field) {
        String text = form.text(field);
        if (text.matches("\\d{1,4}")) {
            return OptionalInt.of(Integer.parseInt(text));
        }
        form.problem(field, "problem.shelf.pieces", "read", text, "most", MOST);
        return OptionalInt.empty();
    }

    private ModelAndView page(Person me, Form form) {
        ModelAndView page = form.on(new ModelAndView("shelf"));
        List<ShelfLog.Item> items = shelf.items(me.shop());
        Map<UUID, Map<String, Integer>> asked = new LinkedHashMap<>();
        Map<String, Uncounted> uncounted = new TreeMap<>();
        for (Job job : jobs.onTheFloor(me.shop())) {
            String plate = job.vehicle().plate();
            for (BillLine line : log.bill(job).lines()) {
                if (line.missing() && Shelf.counts(line)) {
                    ShelfLog.of(items, line)
                            .ifPresentOrElse(
                                    item -> asked.computeIfAbsent(item.id(), none -> new LinkedHashMap<>())
                                            .merge(plate, line.count(), Integer::sum),
                                    () -> uncounted.merge(
                                            Shelf.key(line.kind(), line.thread()),
                                            new Uncounted(line.kind(), line.thread(), line.count()),
                                            Uncounted::with));
                }
            }
        }
        page.addObject(
                "lines",
                items.stream()
                        .map(item -> line(item, asked.getOrDefault(item.id(), Map.of()), form))
                        .toList());
        page.addObject(
                "uncounted",
                uncounted.values().stream()
                        .sorted(Comparator.comparing(u -> -u.pieces()))
                        .limit(OFFERED)
                        .toList());
        return page;
    }

    private Line line(ShelfLog.Item item, Map<String, Integer> asked, Form form) {
        int wanted = asked.values().stream().mapToInt(Integer::intValue).sum();
        int count = item.count();
        String mark = count < 0 || wanted > count ? "look" : "";
        List<String> says = new ArrayList<>();
        if (count < 0) {
            says.add(words.say("shelf.below", form.reader(), "pieces", -count));
        }
        if (wanted > 0) {
            says.add(words.say(
                    wanted > count ? "shelf.short" : "shelf.asked",
                    form.reader(),
                    "pieces",
                    wanted,
                    "plates",
                    String.join(", ", asked.keySet())));
        }
        return new Line(
                item.id().toString(),
                (item.name() + " " + item.thread()).strip(),
                count,
                mark,
                mark.isEmpty() ? "" : words.say("severity.LOOK"),
                String.join(" ", says));
    }
}
