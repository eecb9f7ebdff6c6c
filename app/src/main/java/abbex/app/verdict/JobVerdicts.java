package abbex.app.verdict;

import abbex.app.align.Alignments;
import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.day.ReadyTimes;
import abbex.app.fitment.Fitments;
import abbex.app.ground.Stances;
import abbex.app.kit.KitPlans;
import abbex.app.measure.JobSheets;
import abbex.app.measure.MeasuredApart;
import abbex.app.measure.Sheets;
import abbex.app.page.JobMark;
import abbex.app.page.JobMarks;
import abbex.app.page.NotHere;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.parts.PartFindings;
import abbex.app.prove.Clearances;
import abbex.app.set.SetFindings;
import abbex.app.settle.Returns;
import abbex.app.state.VehicleStates;
import abbex.app.store.Reads;
import abbex.app.workcard.Cards;
import abbex.core.figure.Finding;
import abbex.core.settling.SettlingFinding;
import abbex.core.state.OpenWork;
import abbex.core.state.StateFinding;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict;
import abbex.core.verdict.Station;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Judges stays: the public service of the package. */
@Service
public class JobVerdicts implements JobMarks {
    private final Jobs jobs;
    private final Sheets sheets;
    private final KitPlans plans;
    private final Cards cards;
    private final Fitments fitments;
    private final Clearances clearances;
    private final Stances stances;
    private final SetFindings set;
    private final PartFindings parts;
    private final Alignments alignments;
    private final Returns returns;
    private final MeasuredApart apart;
    private final VehicleStates states;
    private final ReadyTimes times;
    private final Clock clock;
    private final Words words;
    private final Reads reads;

    JobVerdicts(
            Jobs jobs,
            Sheets sheets,
            KitPlans plans,
            Cards cards,
            Fitments fitments,
            Clearances clearances,
            Stances stances,
            SetFindings set,
            PartFindings parts,
            Alignments alignments,
            Returns returns,
            MeasuredApart apart,
            VehicleStates states,
            ReadyTimes times,
            Clock clock,
            Words words,
            Reads reads) {
        this.states = states;
        this.times = times;
        this.clock = clock;
        this.apart = apart;
        this.jobs = jobs;
        this.sheets = sheets;
        this.plans = plans;
        this.cards = cards;
        this.fitments = fitments;
        this.clearances = clearances;
        this.stances = stances;
        this.set = set;
        this.parts = parts;
        this.alignments = alignments;
        this.returns = returns;
        this.words = words;
        this.reads = reads;
    }

    /** Judged once while nothing of the vehicle or its shop is written. */
    public JobVerdict of(Job job) {
        return reads.ofVehicle(
                job.shop(), job.vehicle().id(), List.of(JobVerdicts.class, job.shop(), job.id()), () -> judge(job));
    }

    private JobVerdict judge(Job job) {
        List<Found> found = new ArrayList<>();
        JobSheets all = sheets.of(job.shop(), job.id());
        if (all.newest().isPresent()) {
            add(found, Station.HEIGHTS, all.judge(job).drops().findings());
        }
        add(found, Station.PLAN, plans.findings(job));
        boolean lowered = all.sheets().stream()
                .anyMatch(sheet -> sheet.stage().lowered() && !sheet.heights().isEmpty());
        add(found, Station.ARRIVE, worn(job));
        add(found, Station.HEIGHTS, apart.of(job, all));
        add(found, Station.FIT, cards.findings(job, lowered));
        add(found, Station.FIT, parts.of(job));
        add(found, Station.SET, set.of(job));
        add(found, Station.WHEELS, fitments.findings(job));
        add(found, Station.CLEARANCE, clearances.findings(job));
        add(found, Station.GROUND, stances.findings(job));
        add(found, Station.ALIGN, alignments.findings(job));
        add(found, Station.RETURN, returns.of(job).findings());
        return new JobVerdict(found);
    }

    /** What was worn when it came is answered for when it leaves. */
    private static List<StateFinding> worn(Job job) {
        return job.worn().isBlank()
                ? List.of()
                : List.of(new StateFinding.WornAtArrival(job.worn().strip()));
    }

    private static void add(List<Found> found, Station station, Collection<? extends Finding> findings) {
        findings.forEach(f -> found.add(new Found(station, f)));
    }

    @Override
    public JobMark of(UUID shop, UUID job, Reader reader) {
        return mark(jobs.find(shop, job).orElseThrow(NotHere::new), reader);
    }

