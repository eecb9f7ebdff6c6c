package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.workcard.Cards;
import abbex.core.parts.Bill;
import abbex.core.parts.OldNew;
import abbex.core.parts.PartFinding;
import java.util.List;
import org.springframework.stereotype.Service;

/** What the one verdict has to hear of a stay's parts: a public service of the package. */
@Service
public class PartFindings {
    private final PartLog log;
    private final ShelfLog shelf;
    private final OldNewLog beside;
    private final Cards cards;

    PartFindings(PartLog log, ShelfLog shelf, OldNewLog beside, Cards cards) {
        this.log = log;
        this.shelf = shelf;
        this.beside = beside;
        this.cards = cards;
    }

    /** A stay of whose parts nothing was said, in a shop whose shelf is right, costs nothing. */
    public List<PartFinding> of(Job job) {
        List<ShelfLog.Item> below = shelf.items(job.shop()).stream()
                .filter(item -> item.count() < 0)
                .toList();
        boolean measured = !beside.of(job).isEmpty();
        if (log.entries(job).isEmpty() && below.isEmpty() && !measured) {
            return List.of();
        }
        Bill bill = log.bill(job);
        int counted = (int) bill.lines().stream()
                .filter(line -> ShelfLog.of(below, line).isPresent())
                .count();
        List<OldNew> pairs = measured ? beside.pairs(job, bill) : List.of();
        return bill.findings(cards.needs(job).raised(), pairs, counted);
    }
}
