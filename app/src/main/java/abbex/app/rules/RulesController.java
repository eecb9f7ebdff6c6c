package abbex.app.rules;

import abbex.app.page.Me;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.heights.Limit;
import abbex.core.heights.Limits;
import abbex.core.heights.Method;
import abbex.core.heights.Repeatability;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The lead's page of what the shop sets for itself. */
@Controller
class RulesController {
    private final Rules rules;
    private final Words words;

    RulesController(Rules rules, Words words) {
        this.rules = rules;
        this.words = words;
    }

    /** A limit to set: what is typed, what it is unless somebody sets it, why it was not taken. */
    public record LimitLine(String name, String title, String text, String usual, String problem) {}

    /** How well a method's points are found: the default, what the shop's own repeats say, what is reckoned with. */
    public record ReadLine(
            String method, String usual, String own, int freedom, int leftOut, String used, boolean enough) {}

    @GetMapping("/rules")
    ModelAndView rules(@Me Person me) {
        return page(me, new LengthForm(me, words, Map.of()));
    }

    @PostMapping("/rules/limits")
    ModelAndView limits(@Me Person me, @RequestParam Map<String, String> typed) {
        LengthForm form = new LengthForm(me, words, typed);
        Map<Limit, Typed> own = new EnumMap<>(Limit.class);
        for (Limit limit : Limit.values()) {
            form.read(limit.name()).ifPresent(length -> {
                if (limit.allows(length.length())) {
                    own.put(limit, length);
                } else {
                    form.problem(
                            limit.name(),
                            words.say(
                                    "problem.limit",
                                    Reader.of(me),
                                    "read",
                                    length.raw(),
                                    "least",
                                    limit.least(),
                                    "most",
                                    limit.most()));
                }
            });
        }
        Limits all = form.fits() ? Limits.of(lengths(own)) : Limits.USUAL;
        if (all.of(Limit.SIDES_ACCEPT).compareTo(all.of(Limit.SIDES_GOOD)) < 0) {
            form.problem(
                    Limit.SIDES_ACCEPT.name(),
                    words.say("problem.limit.order", Reader.of(me), "good", all.of(Limit.SIDES_GOOD)));
        }
        if (!form.fits()) {
            return page(me, form);
        }
        rules.set(me, own);
        return new ModelAndView("redirect:/rules?kept=limits");
    }

    private static Map<Limit, Length> lengths(Map<Limit, Typed> own) {
        Map<Limit, Length> lengths = new EnumMap<>(Limit.class);
        own.forEach((limit, typed) -> lengths.put(limit, typed.length()));
        return lengths;
    }

    /** A way round the vehicle to choose. */
    public record Way(String name, boolean chosen) {}

    @PostMapping("/rules/walk")
    ModelAndView walk(@Me Person me, @RequestParam(defaultValue = "") String walk) {
        for (List<Corner> one : ShopRules.walks()) {
            if (value(one).equals(walk)) {
                rules.walk(me, one);
                return new ModelAndView("redirect:/rules?kept=walk");
            }
        }
        LengthForm form = new LengthForm(me, words, Map.of());
        form.problem("walk", words.say("problem.choice.unknown", Reader.of(me), "read", walk));
        return page(me, form);
    }

    private static String value(List<Corner> walk) {
        return walk.stream().map(Enum::name).collect(Collectors.joining(" "));
    }

    @PostMapping("/rules/floors")
    ModelAndView floor(@Me Person me, @RequestParam Map<String, String> typed) {
        LengthForm form = new LengthForm(me, words, typed);
        String bay = form.text("bay");
        if (bay.isEmpty() || bay.length() > 20) {
            form.problem("bay", words.say("problem.bay"));
        }
        LocalDate since = form.day("since");
        Map<Corner, Typed> pads = new EnumMap<>(Corner.class);
        for (Corner corner : Corner.WALK) {
            form.read(corner.name()).ifPresent(pad -> pads.put(corner, pad));
            if (form.text(corner.name()).isEmpty()) {
                form.problem(corner.name(), words.say("problem.pad", Reader.of(me), "corner", corner));
            }
        }
        if (!form.fits()) {
            return page(me, form);
        }
        rules.survey(me, bay, since, pads);
        return new ModelAndView("redirect:/rules?kept=floor");
    }

    @PostMapping("/rules/floors/take-back")
    ModelAndView takeBack(@Me Person me, @RequestParam(defaultValue = "") String bay) {
        LocalDate since = rules.of(me.shop()).surveys().stream()
                .filter(s -> ShopRules.bayKey(s.bay()).equals(ShopRules.bayKey(bay)))
                .reduce((a, b) -> b)
                .orElseThrow(abbex.app.page.NotHere::new)
                .since();
        rules.survey(me, bay.strip(), since, Map.of());
        return new ModelAndView("redirect:/rules");
    }

    private ModelAndView page(Person me, LengthForm form) {
        Reader reader = Reader.of(me);
        ShopRules own = rules.fresh(me.shop());
        ModelAndView page = new ModelAndView("rules", form.fits() ? HttpStatus.OK : HttpStatus.valueOf(422));
        page.addObject(
                "limits",
                Stream.of(Limit.values()).map(limit -> limit(limit, own, form)).toList());
        page.addObject(
                "floors",
                own.newest().stream()
                        .map(survey -> FloorDrawing.of(survey, reader, words))
                        .toList());
        page.addObject(
                "walks",
                ShopRules.walks().stream()
                        .map(walk -> new Way(value(walk), walk.equals(own.walk())))
                        .toList());
        page.addObject("corners", Corner.WALK);
        page.addObject("form", form);
        page.addObject("words", words);
        page.addObject("reads", reads(own.repeatability()));
        page.addObject("enough", Repeatability.ENOUGH);
        return page;
    }

    private LimitLine limit(Limit limit, ShopRules own, LengthForm form) {
        return new LimitLine(
                limit.name(),
                words.say("limit." + limit),
                form.has(limit.name()) ? form.text(limit.name()) : own.typed().getOrDefault(limit, ""),
                usual(limit.usual()),
                form.problem(limit.name()));
    }

    /** On an inch's marks, else in millimetres: rounding it to a tape would say another limit. */
    private static String usual(Length length) {
        LengthUnit unit = length.onInchMarks() ? LengthUnit.INCH : LengthUnit.MILLIMETRE;
        return TapeText.number(length, unit) + " " + unit.symbol();
    }

    private List<ReadLine> reads(Repeatability repeatability) {
        return Stream.of(Method.values())
                .map(method -> {
                    Repeatability.Own own = repeatability.own(method);
                    return new ReadLine(
                            Words.capital(words.say("method." + method)),
                            mm(method.repeatability().mm()),
                            own.freedom() == 0 ? "" : mm(own.pooled()),
                            own.freedom(),
                            own.leftOut(),
                            mm(own.used().standard()),
                            own.enough());
                })
                .toList();
    }

    private static String mm(double standard) {
        return BigDecimal.valueOf(standard).setScale(2, RoundingMode.HALF_UP).toPlainString() + " mm";
    }
}
