package abbex.app.board;

import abbex.app.arrive.Finds;
import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.page.Me;
import abbex.app.page.Reader;
import abbex.app.people.Person;
import abbex.app.verdict.JobVerdicts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Finds a vehicle from anywhere. */
@Controller
class FindController {
    private static final int LONGEST = 80;

    /** So many of those that were found say how far they are: more is not read while somebody types. */
    private static final int TOLD = 5;

    private final Finds finds;
    private final Jobs jobs;
    private final JobVerdicts verdicts;

    FindController(Finds finds, Jobs jobs, JobVerdicts verdicts) {
        this.finds = finds;
        this.jobs = jobs;
        this.verdicts = verdicts;
    }

    @GetMapping("/find")
    ModelAndView find(
            @Me Person me,
            @RequestParam(defaultValue = "") String q,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        String asked = q.length() > LONGEST ? q.substring(0, LONGEST) : q;
        ModelAndView page = new ModelAndView(htmx == null ? "find" : "find :: found");
        page.addObject("asked", asked.strip());
        List<Finds.Found> found = finds.of(me.shop(), asked);
        page.addObject("found", found);
        page.addObject("work", work(me, found));
        return page;
    }

    /** How far the cards of those that are here are, by their stays. */
    private Map<UUID, String> work(Person me, List<Finds.Found> found) {
        Map<UUID, String> work = new HashMap<>();
        found.stream()
                .filter(f -> f.where().place() == Job.Place.BAY || f.where().place() == Job.Place.WAITING)
                .limit(TOLD)
                .forEach(f -> jobs.find(me.shop(), f.job())
                        .ifPresent(job -> work.put(f.job(), verdicts.work(job, Reader.of(me)))));
        return work;
    }
}
