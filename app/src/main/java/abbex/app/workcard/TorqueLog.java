package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.facts.Fact;
import abbex.app.page.Reader;
import abbex.core.torque.Tightening;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
        return cards.begun(job).isPresent()
                ? views.whole(job, cards.of(job), reader).log()
                : List.of();
    }

    /** What of the card goes into a sheet: every fastener that was tightened, and every step that was done another way. */
    public List<Fact> facts(Job job) {
        List<Fact> facts = new ArrayList<>();
        cards.begun(job)
                .ifPresent(state -> cards.of(job).card().steps().forEach(step -> {
                    for (Step.Fastener fastener : state.fasteners(step)) {
                        Tightening is = state.tightening(step.fastener(fastener));
                        is.reading()
                                .ifPresent(reading -> facts.add(Fact.of(
                                        Fact.Kind.TORQUE,
                                        List.of(Fact.line(fastener.name()), where(step)),
                                        String.format(Locale.ROOT, "%.1f N·m", reading.newtonMetres()),
                                        is.state().name())));
                    }
                    state.otherwise(step.key())
                            .ifPresent(o -> facts.add(Fact.of(
                                    Fact.Kind.OTHERWISE,
                                    List.of(Fact.line(step.step().title()), where(step)),
                                    Fact.line(o.reason()),
                                    Fact.line(o.limit()))));
                }));
        return facts;
    }

    /** A step of a later round is another than that of the first. */
    private static String where(CardStep step) {
        return step.round() > 1
                ? step.place().code() + " " + step.round()
                : step.place().code();
    }
}