    /** The judgement as floor and tag show it: it is clear only once something was compared. */
    public JobMark mark(Job job, Reader reader) {
        JobVerdict verdict = of(job);
        Map<String, String> stations = new TreeMap<>();
        for (Station station : Station.values()) {
            verdict.worst(station).filter(Found::toAnswer).ifPresent(f -> {
                String mark = mark(f);
                stations.merge(FindingLinks.strip(station), mark, (one, other) -> one.equals("stop") ? one : other);
            });
        }
        OpenWork open = states.now(job).open();
        JobMark.Work work = work(job, open, reader);
        Map<String, String> filled = filled(job, verdict);
        return verdict.worst()
                .filter(Found::toAnswer)
                .map(worst -> new JobMark(
                        mark(worst),
                        words.finding(worst.finding(), reader).word(),
                        words.finding(worst.finding(), reader).title(),
                        FindingLinks.to(worst, open),
                        stations,
                        filled,
                        work))
                .orElseGet(() -> new JobMark("", "", "", "", Map.of(), filled, work));
    }

    /** Where a finding of a stay is seen to, below the address of the stay. */
    public String link(Job job, Found found) {
        return FindingLinks.to(found, states.now(job).open());
    }

    /** How far the card of a stay is, in words; empty where none is under way. */
    public String work(Job job, Reader reader) {
        JobMark.Work work = work(job, states.now(job).open(), reader);
        return work == null ? "" : work.text();
    }

    /** How far the card is, what the vehicle stands on, when it is ready; null where no card is under way. */
    private JobMark.@Nullable Work work(Job job, OpenWork open, Reader reader) {
        if (!open.underWay()) {
            return null;
        }
        OpenWork.Hand hand = open.hand().orElseThrow();
        ReadyTimes.Ready ready = times.of(job, reader.zone());
        StringBuilder text = new StringBuilder(
                words.say("card.at", reader, "number", hand.number(), "of", open.steps(), "footing", open.footing()));
        ready.about().ifPresent(at -> text.append(words.say("card.ready", reader, "at", reader.clock(at))));
        ready.promised().ifPresent(at -> text.append(words.say("card.promised", reader, "at", promised(at, reader))));
        return new JobMark.Work(
                text.toString(),
                words.say("card.next", reader, "number", hand.number(), "title", hand.title()),
                "fit/" + hand.key());
    }

    /** Today by the clock, else by the day as well. */
    private String promised(Instant at, Reader reader) {
        LocalDate day = LocalDate.ofInstant(at, reader.zone());
        return day.equals(LocalDate.ofInstant(clock.instant(), reader.zone())) ? reader.clock(at) : reader.day(at);
    }

    /** The stations of which something was recorded, whatever it says. */
    public Set<Station> looked(Job job) {
        JobVerdict verdict = of(job);
        Set<Station> looked = EnumSet.noneOf(Station.class);
        for (Station station : Station.values()) {
            if (verdict.worst(station).filter(f -> !f.finding().open()).isPresent()) {
                looked.add(station);
            }
        }
        if (sheets.of(job.shop(), job.id()).newest().isPresent()) {
            looked.add(Station.HEIGHTS);
        }
        if (cards.begun(job).isPresent()) {
            looked.add(Station.FIT);
        }
        if (set.begun(job)) {
            looked.add(Station.SET);
        }
        if (fitments.compared(job)) {
            looked.add(Station.WHEELS);
        }
        if (clearances.measured(job)) {
            looked.add(Station.CLEARANCE);
        }
        if (alignments.of(job).measured()) {
            looked.add(Station.ALIGN);
        }
        return looked;
    }

    /** A plan is done where an end of it is told, wheels and clearance are where nothing of them is open; the stay, once the vehicle has left. */
    private Map<String, String> filled(Job job, JobVerdict verdict) {
        Map<String, String> filled = new TreeMap<>();
        for (Station station : List.of(Station.WHEELS, Station.CLEARANCE)) {
            verdict.worst(station)
                    .ifPresent(found -> filled.put(
                            FindingLinks.strip(station), verdict.open().containsKey(station) ? "begun" : "done"));
        }
        if (plans.of(job).plan().ends().stream().anyMatch(Optional::isPresent)) {
            filled.put("plan", verdict.worst(Station.PLAN).isPresent() ? "begun" : "done");
        }
        cards.begun(job).ifPresent(state -> filled.put("fit", state.finished() ? "done" : "begun"));
        if (job.where().place() == Job.Place.OUT || job.where().place() == Job.Place.GONE) {
            filled.put("handover", "done");
        }
        if (set.begun(job)) {
            filled.put("set", verdict.worst(Station.SET).isPresent() ? "begun" : "done");
        }
        if (alignments.of(job).measured()) {
            filled.put("align", "done");
        }
        if (returns.of(job).back().isPresent()) {
            boolean looked =
                    verdict.found().stream().noneMatch(f -> f.finding() instanceof SettlingFinding.NotLookedAt);
            filled.put("return", looked ? "done" : "begun");
        }
        return filled;
    }

    private static String mark(Found found) {
        return found.stop() ? "stop" : "look";
    }
}
