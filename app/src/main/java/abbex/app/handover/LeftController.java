package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The settings as they are left, entered before the vehicle goes. */
@Controller
class LeftController {
    private final Jobs jobs;
    private final JobHeads heads;
    private final Words words;
    private final AsLeft left;
    private final StayValues values;

    LeftController(Jobs jobs, JobHeads heads, Words words, AsLeft left, StayValues values) {
        this.jobs = jobs;
        this.heads = heads;
        this.words = words;
        this.left = left;
        this.values = values;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id).orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/left")
    ModelAndView page(@Me Person me, @PathVariable UUID id) {
        return page(me, job(me, id), Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/left")
    ModelAndView save(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        Map<String, String> kept = AsLeft.read(form, job.vehicle().kind());
        if (form.fits() && values.tell(me, job, StayValues.Station.LEFT, kept, form.edition())) {
            return sheet(id);
        }
        if (form.fits()) {
            StayValues.Told standing = left.told(job);
            kept.keySet().forEach(field -> kept.put(field, standing.text(field)));
            if (!form.meanwhile((int) standing.edition(), kept)) {
                return sheet(id);
            }
        }
        return page(me, job, form);
    }

    private ModelAndView page(Person me, Job job, Form form) {
        ModelAndView page = form.on(new ModelAndView("left"));
        page.addObject("head", heads.head(me.shop(), job.id(), "handover", form.reader()));
        page.addObject("told", left.told(job));
        page.addObject("threads", AsLeft.threads(job.vehicle().kind()));
        page.addObject("clicks", AsLeft.CLICKS);
        return page;
    }

    private static ModelAndView sheet(UUID id) {
        return new ModelAndView("redirect:/jobs/" + id + "/sheet");
    }
}
