package abbex.app.align;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.alignment.AlignFinding;
import abbex.core.electronics.VehicleSystem;
import abbex.core.vehicle.End;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Alignment: what an aligner's sheet says, wheel by wheel. */
@Controller
class AlignController {
    private final Jobs jobs;
    private final StayValues values;
    private final AlignWords said;
    private final JobHeads heads;
    private final Words words;

    AlignController(Jobs jobs, StayValues values, AlignWords said, JobHeads heads, Words words) {
        this.jobs = jobs;
        this.values = values;
        this.said = said;
        this.heads = heads;
        this.words = words;
    }

    private Job job(Person me, UUID id) {
        return jobs.find(me.shop(), id)
                .filter(job -> !job.vehicle().kind().singleTrack())
                .orElseThrow(NotHere::new);
    }

    @GetMapping("/jobs/{id}/align")
    ModelAndView page(@Me Person me, @PathVariable UUID id) {
        return page(me, job(me, id), Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/align")
    ModelAndView save(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = job(me, id);
        Form form = new Form(me, words, parameters);
        Map<String, String> kept = AlignForm.read(form);
        if (form.fits() && values.tell(me, job, StayValues.Station.ALIGN, kept, form.edition())) {
            return back(id);
        }
        if (form.fits()) {
            StayValues.Told standing = values.told(job, StayValues.Station.ALIGN);
            kept.keySet().forEach(field -> kept.put(field, standing.text(field)));
            if (!form.meanwhile((int) standing.edition(), kept)) {
                return back(id);
            }
        }
        return page(me, job, form);
    }

    private ModelAndView page(Person me, Job job, Form form) {
        ModelAndView page = form.on(new ModelAndView("align"));
        StayValues.Told told = values.told(job, StayValues.Station.ALIGN);
        page.addObject("head", heads.head(me.shop(), job.id(), "align", form.reader()));
        page.addObject("told", told);
        page.addObject("ends", End.values());
        page.addObject("reaches", AlignFinding.Reach.values());
        page.addObject("systems", VehicleSystem.values());
        page.addObject("hases", VehicleSystem.Has.values());
        page.addObject("dids", VehicleSystem.Did.values());
        page.addObject("view", said.page(job, told, form));
        return page;
    }

    private static ModelAndView back(UUID id) {
        return new ModelAndView("redirect:/jobs/" + id + "/align");
    }
}
