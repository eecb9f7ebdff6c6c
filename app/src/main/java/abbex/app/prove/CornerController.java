package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.clearance.Cure.Dose;
import abbex.core.clearance.Remedy;
import abbex.core.vehicle.WheelPlace;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What clears at a corner: the page, its cut at any pose, how far it is swept, and the remedies in the plan. */
@Controller
class CornerController {
    private final Jobs jobs;
    private final CornerCases cases;
    private final SweepPlans plans;
    private final CornerPages pages;
    private final CornerDrawings drawings;
    private final Words words;

    CornerController(
            Jobs jobs, CornerCases cases, SweepPlans plans, CornerPages pages, CornerDrawings drawings, Words words) {
        this.drawings = drawings;
        this.words = words;
        this.jobs = jobs;
        this.cases = cases;
        this.plans = plans;
        this.pages = pages;
    }

    @GetMapping("/jobs/{id}/prove")
    ModelAndView prove(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return pages.corner(
                me, job, CornerPages.corner(job, parameters.get("corner")), new Form(me, words, parameters));
    }

    /** Cut and clock alone, as the hand moves. */
    @GetMapping("/jobs/{id}/prove/cut")
    ModelAndView cut(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        CornerCase corner = pages.chosen(job, CornerPages.corner(job, parameters.get("corner")), parameters)
                .orElseThrow(NotHere::new);
        ModelAndView page = new ModelAndView("corner :: posed");
        page.addObject("name", pages.name(job, corner.corner()));
        page.addObject("cut", drawings.cut(corner, CornerDrawings.pose(corner, parameters), Reader.of(me)));
        return page;
    }

    @PostMapping("/jobs/{id}/prove/range")
    ModelAndView range(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        WheelPlace corner = CornerPages.corner(job, parameters.get("corner"));
        Form form = new Form(me, words, parameters);
        SweepPlan before = cases.plan(job, corner.end());
        SweepPlan plan = CornerPages.read(before, form).after(before);
        if (form.fits() && !plans.save(me, job.vehicle().id(), corner.end(), plan, form.edition())) {
            form.meanwhile(
                    cases.planEdition(job, corner.end()),
                    CornerPages.texts(cases.plan(job, corner.end()), Reader.of(me)));
        }
        return form.fits() ? back(id, corner) : pages.corner(me, job, corner, form);
    }

    @PostMapping("/jobs/{id}/prove/remedies")
    ModelAndView take(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        WheelPlace corner = CornerPages.corner(job, parameters.get("corner"));
        doses(parameters.getOrDefault("doses", ""))
                .forEach(dose -> plans.take(me, job.vehicle().id(), corner, dose));
        return back(id, corner);
    }

    @PostMapping("/jobs/{id}/prove/remedies/{remedy}/withdraw")
    ModelAndView withdraw(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID remedy,
            @RequestParam(defaultValue = "LF") String corner) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        plans.withdraw(me, job.vehicle(), remedy);
        return back(id, CornerPages.corner(job, corner));
    }

    /** It is on the vehicle: what it is for is measured again next. */
    @PostMapping("/jobs/{id}/prove/remedies/{remedy}/fitted")
    ModelAndView fitted(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID remedy,
            @RequestParam(defaultValue = "LF") String corner) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        plans.fit(me, job.vehicle().id(), remedy);
        return back(id, CornerPages.corner(job, corner));
    }

    @PostMapping("/jobs/{id}/prove/remedies/{remedy}/off")
    ModelAndView off(
            @Me Person me,
            @PathVariable UUID id,
            @PathVariable UUID remedy,
            @RequestParam(defaultValue = "LF") String corner) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        plans.takeOff(me, job.vehicle(), remedy);
        return back(id, CornerPages.corner(job, corner));
    }

    private static ModelAndView back(UUID id, WheelPlace corner) {
        return new ModelAndView("redirect:/jobs/" + id + "/prove?corner=" + corner);
    }

    /** Such as {@code ROLL_LIP:2,LESS_DROP:3}; anything else is nothing. */
    private static List<Dose> doses(String text) {
        List<Dose> doses = new ArrayList<>();
        for (String part : text.split(",")) {
            String[] both = part.split(":");
            Optional<Remedy> remedy = Stream.of(Remedy.values())
                    .filter(r -> r.name().equals(both[0]))
                    .findFirst();
            if (remedy.isEmpty() || both.length != 2 || !both[1].matches("\\d{1,2}")) {
                return List.of();
            }
            int steps = Integer.parseInt(both[1]);
            if (steps < 1 || steps > remedy.get().most() || doses.size() == 2) {
                return List.of();
            }
            doses.add(new Dose(remedy.get(), steps));
        }
        return doses;
    }
}
