package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.parts.Bill;
import abbex.core.parts.BillLine;
import abbex.core.parts.MakersList;
import abbex.core.units.Length;
import abbex.core.units.Rate;
import abbex.core.vehicle.End;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Parts of a stay: asked for, arrived, measured on the bench; tools that the card asks for. */
@Controller
class PartsController {
    private static final int MOST_PIECES = 99;
    private static final int LONGEST = 120;
    private static final int LONGEST_LIST = 4000;
    private static final int MOST_LINES = 60;

    private final Jobs jobs;
    private final PartLog log;
    private final Tools tools;
    private final BenchCheck bench;
    private final PartWords said;
    private final ShelfLog shelf;
    private final JobHeads heads;
    private final Words words;

    PartsController(
            Jobs jobs,
            PartLog log,
            Tools tools,
            BenchCheck bench,
            PartWords said,
            ShelfLog shelf,
            JobHeads heads,
            Words words) {
        this.shelf = shelf;
        this.jobs = jobs;
        this.log = log;
        this.tools = tools;
        this.bench = bench;
        this.said = said;
        this.heads = heads;
        this.words = words;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/parts")
    ModelAndView parts(@Me Person me, @PathVariable UUID id) {
        return page(me, job(me, id), Form.blank(me, words));
    }

    /** What became of a line, or of all lines of a group that are not here yet. */
    @PostMapping("/jobs/{id}/parts")
    ModelAndView say(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        PartLog.What what = form.choice("what", PartLog.What.values(), PartLog.What.HERE);
        String mark = form.text("mark");
        LocalDate due = what == PartLog.What.ASKED ? form.day("due" + mark) : null;
        String remark = form.line("remark" + mark, LONGEST);
        Bill bill = log.bill(job);
        List<BillLine> lines = what == PartLog.What.NOTED
                ? bill.find(form.text("line")).stream().toList()
                : lines(bill, form);
        if (lines.isEmpty()) {
            form.problem("due" + mark, "problem.parts.gone");
        }
        if (what == PartLog.What.NOT_NEEDED && remark.isEmpty()) {
            form.problem("remark" + mark, "problem.parts.reason");
        }
        BillLine.Facts facts = PartFacts.read(form, mark);
        if (what == PartLog.What.ADDED || what == PartLog.What.LISTED) {
            form.problem("due" + mark, "problem.parts.gone");
        }
        if (!form.fits()) {
            return page(me, job, form);
        }
        if (what == PartLog.What.NOTED) {
            lines.forEach(line -> log.note(me, job, line, facts));
            return back(id);
        }
        log.say(me, job, what, lines.stream().map(BillLine::key).toList(), Optional.ofNullable(due), remark);
        shelf.moved(me, job);
        return back(id);
    }

    private static List<BillLine> lines(Bill bill, Form form) {
        return form.text("line").isEmpty()
                ? bill.missing().stream()
                        .filter(line -> line.why().name().equals(form.text("why")))
                        .toList()
                : bill.find(form.text("line")).stream()
                        .filter(line ->
                                line.status() != BillLine.Status.FITTED && line.status() != BillLine.Status.ON_VEHICLE)
                        .toList();
    }

    private static UUID client(Form form) {
        try {
            return UUID.fromString(form.text("client"));
        } catch (IllegalArgumentException none) {
            return UUID.randomUUID();
        }
    }

    /** A line of somebody's own. */
    @PostMapping("/jobs/{id}/parts/add")
    ModelAndView add(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        String name = form.line("name", LONGEST);
        if (name.isEmpty()) {
            form.problem("name", "problem.parts.name");
        }
        String pieces = form.text("pieces", "1");
        boolean count = pieces.matches("[1-9]\\d?");
        if (!count) {
            form.problem("pieces", "problem.parts.pieces", "read", pieces, "most", MOST_PIECES);
        }
        if (!form.fits()) {
            return page(me, job, form);
        }
        UUID client = client(form);
        log.add(
                me,
                job,
                new PartLog.Row(
                        client,
                        "own:" + client,
                        PartLog.What.ADDED,
                        Optional.empty(),
                        name,
                        Integer.parseInt(pieces),
                        BillLine.Facts.NONE));
        return back(id);
    }

    /** The maker's list of a second-hand kit: each of its pieces is a line that is ticked, asked for or gone without. */
    @PostMapping("/jobs/{id}/parts/list")
    ModelAndView list(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        List<MakersList.Piece> pieces = MakersList.read(form.lines("list", LONGEST_LIST));
        if (pieces.isEmpty()) {
            form.problem("list", "problem.parts.list");
        }
        if (pieces.size() > MOST_LINES) {
            form.problem("list", "problem.parts.list.long", "read", pieces.size(), "most", MOST_LINES);
        }
        pieces.stream()
                .filter(piece -> piece.name().length() > LONGEST)
                .findFirst()
                .ifPresent(piece -> form.problem(
                        "list",
                        "problem.parts.list.line",
                        "read",
                        piece.name().substring(0, 30) + "…",
                        "most",
                        LONGEST));
        if (!form.fits()) {
            return page(me, job, form);
        }
        log.list(me, job, client(form), pieces);
        return back(id);
    }

    /** Where a tool comes from; several at once for a shop that has them all. */
    @PostMapping("/jobs/{id}/parts/tools")
    ModelAndView tool(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") List<String> tool,
            @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        Tools.From from = form.choice("what", Tools.From.values(), Tools.From.HAVE);
        PartWords.asked(log.needs(job)).stream().filter(tool::contains).forEach(one -> tools.tell(me, job, one, from));
        return back(id);
    }

    /** A spring under the calliper: looked at, and taken into the plan when that is asked for. */
    @PostMapping("/jobs/{id}/parts/bench")
    ModelAndView bench(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        End end = form.choice("end", End.values(), End.FRONT);
        Optional<BenchCheck.Found> found = Optional.empty();
        if (bench.ends(job, log.bill(job)).contains(end)) {
            found = bench.read(job, end, form);
        } else {
            form.problem(BenchCheck.field("wire", end), "problem.parts.gone");
        }
        if (found.isPresent() && form.has("take")) {
            if (bench.take(me, job, end, found.get(), form.edition().orElse(null))) {
                return new ModelAndView("redirect:/jobs/" + id + "/plan");
            }
            form.problem(BenchCheck.field("wire", end), "problem.parts.plan");
            form.meanwhile(bench.edition(job), Map.of());
        }
        ModelAndView page = page(me, job, form);
        found.ifPresent(spring ->
                page.addObject("found", found(job, end, spring, form.reader())).addObject("checked", end));
        return page;
    }

    /** A line of what a calliper found. */
    public record Says(String mark, String word, String text) {}

    private List<Says> found(Job job, End end, BenchCheck.Found found, Reader reader) {
        List<Says> says = new ArrayList<>();
        Rate rate = new Rate(found.calliper().rate());
        Rate within = new Rate(2 * found.calliper().standard());
        says.add(says(
                found.listed().isEmpty()
                        ? "parts.bench.rate"
                        : found.rateDiffers() ? "parts.bench.other" : "parts.bench.same",
                found.rateDiffers() ? "LOOK" : "CLEAR",
                reader,
                "rate",
                rate,
                "within",
                within,
                "listed",
                new Rate(found.listed().orElse(0))));
        found.listedFree()
                .ifPresent(listed -> says.add(says(
                        found.lengthDiffers() ? "parts.bench.length" : "parts.bench.long",
                        found.lengthDiffers() ? "LOOK" : "CLEAR",
                        reader,
                        "free",
                        Length.ofRoundedMm(found.free()),
                        "listed",
                        Length.ofRoundedMm(listed))));
        bench.printed(job, end, found).ifPresent(finding -> {
            Words.Said said = words.finding(finding, reader);
            says.add(new Says("look", words.say("severity.LOOK"), Numerals.html(said.title() + ". " + said.text())));
        });
        return says;
    }

    private Says says(String key, String severity, Reader reader, Object... named) {
        return new Says(
                severity.toLowerCase(Locale.ROOT),
                words.say("severity." + severity, reader),
                Numerals.html(words.say(key, reader, named)));
    }

    private ModelAndView page(Person me, Job job, Form form) {
        ModelAndView page = form.on(new ModelAndView("parts"));
        Bill bill = log.bill(job);
        page.addObject("head", heads.head(me.shop(), job.id(), "plan", form.reader()));
        page.addObject("client", UUID.randomUUID().toString());
        List<End> ends = bench.ends(job, bill);
        page.addObject(
                "benches",
                Arrays.stream(End.values())
                        .filter(end -> ends.contains(end) || BenchCheck.typed(form, end))
                        .toList());
        page.addObject("edition", bench.edition(job));
        page.addObject(
                "view",
                said.page(
                        bill,
                        log.entries(job),
                        log.needs(job),
                        tools.of(job),
                        shelf.items(me.shop()),
                        jobs.today(me.likes().zone()),
                        form.reader()));
        return page;
    }

    private static ModelAndView back(UUID id) {
        return new ModelAndView("redirect:/jobs/" + id + "/parts");
    }
}
