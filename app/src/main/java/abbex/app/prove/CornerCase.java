package abbex.app.prove;

import abbex.app.measure.Standing;
import abbex.core.clearance.ClearanceModel;
import abbex.core.clearance.Cure;
import abbex.core.clearance.Eye;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.LocatedGap;
import abbex.core.clearance.Needed;
import abbex.core.clearance.Remedies;
import abbex.core.clearance.Remedy;
import abbex.core.clearance.RoadTest;
import abbex.core.clearance.Verdict;
import abbex.core.units.Length;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * All that is known of what clears at a corner: what was probed and what a drive said of it, what is planned, how far it is
 * swept, and which remedies are in the plan. What follows from it is computed once, when it is first asked for.
 *
 * @param known places, in the order they were found
 * @param planned wheel and tyre that are to clear
 * @param taken remedies for it, planned or fitted
 * @param withPlan what is only planned counts as done
 * @param drive the newest road test
 * @param needed how much air the shop asks for
 * @param standing how low the vehicle stands and is planned, which its sheets and the plan tell
 */
record CornerCase(
        WheelPlace corner,
        List<Known> known,
        Fitment planned,
        SweepPlan plan,
        List<SweepPlans.Taken> taken,
        boolean withPlan,
        Optional<Drive> drive,
        Needed needed,
        Standing standing,
        Follows follows) {
    /** What was computed of a case so far; several who ask at once compute the same. */
    static final class Follows {
        private volatile @Nullable ClearanceModel house;
        private volatile @Nullable List<Judged> judged;
        private volatile @Nullable List<Cure> cures;
    }

    /**
     * A place.
     *
     * @param raw the gap as typed; empty for a mark
     * @param taped where on the tyre, as typed: along the tread and across the face; empty where the eye told
     * @param read what a mark says; empty for what left none
     * @param moved true when the drive put it elsewhere than the probe had
     */
    record Known(
            UUID id,
            LocatedGap probed,
            String raw,
            String taped,
            String by,
            Instant at,
            Optional<RoadTest.Mark> read,
            boolean moved) {
        boolean mark() {
            return raw.isEmpty();
        }
    }

    /** A place and what became of it. */
    record Judged(Known known, Verdict verdict) {}

    CornerCase {
        known = List.copyOf(known);
        taken = List.copyOf(taken);
    }

    static CornerCase of(
            WheelPlace corner,
            List<MeasuredGap> probes,
            Fitment planned,
            SweepPlan plan,
            List<SweepPlans.Taken> taken,
            Optional<Drive> drive,
            Needed needed,
            Standing standing) {
        List<Known> known = new ArrayList<>();
        List<Drive.Mark> spoken = new ArrayList<>();
        Optional<RoadTest> test = drive.map(d -> d.at(corner, plan, standing));
        List<Drive.Mark> marks = new ArrayList<>(drive.map(Drive::marks).orElse(List.of()).stream()
                .filter(m -> m.corner() == corner)
                .toList());
        for (MeasuredGap row : probes) {
            LocatedGap probed =
                    new LocatedGap(row.probe(), row.measured(), standing.at(row.sheet(), corner), LocatedGap.BY_HAND);
            // A mark speaks of every probe at its spot; none of them may pass for one that left none.
            Optional<Drive.Mark> mark = marks.stream()
                    .filter(m ->
                            touching(m, at(drive), corner, standing).probe().sameSpot(row.probe()))
                    .findFirst();
            boolean driven = drive.isPresent() && row.at().isBefore(drive.get().at());
            Optional<RoadTest.Mark> read = mark.flatMap(m -> test.flatMap(t -> t.mark(probed)));
            LocatedGap now = read.map(RoadTest.Mark::probed)
                    .or(() -> mark.map(m -> touching(m, at(drive), corner, standing)))
                    .orElseGet(() -> driven ? test.map(t -> t.unmarked(probed)).orElse(probed) : probed);
            mark.ifPresent(spoken::add);
            known.add(new Known(
                    row.id(), now, row.raw(), row.spot().text(), row.by(), row.at(), read, !now.equals(probed)));
        }
        marks.removeAll(spoken);
        for (Drive.Mark mark : marks) {
            Optional<RoadTest.Mark> read = test.flatMap(t -> t.mark(mark.place(), mark.clock(), mark.face()));
            LocatedGap at =
                    read.map(RoadTest.Mark::probed).orElseGet(() -> touching(mark, at(drive), corner, standing));
            known.add(new Known(mark.id(), at, "", "", mark.by(), at(drive).at(), read, false));
        }
        return new CornerCase(corner, known, planned, plan, taken, false, drive, needed, standing, new Follows());
    }

    /** The same with all that is planned done. */
    CornerCase done() {
        return new CornerCase(corner, known, planned, plan, taken, true, drive, needed, standing, new Follows());
    }

    /** Some of its remedies are planned and not on the vehicle. */
    boolean planning() {
        return taken.stream().anyMatch(t -> t.fitted().isEmpty());
    }

    private static Drive at(Optional<Drive> drive) {
        return drive.orElseThrow();
    }

    /** What nothing that was driven reaches still left its mark: it counts as touching where it stands. */
    private static LocatedGap touching(Drive.Mark mark, Drive drive, WheelPlace corner, Standing standing) {
        return new LocatedGap(
                new GapReading(mark.place(), mark.clock(), mark.face(), Length.ZERO, Length.ZERO),
                drive.on().get(corner.end()),
                standing.at(drive.sheet(), corner),
                RoadTest.MARK);
    }

    /** What stands there with the remedies that are in the plan. */
    ClearanceModel house() {
        ClearanceModel made = follows.house;
        if (made == null) {
            made = model();
            follows.house = made;
        }
        return made;
    }

    private ClearanceModel model() {
        List<ClearanceModel.Obstacle> obstacles = new ArrayList<>();
        for (Known place : known) {
            ClearanceModel one = bare(List.of(place.probed()));
            for (SweepPlans.Taken t : taken) {
                // What was probed after the body was worked on has it in its gap already.
                if (withPlan && t.dose().remedy().shapes() && place.at().isBefore(since(t))) {
                    one = one.with(t.dose().remedy(), t.dose().steps());
                }
            }
            obstacles.addAll(one.obstacles());
        }
        ClearanceModel house = new ClearanceModel(obstacles, planned, plan.worn(), plan.motion(corner), needed);
        for (SweepPlans.Taken t : taken) {
            if (!t.dose().remedy().shapes() && (withPlan || t.fitted().isPresent() && moves(t))) {
                house = house.with(t.dose().remedy(), t.dose().steps());
            }
        }
        return house;
    }

    private static Instant since(SweepPlans.Taken taken) {
        return taken.fitted().map(SweepPlans.Fitting::at).orElse(taken.at());
    }

    /** How low it stands is told by its sheets; all else of a remedy by nothing but that it was fitted. */
    private static boolean moves(SweepPlans.Taken taken) {
        return taken.dose().remedy() != Remedy.LESS_DROP;
    }

    /**
     * As one place stands: a remedy counts for it only where the gap was measured after it was fitted. Until then the place is
     * what it was.
     */
    private ClearanceModel stands(Known place) {
        ClearanceModel one = new ClearanceModel(
                bare(List.of(place.probed())).obstacles(), planned, plan.worn(), plan.motion(corner), needed);
        for (SweepPlans.Taken t : taken) {
            if (t.on(place.at()) && !t.dose().remedy().shapes() && moves(t)) {
                one = one.with(t.dose().remedy(), t.dose().steps());
            }
        }
        return one;
    }

    private ClearanceModel bare(List<LocatedGap> probed) {
        return ClearanceModel.of(probed, planned, plan.worn(), standing.planned(corner), plan.motion(corner));
    }

    /** Every place with its verdict, worst first. */
    List<Judged> judged() {
        List<Judged> made = follows.judged;
        if (made == null) {
            made = judge();
            follows.judged = made;
        }
        return made;
    }

    /** What can be done about places that do not clear, the cheapest first. */
    List<Cure> cures() {
        List<Cure> made = follows.cures;
        if (made == null) {
            made = Remedies.find(house());
            follows.cures = made;
        }
        return made;
    }

    private List<Judged> judge() {
        boolean apart = !withPlan && taken.stream().anyMatch(t -> t.fitted().isPresent());
        List<Verdict> verdicts = apart
                ? known.stream().map(place -> stands(place).verdicts().get(0)).toList()
                : house().verdicts();
        List<Judged> judged = new ArrayList<>();
        for (int i = 0; i < known.size(); i++) {
            judged.add(new Judged(known.get(i), verdicts.get(i)));
        }
        judged.sort(Comparator.comparingDouble(
                j -> j.verdict().least().gap() - j.verdict().needed()));
        return List.copyOf(judged);
    }

    Eye eye() {
        return Eye.of(house());
    }

    /** How much lower than as arrived it is planned, with what remedies take back, mm. */
    double lower() {
        return standing.planned(corner)
                - taken.stream()
                        .filter(t -> withPlan && t.dose().remedy() == Remedy.LESS_DROP)
                        .mapToDouble(t -> t.dose().amount())
                        .sum();
    }

    /** True when all that is swept was driven on these wheels and as low. */
    boolean driven() {
        return drive.isPresent()
                && !plan.chains()
                && drive.get()
                        .at(corner, plan, standing)
                        .proves(planned, lower(), house().motion().range());
    }
}
