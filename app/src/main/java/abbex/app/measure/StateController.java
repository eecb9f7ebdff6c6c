package abbex.app.measure;

import abbex.app.page.Me;
import abbex.app.page.Reader;
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
import org.springframework.http.HttpStatus;
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
    private final Words words;
    private final Clock clock;

    StateController(MeasurePages pages, Sheets sheets, Words words, Clock clock) {
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
        Map<String, String> problems = new LinkedHashMap<>();
        Map<String, String> said = new LinkedHashMap<>();
        for (String item : StateItem.of(
                opened.job().vehicle().vehicle(), opened.sheet().row().first())) {
            if (StateItem.choices(item).isEmpty() || parameters.containsKey(item)) {
                String text = parameters.getOrDefault(item, "").strip();
                String problem = problem(item, text, Reader.of(me));
                (problem.isEmpty() ? said : problems).put(item, problem.isEmpty() ? text : problem);
            }
        }
        if (opened.sheet().stage().name().equals(said.get(StateItem.STAGE))) {
            said.remove(StateItem.STAGE);
        }
        sheets.say(me, opened.sheet().row(), said, opened.sheet().state(), clock.instant());
        if (problems.isEmpty()) {
            String query = opened.asked() ? "?against=" + against : "";
            return new ModelAndView("redirect:/jobs/" + id + "/sheets/" + sheetId + query);
        }
        MeasurePages.Opened fresh = pages.open(me, id, sheetId, against);
        ModelAndView page =
                pages.page(me, fresh, MeasurePages.chosen(fresh, parameters.get("method")), null, problems, "measure");
        page.addObject("typed", parameters);
        page.setStatus(HttpStatus.valueOf(422));
        return page;
    }

    /** Why a text cannot be kept; empty when it can. */
    private String problem(String item, String text, Reader reader) {
        if (text.length() > LONGEST) {
            return words.say("problem.long.80");
        }
        if (text.chars().anyMatch(Character::isISOControl)) {
            return words.say("problem.unprintable");
        }
        if (text.isEmpty()) {
            return "";
        }
        if (item.startsWith(StateItem.PRESSURE) && Pressure.parse(text).isEmpty()) {
            return words.say("problem.pressure", reader, "read", text);
        }
        if (item.equals(SheetState.Item.STAND_LEAN.name())
                && SheetState.degrees(text).isEmpty()) {
            return words.say("problem.degrees");
        }
        if (item.equals(StateItem.ARCHES) && StateItem.arches(text).isEmpty()) {
            return words.say("problem.arches", reader, "read", text);
        }
        List<String> choices = StateItem.choices(item);
        return choices.isEmpty() || choices.contains(text)
                ? ""
                : words.say("problem.choice.unknown", reader, "read", text);
    }
}
