package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.facts.FactWords;
import abbex.app.facts.Facts;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Sheets;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;

/** The sheet that is handed over: as it stands, and as it left. */
@Controller
class SheetController {
    private final Jobs jobs;
    private final Sheets sheets;
    private final Handovers handovers;
    private final JobHeads heads;
    private final Words words;
    private final Papers papers;
    private final HandOver handOver;
    private final Clock clock;
    private final Audit audit;
    private final FactWords factWords;

    SheetController(
            Jobs jobs,
            Sheets sheets,
            Handovers handovers,
            JobHeads heads,
            Words words,
            Papers papers,
            HandOver handOver,
            Clock clock,
            Audit audit,
            FactWords factWords) {
        this.audit = audit;
        this.factWords = factWords;
        this.jobs = jobs;
        this.sheets = sheets;
        this.handovers = handovers;
        this.heads = heads;
        this.words = words;
        this.papers = papers;
        this.handOver = handOver;
        this.clock = clock;
    }

    @GetMapping("/jobs/{id}/sheet")
    String sheet(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int version,
            @RequestParam(required = false) String unit,
            Model model) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        JobSheets all = sheets.of(me.shop(), id);
        Reader own = Reader.of(me);
        Reader reader = unit == null || own.unit().symbol().equals(unit) ? own : own.other();
        List<Handovers.Version> versions = handovers.of(me.shop(), id);
        Facts facts = handOver.facts(job, all);
        SheetView view = handOver.view(job, all, Map.of(), reader, clock.instant());
        Optional<Handovers.Version> chosen = chosen(versions, version);
        model.addAttribute("head", heads.head(me.shop(), id, "handover", own));
        model.addAttribute("versions", versions);
        model.addAttribute("shown", version);
        model.addAttribute("complete", view.complete());
        model.addAttribute("clock", own);
        model.addAttribute("otherUnit", reader.other().unit().symbol());
        model.addAttribute("otherName", words.say("unit." + reader.other().unit()));
        model.addAttribute("changes", changes(versions, chosen, facts, own));
        model.addAttribute("revocable", HandOver.revocable(versions).orElse(null));
        model.addAttribute("asks", !handOver.toAnswer(job).isEmpty());
        model.addAttribute("customer", job.customer());
        model.addAttribute("wish", job.wish());
        model.addAttribute("body", chosen.map(Handovers.Version::body).orElseGet(() -> handOver.body(view)));
        return "sheet";
    }

    /** The version of a number; empty for the sheet as it stands. */
    private static Optional<Handovers.Version> chosen(List<Handovers.Version> versions, int number) {
        return number == 0
                ? Optional.empty()
                : Optional.of(versions.stream()
                        .filter(v -> v.number() == number)
                        .findFirst()
                        .orElseThrow(NotHere::new));
    }

    /** With a version: against the one before; without: what changed since the last. */
    private List<FactWords.Shown> changes(
            List<Handovers.Version> versions, Optional<Handovers.Version> chosen, Facts facts, Reader reader) {
        int at = chosen.map(versions::indexOf).orElse(versions.size());
        return at == 0
                ? List.of()
                : factWords.changes(
                        versions.get(at - 1).facts(),
                        chosen.map(Handovers.Version::facts).orElse(facts),
                        reader);
    }

    /** The version went to a printer of the browser's. */
    @PostMapping("/jobs/{id}/sheet/printed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void printed(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "0") int version) {
        jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        chosen(handovers.of(me.shop(), id), version).ifPresent(v -> handovers.printed(me, v, clock.instant()));
    }

    @GetMapping("/jobs/{id}/sheet.pdf")
    ResponseEntity<byte[]> pdf(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "A4") String size,
            @RequestParam(defaultValue = "0") int version) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<Handovers.Version> versions = handovers.of(me.shop(), id);
        Optional<Handovers.Version> chosen = chosen(versions, version);
        Reader reader = Reader.of(me);
        chosen.ifPresent(v -> handovers.printed(me, v, clock.instant()));
        SheetPdf.Size paper = size.toUpperCase(Locale.ROOT).equals("LETTER") ? SheetPdf.Size.LETTER : SheetPdf.Size.A4;
        byte[] body = chosen.map(v -> papers.of(me, job, v, paper))
                .orElseGet(() -> papers.draft(
                        me,
                        job,
                        handOver.body(handOver.view(job, sheets.of(me.shop(), id), Map.of(), reader, clock.instant())),
                        paper));
        audit.add(me, Audit.What.EXPORTED, job.vehicle().plate() + (version > 0 ? " · " + version : ""));
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.APPLICATION_PDF);
        headers.setContentDisposition(ContentDisposition.inline()
                .filename("drop-sheet-" + job.vehicle().plate().replaceAll("[^A-Za-z0-9-]", "-") + ".pdf")
                .build());
        return new ResponseEntity<>(body, headers, HttpStatus.OK);
    }
}
