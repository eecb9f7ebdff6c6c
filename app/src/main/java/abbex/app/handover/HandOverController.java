package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.JobHeads;
import abbex.app.page.Me;
import abbex.app.page.NotHere;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict.Answer;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Handing over: what is still found is answered for, each by itself; a stop needs a lead; until it is printed it can be undone. */
@Controller
class HandOverController {
    private static final int LONGEST = 300;

    private final Jobs jobs;
    private final JobHeads heads;
    private final HandOver handOver;
    private final Leaving leaving;
    private final Words words;
    private final Clock clock;

    HandOverController(Jobs jobs, JobHeads heads, HandOver handOver, Leaving leaving, Words words, Clock clock) {
        this.leaving = leaving;
        this.jobs = jobs;
        this.heads = heads;
        this.handOver = handOver;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/jobs/{id}/hand-over")
    ModelAndView page(@Me Person me, @PathVariable UUID id) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        return handOver.toAnswer(job).isEmpty()
                ? sheet(id, "")
                : page(me, job, handOver.toAnswer(job), Form.blank(me, words));
    }

    @PostMapping("/jobs/{id}/hand-over")
    ModelAndView handOver(@Me Person me, @PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        Job job = jobs.find(me.shop(), id).orElseThrow(NotHere::new);
        List<Found> asked = handOver.toAnswer(job);
        Form form = new Form(me, words, parameters);
        List<List<Found>> groups = Leaving.alike(asked);
        boolean sent = groups.stream()
                .anyMatch(
                        g -> form.has(Leaving.field(g)) || form.has(Leaving.why(g)) || form.has(Leaving.seenField(g)));
        if (!sent && !asked.isEmpty()) {
            return new ModelAndView("redirect:/jobs/" + id + "/hand-over");
        }
        boolean lead = me.role() == Role.LEAD;
        Map<String, Handovers.Given> answers = new HashMap<>();
        for (List<Found> group : groups) {
            if (lead || !group.get(0).stop()) {
                Handovers.Given given = given(form, group);
                group.forEach(found -> answers.put(found.key(), given));
            }
        }
        if (!lead && asked.stream().anyMatch(Found::stop)) {
            form.problem("sign", "problem.answer.lead");
        }
        if (!form.fits()) {
            return page(me, job, asked, form);
        }
        int version = handOver.freeze(me, job, answers, clock.instant());
        return sheet(id, version == 0 ? "" : "?version=" + version);
    }

    private static Handovers.Given given(Form form, List<Found> group) {
        String field = Leaving.field(group);
        Answer answer = form.choice(field, Answer.values(), Answer.FIXED);
        String reason = form.line(Leaving.why(group), LONGEST);
        if (form.text(field).isEmpty()) {
            form.problem(field, "problem.answer.none");
        } else if (!answer.fits(group.get(0))) {
            form.problem(field, "problem.answer.told");
        } else if (answer.needsReason() && reason.isEmpty()) {
            form.problem(Leaving.why(group), "problem.answer.why");
        } else if (form.has(Leaving.seenField(group))
                && !form.text(Leaving.seenField(group)).equals(Leaving.seen(group))) {
            form.problem(field, "problem.answer.changed");
        }
        return new Handovers.Given(answer, reason);
    }

    @PostMapping("/jobs/{id}/hand-over/undo")
    String undo(@Me Person me, @PathVariable UUID id, @RequestParam(defaultValue = "0") int version) {
        handOver.takeBack(me, jobs.find(me.shop(), id).orElseThrow(NotHere::new), version);
        return "redirect:/jobs/" + id + "/sheet";
    }

    private ModelAndView page(Person me, Job job, List<Found> asked, Form form) {
        Map<String, Handovers.Given> before = handOver.answered(job);
        ModelAndView page = form.on(new ModelAndView("hand-over"));
        page.addObject("head", heads.head(me.shop(), job.id(), "handover", form.reader()));
        Leaving.View view = leaving.view(job, asked, before, form);
        boolean lead = me.role() == Role.LEAD;
        page.addObject("view", view);
        page.addObject("lead", lead);
        page.addObject("sign", !lead && !view.holds().isEmpty());
        int holding =
                lead ? 0 : view.holds().stream().mapToInt(g -> g.lines().size()).sum();
        page.addObject(
                "go",
                holding == 0
                        ? words.say("handover.go")
                        : words.say("handover.go.held", form.reader(), "count", holding));
        return page;
    }

    private static ModelAndView sheet(UUID job, String version) {
        return new ModelAndView("redirect:/jobs/" + job + "/sheet" + version);
    }
}
