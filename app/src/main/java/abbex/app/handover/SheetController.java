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
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The sheet that is handed over: as it stands, and as it left. */
@Controller
class SheetController {
    private final Jobs jobs;
    private final Sheets sheets;
    private final Handovers handovers;
    private final JobHeads heads;
    private final Words words;
    private final SheetPdf pdf;
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
            SheetPdf pdf,
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
        this.pdf = pdf;
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
        SheetView view = handOver.view(job, all, reader);
        if (version < 0 || version > versions.size()) {
            throw new NotHere();
        }
        model.addAttribute("head", heads.head(me.shop(), id, "handover", own));
        model.addAttribute("versions", versions);
        model.addAttribute("shown", version);
        model.addAttribute("complete", view.complete());
        model.addAttribute("clock", own);
        model.addAttribute("otherUnit", reader.other().unit().symbol());
        model.addAttribute("otherName", words.say("unit." + reader.other().unit()));
        model.addAttribute("changes", changes(versions, version, facts, own));
        model.addAttribute("body", version > 0 ? versions.get(version - 1).body() : handOver.body(view));
        return "sheet";
    }

    /** With a version: against the one before; without: what changed since the last. */
    private List<FactWords.Shown> changes(List<Handovers.Version> versions, int version, Facts facts, Reader reader) {
        if (version > 1) {
            return factWords.changes(
                    versions.get(version - 2).facts(), versions.get(version - 1).facts(), reader);
        }
        return version == 1 || versions.isEmpty()
                ? List.of()
                : factWords.changes(versions.get(versions.size() - 1).facts(), facts, reader);
    }

    @PostMapping("/jobs/{id}/hand-over")
    String handOver(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        int version = handOver.freeze(me, job, clock.instant());
        return "redirect:/jobs/" + id + "/sheet" + (version == 0 ? "" : "?version=" + version);
    }

    @GetMapping("/jobs/{id}/sheet.pdf")
    ResponseEntity<byte[]> pdf(
            @Me Person me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "A4") String size,
            @RequestParam(defaultValue = "0") int version) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<Handovers.Version> versions = handovers.of(me.shop(), id);
        if (version < 0 || version > versions.size()) {
            throw new NotHere();
        }
        Reader reader = Reader.of(me);
        String body = version > 0
                ? versions.get(version - 1).body()
                : handOver.body(handOver.view(job, sheets.of(me.shop(), id), reader));
        String foot = version > 0
                ? words.say(
                        "sheet.foot",
                        reader,
                        "shop",
                        me.shopName(),
                        "version",
                        String.valueOf(version),
                        "day",
                        reader.full(versions.get(version - 1).madeAt()),
                        "by",
                        versions.get(version - 1).by())
                : words.say("sheet.foot.draft", reader, "shop", me.shopName(), "day", reader.full(clock.instant()));
        SheetPdf.Size paper = size.toUpperCase(Locale.ROOT).equals("LETTER") ? SheetPdf.Size.LETTER : SheetPdf.Size.A4;
        audit.add(me, Audit.What.EXPORTED, job.vehicle().plate() + (version > 0 ? " · " + version : ""));
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.APPLICATION_PDF);
        headers.setContentDisposition(ContentDisposition.inline()
                .filename("drop-sheet-" + job.vehicle().plate().replaceAll("[^A-Za-z0-9-]", "-") + ".pdf")
                .build());
        return new ResponseEntity<>(
                pdf.make(words.say("sheet.page", reader, "plate", job.vehicle().plate()), body, foot, paper),
                headers,
                org.springframework.http.HttpStatus.OK);
    }
}
