package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.heights.DropSheet;
import abbex.core.heights.Judgement;
import abbex.core.heights.Method;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Corner;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The walk round the vehicle: type a reading, Enter, next arch. */
@Controller
public class MeasureController {
    private final Jobs jobs;
    private final Sheets sheets;
    private final Words words;
    private final Clock clock;

    MeasureController(Jobs jobs, Sheets sheets, Words words, Clock clock) {
        this.jobs = jobs;
        this.sheets = sheets;
        this.words = words;
        this.clock = clock;
    }

    /**
     * A line of the sheet's state.
     *
     * @param before what the first sheet says, shown beside a later one
     */
    public record StateLine(String item, String name, String text, String before, String problem) {}

    @GetMapping("/jobs/{id}/measure")
    String measure(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        SheetData newest = sheets.of(me.shop(), job.id()).newest().orElseThrow(NotHere::new);
        return "redirect:/jobs/" + id + "/sheets/" + newest.row().id();
    }

    @GetMapping("/jobs/{id}/sheets/{sheetId}")
    ModelAndView sheet(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) String method,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Opened opened = open(me, id, sheetId);
        return page(me, opened, chosen(opened, method), null, Map.of(), htmx == null ? "measure" : "measure :: work");
    }

    /** What others wrote since the stamp: nothing (204), or every arch and the margin anew. */
    @GetMapping("/jobs/{id}/sheets/{sheetId}/news")
    ModelAndView news(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(defaultValue = "HF") String method,
            @RequestParam(defaultValue = "0") long stamp) {
        Opened opened = open(me, id, sheetId);
        if (sheets.stamp(me.shop(), id) == stamp) {
            ModelAndView nothing = new ModelAndView("measure :: nothing");
            nothing.setStatus(HttpStatus.NO_CONTENT);
            return nothing;
        }
        ModelAndView page = page(me, opened, method(method), null, Map.of(), "measure :: taken");
        page.addObject("corner", "all");
        return page;
    }

    @PostMapping("/jobs/{id}/set-down")
    String setDown(
            @Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "FIRST_SET_DOWN") SheetRow.Stage stage) {
        jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        if (stage == SheetRow.Stage.AS_ARRIVED) {
            throw new NotHere();
        }
        return "redirect:/jobs/" + id + "/sheets/" + sheets.open(me, id, stage, clock.instant());
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/readings")
    ModelAndView take(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam String corner,
            @RequestParam String method,
            @RequestParam(defaultValue = "") String raw,
            @RequestParam UUID client,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Opened opened = open(me, id, sheetId);
        Corner where = corner(corner);
        Method how = method(method);
        SheetRow sheet = opened.sheet().row();
        Sheets.Outcome outcome = sheets.take(me, sheet, where, how, raw, client, clock.instant());
        Walk.Refusal refusal = null;
        if (outcome instanceof Sheets.Outcome.Refused refused) {
            refusal = new Walk.Refusal(
                    where,
                    raw,
                    Numerals.html(words.refusal(refused.why(), Reader.of(me))),
                    refused.why().offers().stream().findFirst().orElse(""));
        } else if (outcome instanceof Sheets.Outcome.SentOther other) {
            refusal = new Walk.Refusal(
                    where, raw, Numerals.html(words.say("problem.sent.other", Reader.of(me), other.raw())), "");
        }
        return answer(me, opened, where, how, refusal, htmx);
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/undo")
    ModelAndView undo(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam String corner,
            @RequestParam String method,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Opened opened = open(me, id, sheetId);
        Corner where = corner(corner);
        boolean undone = sheets.undo(me, opened.sheet().row(), where, method(method), clock.instant());
        Walk.Refusal refusal = undone ? null : new Walk.Refusal(where, "", words.say("problem.nothing.to.undo"), "");
        return answer(me, opened, where, method(method), refusal, htmx);
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/state")
    ModelAndView state(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam Map<String, String> parameters) {
        Opened opened = open(me, id, sheetId);
        Map<String, String> problems = new LinkedHashMap<>();
        Map<String, String> said = new LinkedHashMap<>();
        for (String item : SheetData.items()) {
            String text = parameters.getOrDefault(item, "").strip();
            if (text.length() > 80) {
                problems.put(item, words.say("problem.long.80"));
            } else if (item.startsWith("PRESSURE")
                    && !text.isEmpty()
                    && Pressure.parse(text).isEmpty()) {
                problems.put(item, words.say("problem.pressure", Reader.of(me), text));
            } else if (text.chars().anyMatch(Character::isISOControl)) {
                problems.put(item, words.say("problem.unprintable"));
            } else {
                said.put(item, text);
            }
        }
        sheets.say(me, opened.sheet().row(), said, opened.sheet().state(), clock.instant());
        if (problems.isEmpty()) {
            return new ModelAndView("redirect:/jobs/" + id + "/sheets/" + sheetId);
        }
        Opened fresh = open(me, id, sheetId);
        ModelAndView page = page(me, fresh, chosen(fresh, parameters.get("method")), null, problems, "measure");
        page.addObject("typed", parameters);
        page.setStatus(HttpStatus.valueOf(422));
        return page;
    }

    private record Opened(Job job, JobSheets all, SheetData sheet, Judgement judged) {
        boolean doubts() {
            return !judged.suspects().isEmpty();
        }
    }

    private Opened open(Person me, UUID id, UUID sheetId) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        JobSheets all = sheets.of(me.shop(), id);
        SheetData sheet = all.find(sheetId).orElseThrow(NotHere::new);
        return new Opened(job, all, sheet, all.judge(job, sheet));
    }

    /** The arch that was read, and every arch where a doubt came up or went away by it. */
    private ModelAndView answer(
            Person me,
            Opened before,
            Corner corner,
            Method method,
            Walk.@Nullable Refusal refusal,
            @Nullable String htmx) {
        UUID id = before.job().id();
        UUID sheetId = before.sheet().row().id();
        if (htmx == null && refusal == null) {
            return new ModelAndView("redirect:/jobs/" + id + "/sheets/" + sheetId + "?method=" + method);
        }
        Opened now = open(me, id, sheetId);
        boolean doubts = before.doubts() || now.doubts();
        ModelAndView page = page(me, now, method, refusal, Map.of(), htmx == null ? "measure" : "measure :: taken");
        page.addObject("corner", doubts ? "all" : corner);
        page.setStatus(refusal == null ? HttpStatus.OK : HttpStatus.valueOf(422));
        return page;
    }

    private ModelAndView page(
            Person me,
            Opened o,
            Method method,
            Walk.@Nullable Refusal refusal,
            Map<String, String> problems,
            String view) {
        Reader reader = Reader.of(me);
        Judgement judged = o.judged();
        DropSheet drops = judged.drops();
        ModelAndView page = new ModelAndView(view);
        page.addObject("stamp", sheets.stamp(me.shop(), o.job().id()));
        Walk walk = Walk.of(o.job(), o.all(), o.sheet(), method, me.id(), judged, reader, words, refusal);
        page.addObject("walk", walk);
        page.addObject("says", words.findings(drops.findings(), reader));
        page.addObject("sheets", o.all().sheets());
        page.addObject("sheet", o.sheet());
        page.addObject("head", HeadsFromSheets.head(o.job(), "measure", sheets.progress(o.job(), o.all(), reader)));
        page.addObject("state", state(o, problems));
        page.addObject("stateSaid", String.join(" · ", o.sheet().said(words::say)));
        SheetData newest = o.all().newest().orElseThrow();
        page.addObject("canMeasureAgain", !newest.current().isEmpty());
        page.addObject("nextStage", newest.row().stage().next());
        page.addObject("laterStages", SheetRow.Stage.later());
        page.addObject("typed", Map.of());
        page.addObject("words", words);
        page.addObject("clock", reader);
        return page;
    }

    private List<StateLine> state(Opened o, Map<String, String> problems) {
        Map<String, String> before = o.sheet().row().first()
                ? Map.of()
                : o.all().before().map(SheetData::state).orElse(Map.of());
        return SheetData.items().stream()
                .map(item -> new StateLine(
                        item,
                        name(item),
                        o.sheet().state().getOrDefault(item, ""),
                        before.getOrDefault(item, ""),
                        problems.getOrDefault(item, "")))
                .toList();
    }

    private String name(String item) {
        return Words.capital(
                item.startsWith("PRESSURE_")
                        ? words.say("corner." + item.substring("PRESSURE_".length()))
                        : words.say("item." + item));
    }

    /** The method asked for, else the first that is begun and unfinished, else hub to lip. */
    private static Method chosen(Opened o, @Nullable String asked) {
        if (asked != null) {
            return method(asked);
        }
        var here = o.sheet().heights();
        var before =
                o.sheet().row().first() ? null : o.all().before().orElseThrow().heights();
        for (Method method : List.of(Method.HF, Method.RIM, Method.GF, Method.FG, Method.TG)) {
            boolean begun = here.has(method) || before != null && before.has(method);
            if (begun && !here.complete(method)) {
                return method;
            }
        }
        return Method.HF;
    }

    private static Corner corner(String text) {
        for (Corner corner : Corner.values()) {
            if (corner.name().equals(text)) {
                return corner;
            }
        }
        throw new NotHere();
    }

    private static Method method(String text) {
        for (Method method : Method.values()) {
            if (method.name().equals(text)) {
                return method;
            }
        }
        throw new NotHere();
    }
}
