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
        DayModel model = DayModel.of(day);
        like.ifPresent(model::begin);
        CpSolver solver = new CpSolver();
        solver.getParameters()
                .setMaxTimeInSeconds(seconds)
                .setNumWorkers(THREADS)
                .setRandomSeed(1);
        CpSolverStatus status = solver.solve(model.model());
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            // Leaving everything over is a plan: not to find even that is a fault of ours, or of the machine.
            throw new IllegalStateException(
                    "no plan of the day: " + status + " " + model.model().validate());
        }
        return with(day, model.placed(solver), OptionalDouble.of(solver.bestObjectiveBound()));
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
                placed, left.stream().map(job -> LeftOver.of(day, job)).toList(), cost, bound);
    }
}
