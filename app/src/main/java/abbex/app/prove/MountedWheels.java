package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.fitment.Fitments;
import abbex.app.measure.Sheets;
import abbex.core.heights.SheetState;
import abbex.core.vehicle.End;
import abbex.core.wheels.Fitment;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The wheels that stand on a vehicle: those that its newest sheet names, else the set that is marked as on the vehicle. */
@Component
class MountedWheels {
    private final Sheets sheets;
    private final Fitments fitments;

    MountedWheels(Sheets sheets, Fitments fitments) {
        this.sheets = sheets;
        this.fitments = fitments;
    }

    Optional<Fitment> on(Job job, End end) {
        return sheets.of(job.shop(), job.id())
                .newest()
                .flatMap(sheet -> sheet.heights().state().said(SheetState.Item.WHEEL_SET))
                .flatMap(name -> fitments.named(job, name, end))
                .or(() -> fitments.now(job, end));
    }
}
