package abbex.app.rules;

import abbex.app.drawing.LimitIcon;
import abbex.app.form.Form;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The lead's page of what the shop sets for itself. */
@Controller
class RulesController {
    /** More would not go on one screen (ours). */
    private static final int MOST_BAYS = 40;

    /** Nothing that is set here is longer (ours, against slips of the unit). */
    private static final Length LARGEST = Length.ofInches(12, 0, 1);

    private final Rules rules;
    private final Words words;

    RulesController(Rules rules, Words words) {
        this.rules = rules;
        this.words = words;
    }

    /** A limit to set: what is typed, what it is unless somebody sets it. */
    public record LimitLine(String name, String title, String text, String usual, LimitIcon icon) {}

    /** How well a method's points are found: the default, what the shop's own repeats say, what is reckoned with. */
    public record ReadLine(
            String method, String usual, String own, int freedom, int leftOut, String used, boolean enough) {}

    @GetMapping("/rules")
    ModelAndView rules(@Me Person me) {
        return page(me, Form.blank(me, words));
    }

    @PostMapping("/rules/limits")
    ModelAndView limits(@Me Person me, @RequestParam Map<String, String> typed) {
        Form form = new Form(me, words, typed);
        Map<Limit, Typed> own = new EnumMap<>(Limit.class);
        for (Limit limit : Limit.values()) {
            read(form, limit.name()).ifPresent(length -> {
                if (limit.allows(length.length())) {
                    own.put(limit, length);
                } else {
                    form.problem(
                            limit.name(),
                            "problem.limit",
                            "read",
                            length.raw(),
                            "least",
                            limit.least(),
                            "most",
                            limit.most());
                }
            });
        }
        Limits all = form.fits() ? Limits.of(lengths(own)) : Limits.USUAL;
        if (all.of(Limit.SIDES_ACCEPT).compareTo(all.of(Limit.SIDES_GOOD)) < 0) {
            form.problem(Limit.SIDES_ACCEPT.name(), "problem.limit.order", "good", all.of(Limit.SIDES_GOOD));
        }
        if (!form.fits()) {
            return page(me, form);
        }
        if (!rules.set(me, own, form.edition())
                && form.meanwhile(rules.of(me.shop()).edition(), standing(me))) {
            return page(me, form);
        }
        return new ModelAndView("redirect:/rules?kept=limits");
    }

    private Map<String, String> standing(Person me) {
        Map<Limit, String> typed = rules.of(me.shop()).typed();
        Map<String, String> standing = new LinkedHashMap<>();
        for (Limit limit : Limit.values()) {
            standing.put(limit.name(), typed.getOrDefault(limit, ""));
        }
        return standing;
    }

    private static Optional<Typed> read(Form form, String field) {
        return form.length(field, TapeText.Allowed.ANY, LARGEST).map(read -> new Typed(form.raw(read), read.value()));
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
        Form form = Form.blank(me, words);
        form.problem("way", "problem.choice.unknown", "read", walk);
        return page(me, form);
    }

    @PostMapping("/rules/bays")
    ModelAndView bays(@Me Person me, @RequestParam Map<String, String> typed) {
        Form form = new Form(me, words, typed);
        List<String> names = form.lines("bays", 1000)
                .lines()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
        names.stream()
                .filter(name -> name.length() > 20)
                .findFirst()
                .ifPresent(name -> form.problem("bays", "problem.bay.long", "read", name));
        if (names.size() > MOST_BAYS) {
            form.problem("bays", "problem.bays.many", "most", Integer.toString(MOST_BAYS));
        }
        if (!form.fits()) {
            return page(me, form);
        }
        rules.bays(me, names);
        return new ModelAndView("redirect:/rules?kept=bays");
    }

    private static String value(List<Corner> walk) {
        return walk.stream().map(Enum::name).collect(Collectors.joining(" "));
    }

    @PostMapping("/rules/floors")
    ModelAndView floor(@Me Person me, @RequestParam Map<String, String> typed) {
        Form form = new Form(me, words, typed);
        String bay = form.named("bay", 20, "problem.bay");
        LocalDate since = form.day("since");
        Map<Corner, Typed> pads = new EnumMap<>(Corner.class);
        for (Corner corner : Corner.WALK) {
            read(form, corner.name()).ifPresent(pad -> pads.put(corner, pad));
            if (form.text(corner.name()).isEmpty()) {
                form.problem(corner.name(), "problem.pad", "corner", corner);
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

    private ModelAndView page(Person me, Form form) {
        Reader reader = Reader.of(me);
        ShopRules own = rules.fresh(me.shop());
        ModelAndView page = form.on(new ModelAndView("rules"));
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
        page.addObject("bays", form.text("bays", String.join("\n", own.bays())));
        page.addObject("corners", Corner.WALK);
        page.addObject("edition", own.edition());
        page.addObject("words", words);
        page.addObject("reads", reads(own.repeatability()));
        page.addObject("enough", Repeatability.ENOUGH);
        return page;
    }

    private LimitLine limit(Limit limit, ShopRules own, Form form) {
        return new LimitLine(
                limit.name(),
                words.say("limit." + limit),
                form.text(limit.name(), own.typed().getOrDefault(limit, "")),
                usual(limit.usual()),
                LimitIcon.of(limit.name()));
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
