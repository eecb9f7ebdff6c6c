package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.heights.MeasuringPoint;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Readings that were taken on another vehicle than the one that was open: moved there, all at once. */
@Controller
class WrongVehicleController {
    private final MeasurePages pages;
    private final JobHeads heads;
    private final Jobs jobs;
    private final Sheets sheets;
    private final MovedReadings moved;
    private final Words words;
    private final Clock clock;

    WrongVehicleController(
            MeasurePages pages,
            JobHeads heads,
            Jobs jobs,
            Sheets sheets,
            MovedReadings moved,
            Words words,
            Clock clock) {
        this.pages = pages;
        this.heads = heads;
        this.jobs = jobs;
        this.sheets = sheets;
        this.moved = moved;
        this.words = words;
        this.clock = clock;
    }

    /** A reading that may go. */
    public record Line(String name, String spot, String raw, boolean ticked) {}

    /** Where it may go. */
    public record Other(String job, String name, boolean chosen) {}

    @GetMapping("/jobs/{id}/sheets/{sheetId}/wrong-vehicle")
    ModelAndView page(@Me Person me, @PathVariable UUID id, @PathVariable UUID sheetId) {
        return page(me, pages.open(me, id, sheetId, null), Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/wrong-vehicle")
    ModelAndView move(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam Map<String, String> parameters) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, null);
        Form form = new Form(me, words, parameters);
        Optional<Job> to = others(me, opened).stream()
                .filter(job -> job.id().toString().equals(form.text("to")))
                .findFirst();
        Set<MeasuringPoint> spots = mine(me, opened).stream()
                .filter(row -> form.has(name(row)))
                .map(ReadingRow::spot)
                .collect(Collectors.toSet());
        if (to.isEmpty()) {
            form.problem("to", "problem.wrong.to");
        } else if (spots.isEmpty()) {
            form.problem("to", "problem.wrong.none");
        } else if (!fits(to.get(), spots)) {
            form.problem("to", "problem.wrong.kind", "plate", to.get().vehicle().plate());
        } else {
            List<MeasuringPoint> met = moved.move(me, opened.sheet().row(), spots, to.get(), clock.instant());
            if (met.isEmpty()) {
                return new ModelAndView("redirect:/jobs/" + to.get().id() + "/measure");
            }
            form.problem(
                    "to",
                    "problem.wrong.met",
                    "plate",
                    to.get().vehicle().plate(),
                    "spots",
                    met.stream().map(spot -> words.word(spot, form.reader())).collect(Collectors.joining(", ")));
        }
        return page(me, opened, form);
    }

    private boolean fits(Job to, Set<MeasuringPoint> spots) {
        JobSheets all = sheets.of(to.shop(), to.id());
        Set<MeasuringPoint> there = all.rounds(to.vehicle()).stream()
                .flatMap(round -> round.spots().stream())
                .collect(Collectors.toSet());
        return all.newest().isPresent() && there.containsAll(spots);
    }

    private static String name(ReadingRow row) {
        return "spot-" + row.spot().code();
    }

    private static List<ReadingRow> mine(Person me, MeasurePages.Opened opened) {
        return opened.sheet().current().stream()
                .filter(row -> row.person().equals(me.id()))
                .toList();
    }

    private List<Job> others(Person me, MeasurePages.Opened opened) {
        return jobs.onTheFloor(me.shop()).stream()
                .filter(job -> !job.id().equals(opened.job().id()))
                .toList();
    }

    private ModelAndView page(Person me, MeasurePages.Opened opened, Form form) {
        Reader reader = form.reader();
        ModelAndView page = form.on(new ModelAndView("wrong-vehicle"));
        page.addObject("head", heads.head(me.shop(), opened.job().id(), "measure", reader));
        page.addObject("sheet", opened.sheet().row().id());
        page.addObject(
                "lines",
                mine(me, opened).stream()
                        .map(row -> new Line(
                                name(row),
                                Words.capital(words.word(row.spot(), reader)),
                                Numerals.html(Numerals.text(row.tapeReading().value(), reader)),
                                form.texts().isEmpty() || form.has(name(row))))
                        .toList());
        page.addObject(
                "others",
                others(me, opened).stream()
                        .map(job -> new Other(
                                job.id().toString(),
                                job.vehicle().plate() + " · " + job.vehicle().name(),
                                job.id().toString().equals(form.text("to"))))
                        .toList());
        return page;
    }
}
