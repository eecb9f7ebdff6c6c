package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.fitment.Fitments;
import abbex.app.kit.KitPlans;
import abbex.app.measure.RideHeights;
import abbex.app.measure.Standing;
import abbex.app.store.Reads;
import abbex.core.heights.Contribution;
import abbex.core.heights.Stage;
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

    CornerCases(
            MeasuredGaps probes,
            Fitments fitments,
            SweepPlans plans,
            Drives drives,
            NeededGaps gaps,
            RideHeights heights,
            KitPlans kits,
            Reads reads) {
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
        SweepPlan plan =
                plans.of(job.shop(), job.vehicle().id(), end, job.vehicle().kind());
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

    /** The same for other wheels. */
    CornerCase of(Job job, WheelPlace corner, Fitment planned) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(CornerCases.class, job.shop(), job.vehicle().id(), corner, planned),
                () -> read(job, corner, planned));
    }

    private CornerCase read(Job job, WheelPlace corner, Fitment planned) {
        Standing standing = standing(job);
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
