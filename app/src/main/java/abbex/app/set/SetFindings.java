package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.measure.Sheets;
import abbex.core.setting.SettingFinding;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** What the station has to say in the judgement of a stay. */
@Service
public class SetFindings {
    private final Settings settings;
    private final Sheets sheets;
    private final KitPlans plans;

    SetFindings(Settings settings, Sheets sheets, KitPlans plans) {
        this.plans = plans;
        this.settings = settings;
        this.sheets = sheets;
    }

    public List<SettingFinding> of(Job job) {
        List<SettingFinding> found = new ArrayList<>();
        SetCase.of(job, settings.told(job), sheets, settings.moves(job), () -> plans.of(job))
                .ifPresent(at -> {
                    if (!at.toMeasure().isEmpty()) {
                        found.add(new SettingFinding.TurnedNotMeasured(at.toMeasure()));
                    }
                    at.exchanged().ifPresent(which -> found.add(new SettingFinding.TypedExchanged(which, at.method())));
                    if (!at.stale().isEmpty()) {
                        found.add(new SettingFinding.ReadBeforeTurned(at.stale()));
                    }
                });
        return found;
    }

    /** Something was turned. */
    public boolean begun(Job job) {
        return !settings.moves(job).isEmpty();
    }
}
