package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Probing the tight places of a corner. */
@Controller
class GapController {
    /** Nobody probes more at one vehicle (ours). */
    private static final int MOST = 60;

    /** A gap beyond this is no tight place: another unit was meant (ours). */
    private static final Length WIDEST = Length.ofMm(300);

    /** So far behind the hub's face no wheel goes, in mm (ours). */
    private static final double BEHIND = -420;

    private final Jobs jobs;
    private final MountedWheels mounted;
    private final MeasuredGaps probes;
    private final CornerCases cases;
    private final CornerPages pages;
    private final Words words;

    GapController(
            Jobs jobs, MountedWheels mounted, MeasuredGaps probes, CornerCases cases, CornerPages pages, Words words) {
        this.jobs = jobs;
        this.mounted = mounted;
        this.probes = probes;
        this.cases = cases;
        this.pages = pages;
        this.words = words;
    }

    @PostMapping("/jobs/{id}/prove/probes")
    ModelAndView probe(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        WheelPlace corner = CornerPages.named(job, form, "gap");
        Optional<Fitment> now = mounted.on(job, corner);
        if (now.isEmpty()) {
            form.problem("gap", "problem.probe.wheel");
        }
        Optional<Double> clock = clock(form);
        Optional<TapeReading> gap = gap(me, form);
        if (probes.of(me.shop(), job.vehicle().id()).size() >= MOST) {
            form.problem("gap", "problem.probe.many");
        }
        ProbePlace place = form.choice("place", ProbePlace.values(), ProbePlace.values()[0]);
        TyreBody.Face face = form.choice("face", TyreBody.Face.values(), TyreBody.Face.TREAD);
        Optional<TapedSpot> spot = clock.flatMap(c -> now.flatMap(n -> TapedSpot.read(form, c, face, n)));
        Optional<GapReading> probe = spot.flatMap(
                s -> gap.map(g -> new GapReading(place, s.clock(), face, g.value(), Length.ZERO, s.spot())));
        if (form.fits() && probe.orElseThrow().point(TyreBody.of(now.orElseThrow()))[1] < BEHIND) {
            form.problem("gap", "problem.probe.hub");
        }
        if (!form.fits()) {
            return pages.corner(me, job, corner, form);
        }
        probes.add(
                me,
                job.vehicle().id(),
                corner,
                probe.orElseThrow(),
                form.raw(gap.orElseThrow()),
                spot.orElseThrow().taped(),
                now.orElseThrow(),
                cases.standing(job).newest());
        again(me, job, form.text("again"));
        return new ModelAndView("redirect:/jobs/" + id + "/prove?corner=" + corner);
    }

    /** The gap that was taped anew counts no more. */
    private void again(Person me, Job job, String former) {
        probes.of(me.shop(), job.vehicle().id()).stream()
                .filter(p -> p.id().toString().equals(former))
                .forEach(p -> probes.withdraw(me, job.vehicle(), p.id()));
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
        probes.withdraw(me, job.vehicle(), probe);
        return "redirect:/jobs/" + id + "/prove?corner=" + CornerPages.corner(job, corner);
    }

    private static Optional<TapeReading> gap(Person me, Form form) {
        Optional<TapeReading> gap = form.needed("gap", TapeText.Allowed.ZERO_OR_MORE, TapeText.LARGEST_HEIGHT);
        if (gap.filter(g -> g.value().compareTo(WIDEST) > 0).isPresent()) {
            String raw = form.text("gap");
            boolean millimetres = raw.matches("\\d{1,3}") && !me.likes().unit().metric();
            form.offering("gap", millimetres ? raw + " mm" : "", "problem.probe.wide", "read", raw, "most", WIDEST);
        }
        return gap;
    }

    /** Hours from more than 0 to 12, such as 10 or 10.5. */
    static Optional<Double> clock(Form form) {
        String text = form.text("clock");
        Optional<Double> clock = text.matches("\\d{1,2}([.]\\d{1,2})?")
                ? Optional.of(Double.parseDouble(text)).filter(c -> c > 0 && c <= 12)
                : Optional.empty();
        if (clock.isEmpty()) {
            form.problem("clock", "problem.clock", "read", text);
        }
        return clock;
    }
}
