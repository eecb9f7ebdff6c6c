package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.store.Times;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Round;
import abbex.core.heights.Stage;
import java.time.Clock;
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
    /** What waited longer is taken as typed so long ago. */
    private final Jobs jobs;

    private final Sheets sheets;
    private final MeasurePages pages;
    private final Words words;
    private final Clock clock;

    MeasureController(Jobs jobs, Sheets sheets, MeasurePages pages, Words words, Clock clock) {
        this.pages = pages;
        this.jobs = jobs;
        this.sheets = sheets;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/jobs/{id}/measure")
    String measure(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "") String method) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        JobSheets all = sheets.of(me.shop(), job.id());
        SheetData newest = all.newest().orElseThrow(NotHere::new);
        boolean known = all.rounds(job.vehicle()).stream()
                .anyMatch(round -> round.code().equals(method));
        return "redirect:/jobs/" + id + "/sheets/" + newest.row().id() + (known ? "?method=" + method : "");
    }

    @GetMapping("/jobs/{id}/sheets/{sheetId}")
    ModelAndView sheet(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam(required = false) String method,
            @RequestParam(defaultValue = "NOTHING") MeasurePages.Unfolded open,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        return pages.page(
                me,
                opened,
                MeasurePages.chosen(opened, method),
                null,
                Form.blank(me, words),
                htmx == null ? "measure" : "measure :: work",
                open);
    }

    /** What lies folded under the walk, once it is opened. */
    @GetMapping("/jobs/{id}/sheets/{sheetId}/unfold")
    ModelAndView unfold(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam(required = false) String method,
            @RequestParam(defaultValue = "STATE") MeasurePages.Unfolded open) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        String form = open == MeasurePages.Unfolded.POINTS ? "measure :: pointform" : "measure :: stateform";
        return pages.page(me, opened, MeasurePages.chosen(opened, method), null, Form.blank(me, words), form, open);
    }

    /** What others wrote since the stamp: nothing (204), or every arch and the margin anew. */
    @GetMapping("/jobs/{id}/sheets/{sheetId}/news")
    ModelAndView news(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam(required = false) String method,
            @RequestParam(defaultValue = "0") long stamp) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        if (sheets.stamp(me.shop(), id) == stamp) {
            ModelAndView nothing = new ModelAndView("measure :: nothing");
            nothing.setStatus(HttpStatus.NO_CONTENT);
            return nothing;
        }
        ModelAndView page = pages.page(
                me, opened, MeasurePages.chosen(opened, method), null, Form.blank(me, words), "measure :: taken");
        page.addObject("only", "");
        return page;
    }

    @PostMapping("/jobs/{id}/set-down")
    String setDown(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "FIRST_SET_DOWN") Stage stage) {
        jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        if (stage == Stage.AS_ARRIVED) {
            throw new NotHere();
        }
        return "redirect:/jobs/" + id + "/sheets/" + sheets.open(me, id, stage, clock.instant());
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/readings")
    ModelAndView take(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam String corner,
            @RequestParam String method,
            @RequestParam(required = false) @Nullable String round,
            @RequestParam(defaultValue = "") String raw,
            @RequestParam UUID client,
            @RequestParam(required = false) @Nullable UUID by,
            @RequestParam(defaultValue = "0") long ago,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        MeasuringPoint where = opened.spot(corner, method);
        Round in = opened.around(where, round);
        SheetRow sheet = opened.sheet().row();
        if (by != null && !by.equals(me.id())) {
            // What waited on a device goes under the sign-in of who typed it, whoever holds the device now.
            ModelAndView nobody = new ModelAndView("measure :: nothing");
            nobody.setStatus(HttpStatus.PRECONDITION_FAILED);
            return nobody;
        }
        Sheets.Outcome outcome =
                sheets.take(me, sheet, where, raw, client, Times.typed(clock.instant(), ago, sheet.madeAt()));
        Walk.Refusal refusal = null;
        if (outcome instanceof Sheets.Outcome.Refused refused) {
            refusal = new Walk.Refusal(
                    where,
                    raw,
                    Numerals.html(words.refusal(refused.why(), Reader.of(me))),
                    refused.why().offers().stream().findFirst().orElse(""));
        } else if (outcome instanceof Sheets.Outcome.SentOther other) {
            refusal = new Walk.Refusal(
                    where, raw, Numerals.html(words.say("problem.sent.other", Reader.of(me), "read", other.raw())), "");
        }
        return answer(me, opened, where, in, refusal, htmx);
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/undo")
    ModelAndView undo(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam String corner,
            @RequestParam String method,
            @RequestParam(required = false) @Nullable String round,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        MeasuringPoint where = opened.spot(corner, method);
        Round in = opened.around(where, round);
        boolean undone = sheets.undo(me, opened.sheet().row(), where, clock.instant());
        Walk.Refusal refusal = undone ? null : new Walk.Refusal(where, "", words.say("problem.nothing.to.undo"), "");
        return answer(me, opened, where, in, refusal, htmx);
    }

    /** The arch that was read, and every arch where a doubt came up or went away by it. */
    private ModelAndView answer(
            Person me,
            MeasurePages.Opened before,
            MeasuringPoint spot,
            Round round,
            Walk.@Nullable Refusal refusal,
            @Nullable String htmx) {
        UUID id = before.job().id();
        UUID sheetId = before.sheet().row().id();
        if (htmx == null && refusal == null) {
            return new ModelAndView(
                    "redirect:/jobs/" + id + "/sheets/" + sheetId + "?method=" + round.code() + before.keep());
        }
        MeasurePages.Opened now =
                pages.open(me, id, sheetId, before.asked() ? before.base().row().id() : null);
        boolean doubts = before.doubts() || now.doubts();
        ModelAndView page = pages.page(
                me, now, round, refusal, Form.blank(me, words), htmx == null ? "measure" : "measure :: taken");
        page.addObject("only", doubts ? "" : spot.code());
        page.setStatus(refusal == null ? HttpStatus.OK : HttpStatus.valueOf(422));
        return page;
    }
}
