package abbex.core.day;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Fits a day together under a limit of time. */
public final class DaySolver {
    /** The solver's own threads: a shop's machine does other things meanwhile. */
    private static final int THREADS = 2;

    /** Most days are known to be the best there is after so many seconds. */
    private static final double QUICK = 0.4;

    private DaySolver() {}

    /** The solver's library does not start on this machine. */
    public static final class NoSolver extends RuntimeException {
        private static final long serialVersionUID = 1;

        NoSolver(Throwable why) {
            super("the day's solver does not start on this machine: " + why.getMessage(), why);
        }
    }

    private static final class Started {
        static {
            Loader.loadNativeLibraries();
        }

        static void once() {
            // The class has loaded the library.
        }
    }

    /**
     * The best plan that is found within the time.
     *
     * @param seconds of the search; a best plan is known to be one sooner
     * @param like a plan to begin with, such as the one that stood before; what no longer fits of it is passed over
     * @throws NoSolver where the library cannot be loaded
     */
    public static DayPlan plan(Day day, double seconds, Optional<DayPlan> like) {
        try {
            Started.once();
        } catch (LinkageError | RuntimeException why) {
            throw new NoSolver(why);
        }
        DayPlan first = start(day, DayStart.quick(day), like);
        DayPlan plan = searched(day, first, Math.min(QUICK, seconds));
        if (plan.best() || seconds <= QUICK) {
            return plan;
        }
        DayPlan start = start(day, DayStart.of(day), Optional.of(plan));
        DayPlan better = searched(day, start, seconds - QUICK - DayStart.SECONDS);
        OptionalDouble bound = OptionalDouble.of(
                Math.max(plan.bound().orElse(0), better.bound().orElse(0)));
        return with(day, (better.cost() <= plan.cost() ? better : plan).placed(), bound);
    }

    private static DayPlan searched(Day day, DayPlan start, double seconds) {
        DayModel model = DayModel.of(day);
        model.begin(start);
        CpSolver solver = new CpSolver();
        solver.getParameters()
                .setMaxTimeInSeconds(seconds)
                .setNumWorkers(THREADS)
                .setRandomSeed(1);
        CpSolverStatus status = solver.solve(model.model());
        if (status == CpSolverStatus.INFEASIBLE || status == CpSolverStatus.MODEL_INVALID) {
            // Leaving everything over is a plan: not to find even that is a fault of ours.
            throw new IllegalStateException(
                    "no plan of the day: " + status + " " + model.model().validate());
        }
        if (status == CpSolverStatus.UNKNOWN) {
            return with(day, start.placed(), OptionalDouble.of(DayBound.of(day)));
        }
        OptionalDouble bound = OptionalDouble.of(Math.max(solver.bestObjectiveBound(), DayBound.of(day)));
        DayPlan found = with(day, model.placed(solver), bound);
        return found.cost() <= start.cost() ? found : with(day, start.placed(), bound);
    }

    /** The plan that stood where it still goes and costs no more than a new one. */
    private static DayPlan start(Day day, DayPlan fresh, Optional<DayPlan> like) {
        return like.filter(before -> goes(day, before))
                .map(before -> with(day, before.placed(), OptionalDouble.empty()))
                .filter(before -> before.cost() <= fresh.cost())
                .orElse(fresh);
    }

    private static boolean goes(Day day, DayPlan before) {
        boolean known = before.placed().stream()
                .allMatch(p -> day.jobs().stream()
                                .anyMatch(j -> j.key().equals(p.job())
                                        && j.stints().size() == p.stints().size())
                        && day.bays().stream().anyMatch(b -> b.name().equals(p.bay()))
                        && day.people().stream().anyMatch(w -> w.key().equals(p.lead())));
        return known && DayRules.clashes(day, before.placed()).isEmpty();
    }

    /** A plan with what is left over of it and what it costs. */
    static DayPlan with(Day day, List<DayPlan.Placed> found, OptionalDouble bound) {
        List<DayPlan.Placed> placed = new ArrayList<>(found);
        placed.sort(Comparator.comparingInt(DayPlan.Placed::begin).thenComparing(DayPlan.Placed::job));
        List<DayJob> left = day.jobs().stream()
                .filter(job -> placed.stream().noneMatch(p -> p.job().equals(job.key())))
                .toList();
        long cost = DayCost.of(day, placed, left.stream().map(DayJob::key).toList());
        return new DayPlan(
                placed, left.stream().map(job -> LeftOver.of(day, job)).toList(), cost, bound, DayCost.unit(day));
    }
}
