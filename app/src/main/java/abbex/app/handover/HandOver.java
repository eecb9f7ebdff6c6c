package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.facts.Facts;
import abbex.app.fitment.Fitments;
import abbex.app.ground.Stances;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Sheets;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.prove.Clearances;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** Handing over: the sheet is made and frozen, the vehicle goes out with its return booked. */
@Service
public class HandOver {
    /** A return after two weeks is common practice. */
    private static final int RETURN_DAYS = 14;

    private final Jobs jobs;
    private final Sheets sheets;
    private final Handovers handovers;
    private final Fitments fitments;
    private final Clearances clearances;
    private final Stances stances;
    private final Words words;
    private final SpringTemplateEngine templates;
    private final Audit audit;

    HandOver(
            Jobs jobs,
            Sheets sheets,
            Handovers handovers,
            Fitments fitments,
            Clearances clearances,
            Stances stances,
            Words words,
            SpringTemplateEngine templates,
            Audit audit) {
        this.fitments = fitments;
        this.clearances = clearances;
        this.stances = stances;
        this.audit = audit;
        this.jobs = jobs;
        this.sheets = sheets;
        this.handovers = handovers;
        this.words = words;
        this.templates = templates;
    }

    SheetView view(Job job, JobSheets all, Reader reader) {
        return SheetView.of(
                job,
                all,
                all.judge(job),
                new SheetView.Parts(
                        fitments.of(job, reader),
                        clearances.of(job, reader),
                        clearances.alike(job),
                        stances.of(job, null, OptionalDouble.empty(), reader)),
                reader,
                words);
    }

    /** Everything that goes into the sheet. */
    Facts facts(Job job, JobSheets all) {
        Facts facts = Facts.of(Handovers.facts(job, all));
        facts.add(fitments.facts(job));
        facts.add(clearances.facts(job));
        facts.add(stances.facts(job));
        return facts;
    }

    String body(SheetView view) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("view", view);
        return templates.process("sheet-body", Set.of("body"), context);
    }

    /**
     * Freezes what stands now. The same inputs are not frozen twice, and where nothing can be compared nothing is.
     *
     * @return the version that holds it; 0 when there is none
     */
    @Transactional
    public int freeze(Person by, Job job, Instant at) {
        JobSheets all = sheets.of(by.shop(), job.id());
        SheetView view = view(job, all, Reader.of(by));
        if (!view.complete()) {
            return 0;
        }
        List<Handovers.Version> versions = handovers.of(by.shop(), job.id());
        Facts facts = facts(job, all);
        if (!versions.isEmpty()
                && facts.since(versions.get(versions.size() - 1).facts()).isEmpty()) {
            return versions.size();
        }
        int version = handovers.freeze(by, job.id(), facts, body(view), at);
        audit.add(by, Audit.What.HANDED_OVER, job.vehicle().plate() + " · " + version);
        if (job.where().place() == Job.Place.BAY || job.where().place() == Job.Place.WAITING) {
            LocalDate back = job.dueBack() != null
                    ? job.dueBack()
                    : LocalDate.ofInstant(at, by.likes().zone()).plusDays(RETURN_DAYS);
            jobs.move(
                    by.shop(),
                    job.id(),
                    new Job.Where(Job.Place.OUT, ""),
                    job.holder(),
                    back,
                    java.util.Optional.empty());
        }
        return version;
    }
}
