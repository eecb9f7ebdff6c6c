package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.core.heights.Judgement;
import abbex.core.heights.Limits;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** All sheets of a job, in order. */
public record JobSheets(List<SheetData> sheets) {
    public Optional<SheetData> before() {
        return sheets.stream().findFirst();
    }

    /** The newest sheet after the first. */
    public Optional<SheetData> now() {
        return sheets.size() < 2 ? Optional.empty() : Optional.of(sheets.get(sheets.size() - 1));
    }

    public Optional<SheetData> newest() {
        return sheets.isEmpty() ? Optional.empty() : Optional.of(sheets.get(sheets.size() - 1));
    }

    public Optional<SheetData> find(UUID sheet) {
        return sheets.stream().filter(s -> s.row().id().equals(sheet)).findFirst();
    }

    /** The first sheet against the newest, and all of them as one truth. */
    public Judgement judge(Job job) {
        return judge(job, sheets.size() - 1);
    }

    /** The same with the sheet that is looked at; the newest while it is the first. */
    Judgement judge(Job job, SheetData shown) {
        int number = sheets.indexOf(shown);
        return judge(job, number == 0 ? sheets.size() - 1 : number);
    }

    private Judgement judge(Job job, int shown) {
        return Judgement.of(
                job.vehicle().vehicle(),
                sheets.stream().map(SheetData::heights).toList(),
                shown,
                job.advertised(),
                Limits.USUAL);
    }
}
