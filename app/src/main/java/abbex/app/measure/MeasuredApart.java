package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.state.VehicleStates;
import abbex.core.heights.Height;
import abbex.core.heights.Reading;
import abbex.core.heights.Stage;
import abbex.core.state.StateFinding;
import abbex.core.state.VehicleHistory;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Sheets that were read while the vehicle was up or a wheel was off: whether it stood as it is driven is asked. */
@Service
public class MeasuredApart {
    private final VehicleStates states;

    MeasuredApart(VehicleStates states) {
        this.states = states;
    }

    /** Of every sheet but the first: a vehicle is measured as it arrived before anything is loosened. */
    public List<StateFinding> of(Job job, JobSheets all) {
        List<StateFinding> found = new ArrayList<>();
        for (SheetData sheet : all.sheets()) {
            if (sheet.stage() != Stage.AS_ARRIVED) {
                VehicleHistory history = states.history(job);
                read(sheet)
                        .ifPresent(at -> found.addAll(StateFinding.measured(
                                sheet.stage(), history.at(at).open())));
            }
        }
        return found;
    }

    /** When it was read last. */
    private static Optional<Instant> read(SheetData sheet) {
        return sheet.heights().everything().stream()
                .map(Height::readings)
                .flatMap(List::stream)
                .map(Reading::takenAt)
                .max(Comparator.naturalOrder());
    }
}
