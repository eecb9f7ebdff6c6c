package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.vehicle.WheelPlace;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The road test: what to prepare, how far was driven, what it left, what it proves. */
@Controller
class RoadController {
    private static final int MOST_MARKS = 40;
    private static final int LONGEST = 200;
    private static final double MOST_BUMP = 300;
    private static final double MOST_LEAN = 15;

    private final Jobs jobs;
    private final RoadTests roads;
    private final CornerCases cases;
    private final RoadPage page;
    private final Words words;

    RoadController(Jobs jobs, RoadTests roads, CornerCases cases, RoadPage page, Words words) {
        this.jobs = jobs;
        this.roads = roads;
        this.cases = cases;
        this.page = page;
        this.words = words;
    }

    @GetMapping("/jobs/{id}/prove/road")
    ModelAndView road(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return page.of(me, job, Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/prove/road")
    ModelAndView drive(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        Map<WheelPlace, Double> bump = new LinkedHashMap<>();
        for (WheelPlace place : job.vehicle().kind().wheelPlaces()) {
            bump.put(
                    place, form.millimetres("bump" + place.name(), 0, MOST_BUMP).orElse(0));
        }
        double lean = form.text("lean").isEmpty()
                ? 0
                : form.number("lean", 0, MOST_LEAN).orElse(0);
        String note = form.line("note", LONGEST);
        RoadTests.Far far = new RoadTests.Far(bump, form.has("locks"), form.has("hung"), lean, note);
        if (form.fits() && !roads.drove(me, job, far)) {
            form.problem("lean", "problem.probe.wheel");
        }
        return form.fits() ? back(id) : page.of(me, job, form);
    }

    @PostMapping("/jobs/{id}/prove/road/{drive}/withdraw")
    ModelAndView withdraw(@Me Person me, @PathVariable UUID id, @PathVariable UUID drive) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        roads.withdraw(me, job, drive);
        return back(id);
    }

    @PostMapping("/jobs/{id}/prove/road/marks")
    ModelAndView mark(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        Drive drive = roads.newest(job).orElseThrow(NotHere::new);
        Form form = new Form(me, words, parameters);
        WheelPlace corner = CornerPages.named(job, form, "corner");
        ProbePlace place = form.choice("place", ProbePlace.values(), ProbePlace.values()[0]);
        TyreBody.Face face = form.choice("face", TyreBody.Face.values(), TyreBody.Face.values()[0]);
        Optional<Double> clock = GapController.clock(form);
        if (clock.isPresent()
                && drive.at(corner, cases.plan(job, corner.end()), cases.standing(job))
                        .mark(place, clock.get(), face)
                        .isEmpty()) {
            form.problem("clock", "problem.mark.reach");
        }
        if (drive.marks().size() >= MOST_MARKS) {
            form.problem("clock", "problem.mark.many");
        }
        if (!form.fits()) {
            return page.of(me, job, form);
        }
        roads.marked(me, job, corner, place, clock.orElseThrow(), face, parameters.getOrDefault("on", ""));
        return back(id);
    }

    @PostMapping("/jobs/{id}/prove/road/marks/{mark}/withdraw")
    ModelAndView withdrawMark(@Me Person me, @PathVariable UUID id, @PathVariable UUID mark) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        roads.withdrawMark(me, job, mark);
        return back(id);
    }

    private static ModelAndView back(UUID id) {
        return new ModelAndView("redirect:/jobs/" + id + "/prove/road");
    }
}
