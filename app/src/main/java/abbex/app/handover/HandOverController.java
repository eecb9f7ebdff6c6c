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
import java.util.stream.Stream;
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
    private final Words words;
    private final Clock clock;

    HandOverController(Jobs jobs, JobHeads heads, HandOver handOver, Words words, Clock clock) {
        this.jobs = jobs;
        this.heads = heads;
        this.handOver = handOver;
        this.words = words;
        this.clock = clock;
    }

    /**
     * Something to answer for.
     *
     * @param field name of the choice; that of the reason has {@code _why} behind it
     * @param choices how it may be answered
     */
    public record Item(String field, Words.Said said, List<Answer> choices, String chosen, String why) {}

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
        if (asked.stream().noneMatch(f -> form.has(field(f)) || form.has(why(f))) && !asked.isEmpty()) {
            return new ModelAndView("redirect:/jobs/" + id + "/hand-over");
        }
        Map<String, Handovers.Given> answers = new HashMap<>();
        asked.forEach(found -> answers.put(found.key(), given(form, found)));
        if (asked.stream().anyMatch(Found::stop) && me.role() != Role.LEAD) {
            form.problem("sign", "problem.answer.lead");
        }
        if (!form.fits()) {
            return page(me, job, asked, form);
        }
        int version = handOver.freeze(me, job, answers, clock.instant());
        return sheet(id, version == 0 ? "" : "?version=" + version);
    }

    private static Handovers.Given given(Form form, Found found) {
        Answer answer = form.choice(field(found), Answer.values(), Answer.FIXED);
        String reason = form.line(why(found), LONGEST);
        if (form.text(field(found)).isEmpty()) {
            form.problem(field(found), "problem.answer.none");
        } else if (!answer.fits(found)) {
            form.problem(field(found), "problem.answer.told");
        } else if (answer.needsReason() && reason.isEmpty()) {
            form.problem(why(found), "problem.answer.why");
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
        page.addObject("items", asked.stream().map(f -> item(f, before, form)).toList());
        page.addObject("sign", asked.stream().anyMatch(Found::stop) && me.role() != Role.LEAD);
        return page;
    }

    /** What was answered for it last stands there, and is still to be sent by hand. */
    private Item item(Found found, Map<String, Handovers.Given> before, Form form) {
        Handovers.Given last = before.get(found.key());
        return new Item(
                field(found),
                words.finding(found.finding(), form.reader()),
                Stream.of(Answer.values()).filter(a -> a.fits(found)).toList(),
                form.text(field(found), last == null ? "" : last.answer().name()),
                form.text(why(found), last == null ? "" : last.reason()));
    }

    private static String field(Found found) {
        return "answer-" + found.key().replaceAll("[^A-Za-z0-9]+", "-");
    }

    private static String why(Found found) {
        return field(found) + "_why";
    }

    private static ModelAndView sheet(UUID job, String version) {
        return new ModelAndView("redirect:/jobs/" + job + "/sheet" + version);
    }
}
