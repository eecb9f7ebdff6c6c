package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.fitment.Fitments;
import abbex.app.measure.Sheets;
import abbex.core.clearance.ClearanceModel;
import abbex.core.heights.SheetState;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The wheels that stand on a vehicle: those that its newest sheet names, else the set that is marked as on the vehicle. */
@Component
class MountedWheels {
    private final Sheets sheets;
    private final Fitments fitments;
    private final SweepPlans plans;

    MountedWheels(Sheets sheets, Fitments fitments, SweepPlans plans) {
        this.plans = plans;
        this.sheets = sheets;
        this.fitments = fitments;
    }

    /** With what was fitted to them at a corner, such as a spacer. */
    Optional<Fitment> on(Job job, WheelPlace corner) {
        return on(job, corner.end())
                .map(wheels -> plans.taken(job.shop(), job.vehicle().id(), corner).stream()
                        .filter(t -> t.fitted().isPresent())
                        .reduce(
                                wheels,
                                (on, t) -> ClearanceModel.fitment(
                                        on, t.dose().remedy(), t.dose().steps()),
                                (one, other) -> other));
    }

    Optional<Fitment> on(Job job, End end) {
        return sheets.of(job.shop(), job.id())
                .newest()
                .flatMap(sheet -> sheet.heights().state().said(SheetState.Item.WHEEL_SET))
                .flatMap(name -> fitments.named(job, name, end))
                .or(() -> fitments.now(job, end));
    }
}
