package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.fitment.Fitments;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.wheels.Fitment;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Probing the tight places of a corner. */
@Controller
class ProbeController {
    /** Nobody probes more at one vehicle (ours). */
    private static final int MOST = 60;

    /** A gap beyond this is no tight place: another unit was meant (ours). */
    private static final Length WIDEST = Length.ofMm(300);

    /** So far behind the hub's face no wheel goes, in mm (ours). */
    private static final double BEHIND = -420;

    private final Jobs jobs;
    private final Fitments fitments;
    private final Probes probes;
    private final CornerCases cases;
    private final ProvePages pages;
    private final Words words;

    ProbeController(Jobs jobs, Fitments fitments, Probes probes, CornerCases cases, ProvePages pages, Words words) {
        this.jobs = jobs;
        this.fitments = fitments;
        this.probes = probes;
        this.cases = cases;
        this.pages = pages;
        this.words = words;
    }

    @PostMapping("/jobs/{id}/prove/probes")
    ModelAndView probe(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Corner corner = ProvePages.corner(job, parameters.get("corner"));
        Map<String, ProvePages.Problem> problems = new LinkedHashMap<>();
        Optional<Fitment> now = fitments.now(job, corner.end());
        if (now.isEmpty()) {
            problems.put("gap", new ProvePages.Problem(words.say("problem.probe.wheel")));
        }
        Optional<Double> clock = clock(parameters.getOrDefault("clock", ""));
        if (clock.isEmpty()) {
            problems.put(
                    "clock",
                    new ProvePages.Problem(Numerals.html(
                            words.say("problem.clock", Reader.of(me), "read", parameters.getOrDefault("clock", "")))));
        }
        Optional<TapeReading> gap = gap(me, parameters.getOrDefault("gap", "").strip(), problems);
        if (probes.of(me.shop(), job.vehicle().id()).size() >= MOST) {
            problems.put("gap", new ProvePages.Problem(words.say("problem.probe.many")));
        }
        Optional<GapReading> probe = clock.flatMap(c -> gap.map(g -> new GapReading(
                ProvePages.choice(ProbePlace.values(), parameters.get("place")),
                c,
                ProvePages.choice(TyreBody.Face.values(), parameters.get("face")),
                g.value(),
                Length.ZERO)));
        if (problems.isEmpty() && probe.orElseThrow().point(TyreBody.of(now.orElseThrow()))[1] < BEHIND) {
            problems.put("gap", new ProvePages.Problem(words.say("problem.probe.hub")));
        }
        if (!problems.isEmpty()) {
            ModelAndView page = pages.corner(me, job, corner, parameters, problems);
            page.setStatus(HttpStatus.valueOf(422));
            return page;
        }
        probes.add(
                me,
                job.vehicle().id(),
                corner,
                probe.orElseThrow(),
                gap.orElseThrow().rawIn(me.likes().unit()),
                now.orElseThrow(),
                cases.standing(job).newest());
        return new ModelAndView("redirect:/jobs/" + id + "/prove?corner=" + corner);
    }

    @PostMapping("/jobs/{id}/prove/probes/{probe}/withdraw")
    String withdraw(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID probe,
            @RequestParam(defaultValue = "LF") String corner) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        if (probes.of(me.shop(), job.vehicle().id()).stream().noneMatch(p -> p.id().equals(probe))) {
            throw new NotHere();
        }
        probes.withdraw(me, job.vehicle().id(), probe);
        return "redirect:/jobs/" + id + "/prove?corner=" + ProvePages.corner(job, corner);
    }

    private Optional<TapeReading> gap(Person me, String raw, Map<String, ProvePages.Problem> problems) {
        TapeParse parse = TapeText.parse(raw, me.likes().unit(), me.likes().tape(), TapeText.Allowed.ZERO_OR_MORE);
        if (parse instanceof TapeParse.Refused refused) {
            problems.put(
                    "gap",
                    new ProvePages.Problem(
                            Numerals.html(words.refusal(refused, Reader.of(me))),
                            refused.offers().stream().findFirst().orElse("")));
            return Optional.empty();
        }
        Optional<TapeReading> gap = parse.asReading();
        if (gap.filter(g -> g.value().compareTo(WIDEST) > 0).isPresent()) {
            boolean millimetres = raw.matches("\\d{1,3}") && !me.likes().unit().metric();
            problems.put(
                    "gap",
                    new ProvePages.Problem(
                            Numerals.html(words.say("problem.probe.wide", Reader.of(me), "read", raw, "most", WIDEST)),
                            millimetres ? raw + " mm" : ""));
            return Optional.empty();
        }
        return gap;
    }

    /** Hours from more than 0 to 12, such as 10 or 10.5. */
    static Optional<Double> clock(String text) {
        return text.strip().matches("\\d{1,2}([.]\\d{1,2})?")
                ? Optional.of(Double.parseDouble(text.strip())).filter(c -> c > 0 && c <= 12)
                : Optional.empty();
    }
}
