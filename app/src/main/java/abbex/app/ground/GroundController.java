package abbex.app.ground;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.VehicleFacts.Measure;
import abbex.app.drawing.ProfileDrawing;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.TapeFace;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.prove.CornerPages;
import abbex.core.ground.Profile;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The vehicle over the ground: what lies low, what it climbs, its lamps. */
@Controller
class GroundController {
    private static final int MOST = 40;
    private static final int MOST_POINTS = 20;
    private static final int LONGEST_NAME = 40;
    /** No ground is longer (ours). */
    private static final Length LONGEST = Length.ofMm(50_000);

    private final Jobs jobs;
    private final CornerPages pages;
    private final LowPoints points;
    private final Stances stances;
    private final Words words;

    GroundController(Jobs jobs, CornerPages pages, LowPoints points, Stances stances, Words words) {
        this.jobs = jobs;
        this.pages = pages;
        this.points = points;
        this.stances = stances;
        this.words = words;
    }

    /** Where a distance along the vehicle is taken from. */
    enum From {
        AHEAD,
        BETWEEN,
        BEHIND
    }

    @GetMapping("/jobs/{id}/ground")
    ModelAndView ground(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return page(me, job, new Form(me, words, parameters));
    }

    /** The stance alone, as the hand moves. */
    @GetMapping("/jobs/{id}/ground/at")
    ModelAndView at(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        GroundPage view = view(me, job, parameters);
        if (view.drawing() == null) {
            throw new NotHere();
        }
        ModelAndView page = new ModelAndView("ground :: stance");
        page.addObject("view", view);
        return page;
    }

    /** A ground as far as its points can be read, while they are typed. */
    @GetMapping("/jobs/{id}/ground/drawn")
    ModelAndView drawn(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "") String points) {
        jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<Profile.Point> read = profile(me, new Form(me, words, Map.of("points", points)));
        ModelAndView page = new ModelAndView("ground :: drawn");
        page.addObject("drawn", read.size() < 2 || Profile.folded(read) >= 0 ? null : ProfileDrawing.of(read));
        return page;
    }

    private GroundPage view(Person me, Job job, Map<String, String> parameters) {
        return stances.of(job, parameters.get("ground"), along(parameters.get("along")), Reader.of(me));
    }

    private static OptionalDouble along(@Nullable String text) {
        return text != null && text.strip().matches("-?\\d{1,6}")
                ? OptionalDouble.of(Double.parseDouble(text.strip()))
                : OptionalDouble.empty();
    }

    @PostMapping("/jobs/{id}/ground/points")
    ModelAndView point(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        LowPoint.Kind kind = form.choice("kind", LowPoint.Kind.values(), LowPoint.Kind.UNDERSIDE);
        String name = form.line("name", LONGEST_NAME);
        From from = form.choice("from", From.values(), From.AHEAD);
        boolean lift = kind == LowPoint.Kind.NOSE_LIFT;
        Optional<TapeReading> away =
                lift ? Optional.empty() : form.needed("away", TapeText.Allowed.ZERO_OR_MORE, LONGEST);
        Optional<TapeReading> height = form.needed("height", TapeText.Allowed.ZERO_OR_MORE, LONGEST);
        Optional<Length> wheelbase = job.vehicle().measure(Measure.WHEELBASE);
        if (wheelbase.isEmpty()) {
            form.problem("away", "ground.missing.wheelbase");
        }
        if (points.of(me.shop(), job.vehicle().id()).size() >= MOST) {
            form.problem("name", "problem.low.many");
        }
        if (!form.fits()) {
            return page(me, job, form);
        }
        Length distance = away.map(TapeReading::value).orElse(Length.ZERO);
        Length along = switch (from) {
            case AHEAD -> distance;
            case BETWEEN -> distance.negate();
            case BEHIND -> distance.plus(wheelbase.orElseThrow()).negate();
        };
        points.add(
                me,
                job,
                kind.name(),
                name,
                away.map(form::raw).orElse(""),
                lift ? "" : from.name(),
                along,
                form.raw(height.orElseThrow()),
                height.orElseThrow().value());
        return new ModelAndView("redirect:/jobs/" + id + "/ground");
    }

    @PostMapping("/jobs/{id}/ground/own")
    ModelAndView own(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        String name = form.named("called", LONGEST_NAME, "problem.ground.name");
        List<Profile.Point> profile = profile(me, form);
        if (points.grounds(me.shop(), job.vehicle().id()).size() >= MOST) {
            form.problem("called", "problem.low.many");
        }
        if (!form.fits()) {
            return page(me, job, form);
        }
        UUID ground = points.ground(me, job.vehicle().id(), name, new Profile(profile));
        return new ModelAndView("redirect:/jobs/" + id + "/ground?ground=" + ground);
    }

    @PostMapping("/jobs/{id}/ground/{item}/withdraw")
    String withdraw(@Me Person me, @PathVariable UUID id, @PathVariable UUID item) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        points.withdraw(me, job.vehicle(), item);
        return "redirect:/jobs/" + id + "/ground";
    }

    /** A point a line, along and up apart by a comma; the first that cannot be taken is named. */
    private static List<Profile.Point> profile(Person me, Form form) {
        List<Profile.Point> read = new ArrayList<>();
        String[] lines = form.text("points").split("\\R|;");
        for (int i = 0; i < lines.length && form.at("points") == null; i++) {
            String[] both = lines[i].split(",", -1);
            Optional<Double> along = both.length == 2 ? mm(me, both[0]) : Optional.empty();
            Optional<Double> up = both.length == 2 ? mm(me, both[1]) : Optional.empty();
            if (along.isEmpty() || up.isEmpty()) {
                form.problem(
                        "points", "problem.ground.line", "line", Integer.toString(i + 1), "read", lines[i].strip());
            } else {
                read.add(new Profile.Point(along.get(), up.get()));
            }
        }
        if (read.size() < 2 || read.size() > MOST_POINTS) {
            form.problem("points", "problem.ground.few", "least", "2", "most", Integer.toString(MOST_POINTS));
        }
        int folded = Profile.folded(read);
        if (folded >= 0) {
            form.problem(
                    "points",
                    "problem.ground.folds",
                    "line",
                    Integer.toString(folded + 1),
                    "read",
                    lines[folded].strip());
        }
        return read;
    }

    private static Optional<Double> mm(Person me, String raw) {
        return TapeText.parse(raw.strip(), me.likes().unit(), me.likes().tape(), TapeText.Allowed.ANY, LONGEST)
                .asReading()
                .map(r -> r.value().mm());
    }

    private ModelAndView page(Person me, Job job, Form form) {
        ModelAndView page = form.on(pages.frame("ground", me, job, null, "ground"));
        page.addObject("view", view(me, job, form.texts()));
        page.addObject("low", points.of(me.shop(), job.vehicle().id()));
        page.addObject("kinds", LowPoint.Kind.values());
        page.addObject("froms", From.values());
        page.addObject("measured", stances.measured(job));
        page.addObject("inches", !me.likes().unit().metric());
        page.addObject("tape", TapeFace.of(me.likes().tape(), me.likes().unit()));
        page.addObject(
                "wheelbase",
                job.vehicle().measure(Measure.WHEELBASE).map(Length::mm).orElse(0.0));
        page.addObject("drawn", null);
        return page;
    }
}
