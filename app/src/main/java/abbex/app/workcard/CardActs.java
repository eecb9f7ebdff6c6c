package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.kit.FittedKits;
import abbex.app.kit.Kits;
import abbex.app.state.ActSource;
import abbex.core.state.OpenWork;
import abbex.core.state.StateAct;
import abbex.core.state.VehicleHistory;
import abbex.core.workcard.CardState;
import abbex.core.workcard.CardStep;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the steps of a card did to the vehicle: what it stands on, what is off or open, and which parts went in. */
@Component
class CardActs implements ActSource {
    private final Cards cards;
    private final Kits kits;

    CardActs(Cards cards, Kits kits) {
        this.cards = cards;
        this.kits = kits;
    }

    @Override
    public List<VehicleHistory.Entry> acts(Job job) {
        Cards.Current current = cards.of(job);
        if (!current.begun()) {
            return List.of();
        }
        List<VehicleHistory.Entry> acts = new ArrayList<>();
        List<Cards.Entry> entries = current.entries();
        for (int i = 0; i < entries.size(); i++) {
            Cards.Entry entry = entries.get(i);
            Optional<CardStep> step = current.card().find(entry.step());
            if (step.isEmpty() || entry.what() != Cards.What.TICKED && entry.what() != Cards.What.OPENED) {
                continue;
            }
            if (moves(step.get())) {
                acts.add(worked(entry, open(current, entries.subList(0, i + 1))));
            }
            if (entry.what() == Cards.What.TICKED) {
                fitted(job, entry, step.get()).ifPresent(acts::add);
            }
        }
        if (!entries.isEmpty()) {
            acts.add(worked(entries.get(entries.size() - 1), current.state().open()));
        }
        return acts;
    }

    private static VehicleHistory.Entry worked(Cards.Entry entry, OpenWork open) {
        return new VehicleHistory.Entry(entry.at(), entry.initials(), new StateAct.Worked(open));
    }

    /** It goes up or down by it, or a wheel comes off or goes on. */
    private static boolean moves(CardStep step) {
        return step.step().role().isPresent()
                || step.step().off().contains("wheel")
                || step.step().on().contains("wheel");
    }

    private static OpenWork open(Cards.Current current, List<Cards.Entry> upTo) {
        return CardState.of(current.card(), current.wanted(), CardFold.of(current.card(), upTo, current.specs()))
                .open();
    }

    /** A step that puts on what the kit brings fits the kit that was chosen then. */
    private Optional<VehicleHistory.Entry> fitted(Job job, Cards.Entry entry, CardStep step) {
        return step.end()
                .map(end -> FittedKits.of(kits.of(job).chosenAt(entry.at()), false, end)
                        .at(end))
                .filter(changed ->
                        step.step().on().stream().anyMatch(changed.parts().fresh()::contains))
                .map(changed -> new VehicleHistory.Entry(entry.at(), entry.initials(), changed));
    }
}
