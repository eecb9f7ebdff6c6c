package abbex.app.prove;

import abbex.app.page.Me;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.core.clearance.ProbePlace;
import abbex.core.units.Length;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** How much air each place needs: everybody reads it, a lead sets it. */
@Controller
class GapsController {
    private static final Length MOST = Length.ofMm(100);

    private final NeededGaps gaps;
    private final Words words;

    GapsController(NeededGaps gaps, Words words) {
        this.gaps = gaps;
        this.words = words;
    }

    /** A place with what is set and what is usual. */
    public record Row(String place, String name, String set, String usual) {}

    @GetMapping("/gaps")
    ModelAndView gaps(@Me Person me, @RequestParam Map<String, String> parameters) {
        return page(me, Map.of(), Map.of(), parameters.containsKey("kept"));
    }

    @PostMapping("/gaps/set")
    ModelAndView set(@Me Person me, @RequestParam Map<String, String> parameters) {
        Map<ProbePlace, NeededGaps.Typed> wanted = new EnumMap<>(ProbePlace.class);
        Map<String, ProvePages.Problem> problems = new LinkedHashMap<>();
        for (ProbePlace place : ProbePlace.values()) {
            String raw = parameters.getOrDefault(place.name(), "").strip();
            if (raw.isEmpty()) {
                continue;
            }
            TapeParse parse =
                    TapeText.parse(raw, me.likes().unit(), me.likes().tape(), TapeText.Allowed.ZERO_OR_MORE, MOST);
            if (parse instanceof TapeParse.Refused refused) {
                problems.put(
                        place.name(),
                        new ProvePages.Problem(
                                Numerals.html(words.refusal(refused, Reader.of(me))),
                                refused.offers().stream().findFirst().orElse("")));
                continue;
            }
            TapeReading read = parse.asReading().orElseThrow();
            wanted.put(place, new NeededGaps.Typed(read.rawIn(me.likes().unit()), read.value()));
        }
        if (!problems.isEmpty()) {
            ModelAndView page = page(me, parameters, problems, false);
            page.setStatus(HttpStatus.valueOf(422));
            return page;
        }
        gaps.set(me, wanted);
        return new ModelAndView("redirect:/gaps?kept");
    }

    private ModelAndView page(
            Person me, Map<String, String> typed, Map<String, ProvePages.Problem> problems, boolean kept) {
        Map<ProbePlace, NeededGaps.Typed> set = gaps.typed(me.shop());
        Reader reader = Reader.of(me);
        List<Row> rows = Stream.of(ProbePlace.values())
                .map(place -> new Row(
                        place.name(),
                        Words.capital(words.say("probe." + place)),
                        typed.getOrDefault(
                                place.name(),
                                set.containsKey(place) ? set.get(place).raw() : ""),
                        Numerals.text(Length.ofRoundedMm(place.neededMm()), reader)))
                .toList();
        ModelAndView page = new ModelAndView("gaps");
        page.addObject("rows", rows);
        page.addObject("problems", problems);
        page.addObject("kept", kept);
        page.addObject("leads", me.role() == Role.LEAD);
        return page;
    }
}
