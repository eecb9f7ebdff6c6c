package abbex.app.handover;

import abbex.app.align.Alignments;
import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.facts.Facts;
import abbex.app.fitment.Fitments;
import abbex.app.ground.Stances;
import abbex.app.kit.KitPlans;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Sheets;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.parts.PartNumbers;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.plan.PlannedText;
import abbex.app.prove.Clearances;
import abbex.app.verdict.JobVerdicts;
import abbex.app.workcard.Offers;
import abbex.app.workcard.TorqueLog;
import abbex.core.heights.Stage;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict.Answer;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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
    private final PlannedText planned;
    private final TorqueLog torques;
    private final KitPlans plans;
    private final Words words;
    private final SpringTemplateEngine templates;
    private final Audit audit;
    private final JobVerdicts verdicts;
    private final Withdrawals withdrawals;
    private final Papers papers;
    private final Onward.Asked onward;
    private final Alignments alignments;
    private final AsLeft left;
    private final PartNumbers numbers;
    private final Learning learning;
    private final Offers offers;

    HandOver(
            Jobs jobs,
            Sheets sheets,
            Handovers handovers,
            Fitments fitments,
            Clearances clearances,
            Stances stances,
            PlannedText planned,
            TorqueLog torques,
            KitPlans plans,
            Words words,
            SpringTemplateEngine templates,
            Audit audit,
            JobVerdicts verdicts,
            Withdrawals withdrawals,
            Papers papers,
            Onward.Asked onward,
            Alignments alignments,
            AsLeft left,
            PartNumbers numbers,
            Learning learning,
            Offers offers) {
        this.offers = offers;
        this.learning = learning;
        this.onward = onward;
        this.alignments = alignments;
        this.left = left;
        this.numbers = numbers;
        this.papers = papers;
        this.verdicts = verdicts;
        this.withdrawals = withdrawals;
        this.fitments = fitments;
        this.clearances = clearances;
        this.stances = stances;
        this.planned = planned;
        this.torques = torques;
        this.plans = plans;
        this.audit = audit;
        this.jobs = jobs;
        this.sheets = sheets;
        this.handovers = handovers;
        this.words = words;
        this.templates = templates;
    }

    /**
     * @param answers what was answered at handing over, by the key of what was found; none while it is not handed over
     * @param at when it leaves: the return is counted from there
     */
    SheetView view(Job job, JobSheets all, Map<String, Handovers.Given> answers, Reader reader, Instant at) {
        return SheetView.of(
                job,
                all,
                all.judge(job),
                new SheetView.Parts(
                        fitments.of(job, reader),
                        clearances.of(job, reader),
                        clearances.alike(job),
                        stances.of(job, null, OptionalDouble.empty(), reader),
                        stances.sideView(job),
                        verdicts.of(job),
                        answers,
                        planned.of(job, all.judge(job).drops(), reader),
                        torques.of(job, reader),
                        offers.of(job, reader),
                        verdicts.looked(job),
                        onward.of(job, settled(all) ? "" : reader.date(back(job, at, reader.zone())), reader)),
                reader,
                words);
    }

    /** What somebody has to answer for before the vehicle leaves. */
    List<Found> toAnswer(Job job) {
        return verdicts.of(job).toAnswer();
    }

    /** What was answered for at an earlier handing over. */
    Map<String, Handovers.Given> answered(Job job) {
        return handovers.answers(job.shop(), job.id());
    }

    /** Everything that goes into the sheet. */
    Facts facts(Job job, JobSheets all) {
        Facts facts = Facts.of(Handovers.facts(job, all));
        facts.add(fitments.facts(job));
        facts.add(clearances.facts(job));
        facts.add(stances.facts(job));
        facts.add(torques.facts(job));
        facts.add(alignments.facts(job));
        facts.add(left.facts(job));
        facts.add(numbers.facts(job));
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
     * @param answers for everything that is to be answered, by its key
     * @return the version that holds it; 0 when there is none
     */
    @Transactional
    int freeze(Person by, Job job, Map<String, Handovers.Given> answers, Instant at) {
        return freeze(by, job, answers, at, true);
    }

    private int freeze(Person by, Job job, Map<String, Handovers.Given> answers, Instant at, boolean paper) {
        JobSheets all = sheets.of(by.shop(), job.id());
        SheetView view = view(job, all, answers, Reader.of(by), at);
        if (!view.complete()) {
            return 0;
        }
        List<Handovers.Version> versions = handovers.of(by.shop(), job.id());
        Facts facts = facts(job, all);
        if (!versions.isEmpty()
                && facts.since(versions.get(versions.size() - 1).facts()).isEmpty()) {
            return versions.get(versions.size() - 1).number();
        }
        int version = handovers.freeze(by, job, facts, body(view), answers, at);
        if (paper) {
            handovers.of(by.shop(), job.id()).stream()
                    .filter(v -> v.number() == version)
                    .forEach(v -> papers.make(by, job, v));
        }
        audit.add(by, Audit.What.HANDED_OVER, job.vehicle().plate() + " · " + version);
        plans.learn(job);
        learning.learn(job, all);
        out(by, job, all, at);
        return version;
    }

    /** Out with a return booked; what was measured settled has nothing more to come back for. */
    private void out(Person by, Job job, JobSheets all, Instant at) {
        if (settled(all)) {
            jobs.move(by.shop(), job.id(), new Job.Where(Job.Place.GONE, ""), job.holder(), null, Optional.empty());
        } else if (job.where().place() == Job.Place.BAY || job.where().place() == Job.Place.WAITING) {
            LocalDate back = back(job, at, by.likes().zone());
            jobs.move(by.shop(), job.id(), new Job.Where(Job.Place.OUT, ""), job.holder(), back, Optional.empty());
        }
    }

    private static boolean settled(JobSheets all) {
        return all.newest().filter(s -> s.stage() == Stage.SETTLED).isPresent();
    }

    /** The day that was agreed, else two weeks on. */
    private static LocalDate back(Job job, Instant at, ZoneId zone) {
        return job.dueBack() != null
                ? job.dueBack()
                : LocalDate.ofInstant(at, zone).plusDays(RETURN_DAYS);
    }

    /** Hands over with the customer told of all that is still found, its papers made when they are asked for; nothing is handed over so while there is a stop. */
    public int told(Person by, Job job, Instant at) {
        Map<String, Handovers.Given> told = new HashMap<>();
        for (Found found : toAnswer(job)) {
            if (found.stop()) {
                return 0;
            }
            told.put(found.key(), new Handovers.Given(Answer.TOLD, ""));
        }
        return freeze(by, job, told, at, false);
    }

    /** The newest version as long as it can be taken back: it is not on paper yet. */
    static Optional<Handovers.Version> revocable(List<Handovers.Version> versions) {
        return versions.isEmpty()
                ? Optional.empty()
                : Optional.of(versions.get(versions.size() - 1)).filter(v -> !v.printed());
    }

    /** Takes the newest version back: a vehicle that left with it stands again where it stood. */
    @Transactional
    public void takeBack(Person by, Job job, int number) {
        revocable(handovers.of(by.shop(), job.id()))
                .filter(v -> v.number() == number)
                .ifPresent(version -> {
                    withdrawals.add(
                            by,
                            job.vehicle().id(),
                            version.id(),
                            Audit.What.HAND_OVER_UNDONE,
                            job.vehicle().plate() + " · " + number);
                    plans.forget(job);
                    learning.forget(job);
                    Handovers.Before before = version.before();
                    Job.Place here = job.where().place();
                    if (before != null && (here == Job.Place.OUT || here == Job.Place.GONE)) {
                        jobs.move(by.shop(), job.id(), before.where(), before.holder(), before.due(), Optional.empty());
                    }
                });
    }
}
