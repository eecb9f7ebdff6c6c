package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.measure.Sheets;
import abbex.core.setting.SettingFinding;
import java.util.List;
import org.springframework.stereotype.Service;

/** What the station has to say in the judgement of a stay. */
@Service
public class SetFindings {
    private final Settings settings;
    private final Sheets sheets;

    SetFindings(Settings settings, Sheets sheets) {
        this.settings = settings;
        this.sheets = sheets;
    }

    public List<SettingFinding> of(Job job) {
        return SetCase.of(job, settings.told(job), sheets.of(job.shop(), job.id()), settings.moves(job))
                .map(SetCase::toMeasure)
                .filter(corners -> !corners.isEmpty())
                .map(corners -> List.<SettingFinding>of(new SettingFinding.TurnedNotMeasured(corners)))
                .orElse(List.of());
    }

    /** Something was turned. */
    public boolean begun(Job job) {
        return !settings.moves(job).isEmpty();
    }
}
