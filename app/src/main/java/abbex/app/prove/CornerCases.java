package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.fitment.Fitments;
import abbex.app.kit.KitPlans;
import abbex.app.measure.RideHeights;
import abbex.app.measure.Standing;
import abbex.app.store.Reads;
import abbex.core.clearance.Remedy;
import abbex.core.figure.Reason;
import abbex.core.heights.Contribution;
import abbex.core.heights.HeightFormula;
import abbex.core.heights.Stage;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/** Brings together what is known of the corners of a stay. */
@Service
class CornerCases {
    private final Reads reads;
    private final MeasuredGaps probes;
    private final Fitments fitments;
    private final SweepPlans plans;
    private final Drives drives;
    private final NeededGaps gaps;
    private final RideHeights heights;
    private final KitPlans kits;
    private final MountedWheels mounted;

    CornerCases(
            MeasuredGaps probes,
            Fitments fitments,
            SweepPlans plans,
            Drives drives,
            NeededGaps gaps,
            RideHeights heights,
            KitPlans kits,
            MountedWheels mounted,
            Reads reads) {
        this.mounted = mounted;
        this.reads = reads;
        this.heights = heights;
        this.kits = kits;
        this.probes = probes;
        this.fitments = fitments;
        this.plans = plans;
        this.drives = drives;
        this.gaps = gaps;
    }

    /** What was saved of an end; until the kit is in, what comes of the kit is the plan where nobody said another. */
    SweepPlan plan(Job job, End end) {
        SweepPlan plan = plans.of(job.shop(), job.vehicle(), end);
        Standing standing = heights.of(job);
        boolean lowered = standing.newestStage()
                .filter(stage -> stage != Stage.AS_ARRIVED)
                .isPresent();
        OptionalDouble drop = kits.of(job).drop(end);
        OptionalDouble stop = kits.of(job).toStop(end);
        return lowered || drop.isEmpty()
                ? plan
                : plan.promised(standing.now(end) + drop.getAsDouble()).stopping(stop);
    }

    /** How often the plan of an end was saved. */
    int planEdition(Job job, End end) {
        return plans.edition(job.shop(), job.vehicle().id(), end);
    }

    /** How low the vehicle stands by its sheets, and is planned by both ends' plans and by what raises it again. */
    Standing intended(Job job) {
        List<Contribution> parts = new ArrayList<>();
        for (End end : End.values()) {
            parts.addAll(plan(job, end).contributions(end));
            double raised = job.vehicle().kind().wheelPlaces().stream()
                    .filter(place -> place.end() == end)
                    .flatMap(place -> plans.taken(job.shop(), job.vehicle().id(), place).stream())
                    .filter(t ->
                            t.dose().remedy() == Remedy.LESS_DROP && t.fitted().isEmpty())
                    .mapToDouble(t -> t.dose().amount())
                    .max()
                    .orElse(0);
            if (raised > 0) {
                Estimate up = new Estimate(Length.ofRoundedMm(-raised), Uncertainty.NONE);
                Estimate now = heights.of(job).heights().now(end);
                if (plan(job, end).lower().isEmpty()) {
                    parts.add(new Contribution("", end, now, Reason.of(HeightFormula.PLANNED, now)));
                }
                parts.add(new Contribution("", end, up, Reason.of(HeightFormula.PLANNED, up)));
            }
        }
        return heights.of(job).planning(parts);
    }

    /** How low the vehicle stands by its sheets, and is planned by both ends' plans. */
    Standing standing(Job job) {
        List<Contribution> parts = new ArrayList<>();
        for (End end : End.values()) {
            parts.addAll(plan(job, end).contributions(end));
        }
        return heights.of(job).planning(parts);
    }

    /** What is planned, else what stands there; empty while nobody has said what stands there. */
    Optional<CornerCase> of(Job job, WheelPlace corner) {
        return fitments.planned(job, corner.end())
                .or(() -> fitments.now(job, corner.end()))
                .map(planned -> of(job, corner, planned));
    }

    /** On the wheels that it stands on, as low as it stands; empty where that is what is planned, or not known. */
    Optional<CornerCase> asItStands(Job job, WheelPlace corner) {
        Optional<Fitment> on = mounted.on(job, corner.end());
        return lowered(job)
                ? on.filter(wheels -> !same(job, corner, wheels))
                        .map(wheels -> of(job, corner, wheels, heights.of(job)))
                : Optional.empty();
    }

    private boolean lowered(Job job) {
        return heights.of(job)
                .newestStage()
                .filter(stage -> stage != Stage.AS_ARRIVED)
                .isPresent();
    }

    /** It was lowered, and stands on the wheels and as low as is planned. */
    boolean standsAsPlanned(Job job, WheelPlace corner) {
        return lowered(job)
                && mounted.on(job, corner.end())
                        .filter(wheels -> same(job, corner, wheels))
                        .isPresent();
    }

    /** What is planned stands there already. */
    private boolean same(Job job, WheelPlace corner, Fitment on) {
        double apart = standing(job).planned(corner) - heights.of(job).now(corner);
        return of(job, corner).filter(planned -> planned.planned().equals(on)).isPresent() && Math.abs(apart) < ALIKE;
    }

    /** Heights that no tape tells apart, mm (ours). */
    private static final double ALIKE = 0.1;

    /** The same for other wheels. */
    CornerCase of(Job job, WheelPlace corner, Fitment planned) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(CornerCases.class, job.shop(), job.vehicle().id(), corner, planned),
                () -> read(job, corner, planned, standing(job)));
    }

    private CornerCase of(Job job, WheelPlace corner, Fitment on, Standing now) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(CornerCases.class, "now", job.shop(), job.vehicle().id(), corner, on),
                () -> read(job, corner, on, now));
    }

    private CornerCase read(Job job, WheelPlace corner, Fitment planned, Standing standing) {
        return CornerCase.of(
                corner,
                probes.of(job.shop(), job.vehicle().id()).stream()
                        .filter(p -> p.corner() == corner)
                        .toList(),
                planned,
                plan(job, corner.end()).travelling(standing.travel(corner)),
                plans.taken(job.shop(), job.vehicle().id(), corner),
                drives.newest(job.shop(), job.vehicle().id()),
                gaps.of(job.shop()),
                standing);
    }
}
