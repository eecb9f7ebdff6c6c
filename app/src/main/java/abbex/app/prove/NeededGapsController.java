package abbex.app.prove;

import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Numerals;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.core.clearance.ProbePlace;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** How much air each place needs: everybody reads it, a lead sets it. */
@Controller
class NeededGapsController {
    private static final Length MOST = Length.ofMm(100);

    private final NeededGaps gaps;
    private final Words words;

    NeededGapsController(NeededGaps gaps, Words words) {
        this.gaps = gaps;
        this.words = words;
    }

    /** A place with what is set and what is usual. */
    public record Row(String place, String name, String set, String usual) {}

    /** Where in the drawn arch each place is: the hub at nought, outboard to the right. */
    private static final Map<String, String> SPOTS = Map.ofEntries(
            Map.entry("FENDER_LIP", "150 -300"),
            Map.entry("LINER_FRONT", "-60 -352"),
            Map.entry("LINER_REAR", "60 -352"),
            Map.entry("INNER_ARCH", "0 -400"),
            Map.entry("FRAME", "-160 -330"),
            Map.entry("STRUT", "-160 -190"),
            Map.entry("SPRING_PERCH", "-160 -264"),
            Map.entry("TIE_ROD", "-110 -150"),
            Map.entry("CONTROL_ARM", "-110 -76"),
            Map.entry("SWAY_LINK", "-160 -128"),
            Map.entry("HOSE", "-64 -176"),
            Map.entry("BRAKE_CABLE", "-20 -176"),
            Map.entry("SWINGARM", "-160 -50"),
            Map.entry("HUGGER", "130 -400"),
            Map.entry("CALLIPER", "44 -120"),
            Map.entry("SPOKES", "70 -100"));

    @GetMapping("/gaps")
    ModelAndView gaps(@Me Person me, @RequestParam Map<String, String> parameters) {
        return page(me, Form.blank(me, words), parameters.containsKey("kept"));
    }

    @PostMapping("/gaps/set")
    ModelAndView set(@Me Person me, @RequestParam Map<String, String> parameters) {
        Form form = new Form(me, words, parameters);
        Map<ProbePlace, NeededGaps.Typed> wanted = new EnumMap<>(ProbePlace.class);
        for (ProbePlace place : ProbePlace.values()) {
            form.length(place.name(), TapeText.Allowed.ZERO_OR_MORE, MOST)
                    .ifPresent(read -> wanted.put(place, new NeededGaps.Typed(form.raw(read), read.value())));
        }
        if (form.fits() && !gaps.set(me, wanted, form.edition())) {
            form.meanwhile(gaps.edition(me.shop()), standing(gaps.typed(me.shop())));
        }
        return form.fits() ? new ModelAndView("redirect:/gaps?kept") : page(me, form, false);
    }

    private static Map<String, String> standing(Map<ProbePlace, NeededGaps.Typed> set) {
        Map<String, String> standing = new LinkedHashMap<>();
        for (ProbePlace place : ProbePlace.values()) {
            standing.put(place.name(), set.containsKey(place) ? set.get(place).raw() : "");
        }
        return standing;
    }

    private ModelAndView page(Person me, Form form, boolean kept) {
        Map<String, String> standing = standing(gaps.typed(me.shop()));
        List<Row> rows = Stream.of(ProbePlace.values())
                .map(place -> new Row(
                        place.name(),
                        Words.capital(words.say("probe." + place)),
                        form.text(place.name(), standing.getOrDefault(place.name(), "")),
                        Numerals.text(Length.ofRoundedMm(place.neededMm()), form.reader())))
                .toList();
        ModelAndView page = form.on(new ModelAndView("gaps"));
        page.addObject("rows", rows);
        page.addObject("spots", SPOTS);
        page.addObject("edition", gaps.edition(me.shop()));
        page.addObject("kept", kept);
        page.addObject("leads", me.role() == Role.LEAD);
        return page;
    }
}
