package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.measure.ReadingRow.Act;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.rules.Rules;
import abbex.app.store.Ids;
import abbex.core.heights.MeasuringPoint;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readings that go to the vehicle that they were read on, as they were typed and by whom. */
@Service
class MovedReadings {
    private final Sheets sheets;
    private final ReadingLog log;
    private final Rules rules;
    private final Audit audit;

    MovedReadings(Sheets sheets, ReadingLog log, Rules rules, Audit audit) {
        this.sheets = sheets;
        this.log = log;
        this.rules = rules;
        this.audit = audit;
    }

    /**
     * Readings of a person that were read on another vehicle than the sheet's stand on that one's newest sheet, and no more here.
     *
     * @return spots at which that sheet has readings of that person already; nothing was moved then
     */
    @Transactional
    public List<MeasuringPoint> move(Person by, SheetRow from, Set<MeasuringPoint> spots, Job to, Instant at) {
        SheetRow there = sheets.of(by.shop(), to.id()).newest().orElseThrow().row();
        Stream.of(from.id(), there.id()).sorted().forEach(sheet -> sheets.lock(by.shop(), sheet));
        List<ReadingRow> moved = standing(by, from).stream()
                .filter(row -> row.person().equals(by.id()) && spots.contains(row.spot()))
                .toList();
        List<MeasuringPoint> taken = standing(by, there).stream()
                .filter(row -> row.person().equals(by.id()))
                .map(ReadingRow::spot)
                .toList();
        List<MeasuringPoint> met = moved.stream()
                .map(ReadingRow::spot)
                .filter(taken::contains)
                .distinct()
                .toList();
        if (!met.isEmpty() || moved.isEmpty()) {
            return met;
        }
        for (ReadingRow row : moved) {
            log.append(by, from, row.spot(), Ids.fresh(), Act.WITHDRAW, null, null, row.id(), null, at);
            ReadingRow last = Sheets.last(log.mine(by, there, row.spot(), rules.ways(by.shop())));
            log.bring(by.shop(), there, row, last == null ? null : last.id());
        }
        audit.add(
                by,
                Audit.What.READINGS_MOVED,
                from.seq() + ": " + moved.size() + " – " + to.vehicle().plate() + " " + there.seq());
        return List.of();
    }

    /** Read afresh, for what is written is counted from it. */
    private List<ReadingRow> standing(Person by, SheetRow sheet) {
        return log.current(by.shop(), List.of(sheet.job()), rules.ways(by.shop()))
                .getOrDefault(sheet.id(), List.of());
    }
}
