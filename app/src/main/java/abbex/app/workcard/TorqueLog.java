package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.page.Reader;
import java.util.List;
import org.springframework.stereotype.Service;

/** The torque log of a stay as its sheet prints it. */
@Service
public class TorqueLog {
    private final Cards cards;
    private final CardViews views;

    TorqueLog(Cards cards, CardViews views) {
        this.cards = cards;
        this.views = views;
    }

    /** Every fastener that was tightened or has a figure; none while no card was begun. */
    public List<CardPage.LogRow> of(Job job, Reader reader) {
        return cards.begun(job).isPresent() ? views.whole(job, reader).log() : List.of();
    }
}
