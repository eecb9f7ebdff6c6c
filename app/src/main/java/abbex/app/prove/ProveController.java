package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.fitment.Fitments;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.Probe;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import abbex.core.wheels.Fitment;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Probing the tight places of a corner, and what clears there. */
@Controller
class ProveController {
    /** Nobody probes more at one vehicle (ours). */
    private static final int MOST = 60;

    private static final Map<String, Double> MOST_OF =
            Map.of("lower", 250.0, "bump", 300.0, "droop", 300.0, "steer", 60.0, "roll", 15.0);

    private final Jobs jobs;
    private final JobHeads heads;
    private final Fitments fitments;
    private final Probes probes;
    private final Words words;

    ProveController(Jobs jobs, JobHeads heads, Fitments fitments, Probes probes, Words words) {
        this.jobs = jobs;
        this.heads = heads;
        this.fitments = fitments;
        this.probes = probes;
        this.words = words;
    }

    /** A text that was not taken. */
    public record Problem(String text, String offer) {}

    /** A corner to choose; a motorcycle has a front and a rear. */
    public record Chip(String corner, String name, int probes, boolean chosen) {}

    @GetMapping("/jobs/{id}/prove")
    ModelAndView prove(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return page(me, job, corner(parameters.get("corner")), parameters, Map.of());
    }

    @PostMapping("/jobs/{id}/prove/probes")
    ModelAndView probe(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Corner corner = corner(parameters.get("corner"));
        Map<String, Problem> problems = new LinkedHashMap<>();
        Optional<Fitment> now = fitments.now(job, corner.end());
        if (now.isEmpty()) {
            problems.put("gap", new Problem(words.say("problem.probe.wheel"), ""));
        }
        Optional<Double> clock = clock(parameters.getOrDefault("clock", ""));
        if (clock.isEmpty()) {
            problems.put(
                    "clock",
                    new Problem(
                            Numerals.html(
                                    words.say("problem.clock", Reader.of(me), parameters.getOrDefault("clock", ""))),
                            ""));
        }
        String raw = parameters.getOrDefault("gap", "").strip();
        TapeParse gap = TapeText.parse(
                raw, me.likes().unit(), me.likes().tape(), TapeText.Allowed.ZERO_OR_MORE, Length.ofMm(600));
        if (gap instanceof TapeParse.Refused refused) {
            problems.put(
                    "gap",
                    new Problem(
                            Numerals.html(words.refusal(refused, Reader.of(me))),
                            refused.offers().stream().findFirst().orElse("")));
        }
        if (probes.of(me.shop(), job.vehicle().id()).size() >= MOST) {
            problems.put("gap", new Problem(words.say("problem.probe.many"), ""));
        }
        if (!problems.isEmpty()) {
            ModelAndView page = page(me, job, corner, parameters, problems);
            page.setStatus(HttpStatus.valueOf(422));
            return page;
        }
        TapeReading read = gap.asReading().orElseThrow();
        probes.add(
                me,
                job.vehicle().id(),
                corner,
                new Probe(
                        choice(ProbePlace.values(), parameters.get("place")),
                        clock.orElseThrow(),
                        choice(TyreBody.Face.values(), parameters.get("face")),
                        read.value(),
                        Length.ZERO),
                read.rawIn(me.likes().unit()),
                now.orElseThrow());
        return new ModelAndView("redirect:/jobs/" + id + "/prove?corner=" + corner);
    }

    @PostMapping("/jobs/{id}/prove/probes/{probe}/rest")
    String rest(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID probe,
            @RequestParam(defaultValue = "LF") String corner) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        if (probes.of(me.shop(), job.vehicle().id()).stream().noneMatch(p -> p.id().equals(probe))) {
            throw new NotHere();
        }
        probes.rest(me, job.vehicle().id(), probe);
        return "redirect:/jobs/" + id + "/prove?corner=" + corner(corner);
    }

    private ModelAndView page(
            Person me, Job job, Corner corner, Map<String, String> parameters, Map<String, Problem> problems) {
        List<ProbeRow> all = probes.of(me.shop(), job.vehicle().id());
        Map<String, Double> range = new LinkedHashMap<>();
        Map<String, Problem> unfit = new LinkedHashMap<>(problems);
        for (String name : Proofs.RANGE) {
            range.put(name, number(name, corner, parameters.get(name), unfit));
        }
        Optional<Fitment> now = fitments.now(job, corner.end());
        Optional<Fitment> planned = fitments.planned(job, corner.end()).or(() -> now);
        ModelAndView page = new ModelAndView("prove");
        page.addObject("head", heads.head(me.shop(), job.id(), "prove", Reader.of(me)));
        page.addObject(
                "corners",
                Proofs.corners(job).stream()
                        .map(c -> new Chip(
                                c.name(),
                                name(job, c),
                                (int) all.stream().filter(p -> p.corner() == c).count(),
                                c == corner))
                        .toList());
        page.addObject("corner", corner);
        page.addObject("name", name(job, corner));
        page.addObject(
                "view",
                planned.map(f -> ProvePage.of(
                                all.stream().filter(p -> p.corner() == corner).toList(),
                                f,
                                range.get("lower"),
                                Proofs.motion(range),
                                Reader.of(me),
                                words))
                        .orElse(null));
        page.addObject(
                "standing",
                now.map(f -> f.tyre().text() + ", " + f.wheel().text()).orElse(""));
        page.addObject(
                "swept",
                planned.map(f -> f.tyre().text() + ", " + f.wheel().text()).orElse(""));
        page.addObject("range", range);
        page.addObject("typed", parameters);
        page.addObject("problems", unfit);
        page.addObject("probePlaces", ProbePlace.values());
        page.addObject("faces", TyreBody.Face.values());
        return page;
    }

    private String name(Job job, Corner corner) {
        return job.vehicle().kind() == VehicleKind.MOTORCYCLE
                ? Words.capital(words.say("end." + corner.end()))
                : corner.name();
    }

    /** A number of the range; what cannot be taken is said and the usual one stands. */
    private double number(String name, Corner corner, @Nullable String text, Map<String, Problem> problems) {
        double usual = Proofs.usual(name, corner);
        if (text == null || text.isBlank()) {
            return usual;
        }
        if (text.strip().matches("\\d{1,3}([.]\\d{1,2})?")) {
            double value = Double.parseDouble(text.strip());
            if (value <= MOST_OF.get(name)) {
                return value;
            }
        }
        problems.put(name, new Problem(words.say("problem.range." + name), ""));
        return usual;
    }

    /** Hours from more than 0 to 12, such as 10 or 10.5. */
    private static Optional<Double> clock(String text) {
        return text.strip().matches("\\d{1,2}([.]\\d{1,2})?")
                ? Optional.of(Double.parseDouble(text.strip())).filter(c -> c > 0 && c <= 12)
                : Optional.empty();
    }

    private static <E extends Enum<E>> E choice(E[] all, @Nullable String text) {
        return Stream.of(all).filter(e -> e.name().equals(text)).findFirst().orElse(all[0]);
    }

    private static Corner corner(@Nullable String text) {
        return Corner.WALK.stream()
                .filter(c -> c.name().equals(text))
                .findFirst()
                .orElse(Corner.LF);
    }
}
