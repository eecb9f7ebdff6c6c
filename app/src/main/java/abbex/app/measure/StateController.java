package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.heights.SheetState;
import abbex.core.units.Pressure;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What is said of a sheet beside its readings: the state it stood in, its stage, what stands in, what was worked on. */
@Controller
class StateController {
    private static final int LONGEST = 80;

    private final MeasurePages pages;
    private final Sheets sheets;
    private final StateEntries entries;
    private final Words words;
    private final Clock clock;

    StateController(MeasurePages pages, Sheets sheets, StateEntries entries, Words words, Clock clock) {
        this.entries = entries;
        this.pages = pages;
        this.sheets = sheets;
        this.words = words;
        this.clock = clock;
    }

    @PostMapping("/jobs/{id}/sheets/{sheetId}/state")
    ModelAndView state(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            @RequestParam Map<String, String> parameters) {
        MeasurePages.Opened opened = pages.open(me, id, sheetId, against);
        Form form = new Form(me, words, parameters);
        Map<String, String> standing = opened.sheet().fields();
        Map<String, String> base = form.edition()
                .map(upTo -> SheetData.fields(
                        opened.sheet().row(),
                        entries.upTo(me.shop(), opened.sheet().row(), upTo)))
                .orElse(standing);
        Map<String, String> said = new LinkedHashMap<>();
        Map<String, String> meanwhile = new LinkedHashMap<>();
        for (String item : StateItem.of(
                opened.job().vehicle().vehicle(), opened.sheet().row().first())) {
            String was = base.getOrDefault(item, "");
            String is = standing.getOrDefault(item, "");
            // What this person left alone is not written over what another said meanwhile.
            if (!form.has(item) || form.text(item).equals(was)) {
                form.keep(item, is);
                continue;
            }
            check(form, item, opened.job());
            if (!is.equals(was) && !form.text(item).equals(is)) {
                meanwhile.put(item, is);
            } else if (form.at(item) == null) {
                said.put(item, form.text(item));
            }
        }
        sheets.say(me, opened.sheet().row(), said, standing, clock.instant());
        MeasurePages.Opened fresh = pages.open(me, id, sheetId, against);
        form.meanwhile(fresh.sheet().row().said(), meanwhile);
        if (form.fits()) {
            String query = opened.asked() ? "?against=" + against : "";
            return new ModelAndView("redirect:/jobs/" + id + "/sheets/" + sheetId + query);
        }
        return pages.page(me, fresh, MeasurePages.chosen(fresh, parameters.get("method")), null, form, "measure");
    }

    /** Says why a text cannot be kept. */
    private void check(Form form, String item, Job job) {
        String text = form.line(item, LONGEST);
        List<String> choices = item.equals(StateItem.PARTS) ? pages.parts(job) : StateItem.choices(item);
        if (text.isEmpty()) {
            return;
        }
        if (item.startsWith(StateItem.PRESSURE) && Pressure.parse(text).isEmpty()) {
            form.problem(item, "problem.pressure", "read", text);
        } else if (item.equals(SheetState.Item.STAND_LEAN.name())
                && SheetState.degrees(text).isEmpty()) {
            form.problem(item, "problem.degrees");
        } else if (item.equals(StateItem.ARCHES) && StateItem.arches(text).isEmpty()) {
            form.problem(item, "problem.arches", "read", text);
        } else if (!choices.isEmpty() && !choices.contains(text)) {
            form.problem(item, "problem.choice.unknown", "read", text);
        }
    }
}
