package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.kit.KitPlans;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.prove.Clearances;
import abbex.core.kit.KitFinding;
import abbex.core.kit.Row;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What a kit asks for beside itself: to buy, to cut, and to book. */
@Component
class ToBuy {
    private final Clearances clearances;
    private final Words words;

    ToBuy(Clearances clearances, Words words) {
        this.clearances = clearances;
        this.words = words;
    }

    List<PlanPage.Buy> of(Job job, KitPlans.Planned planned, Reader reader) {
        List<PlanPage.Buy> buys = new ArrayList<>();
        clearances.planned(job).forEach(f -> {
            Words.Said said = words.finding(f, reader);
            buys.add(new PlanPage.Buy(said.title(), said.text()));
        });
        for (KitFinding finding : planned.plan().findings()) {
            String key = buy(finding);
            if (!key.isEmpty()) {
                buys.add(buy(key));
            }
        }
        if (planned.plan().ends().stream().anyMatch(Optional::isPresent)) {
            aligned(job, planned).ifPresent(key -> buys.add(buy(key)));
            buys.add(buy("LAMPS"));
            boolean springs = planned.plan().ends().stream()
                    .flatMap(Optional::stream)
                    .anyMatch(p -> p.lines().stream().anyMatch(l -> l.row() == Row.SPRING || l.row() == Row.BOX));
            if (springs) {
                buys.add(buy("RETURN"));
            }
        }
        return buys.stream().distinct().toList();
    }

    /** Camber and toe move with the drop on independent ends alone; a live or dead axle that was loosened is looked at. */
    private static Optional<String> aligned(Job job, KitPlans.Planned planned) {
        PerEnd<Architecture> suspension =
                new PerEnd<>(job.vehicle().front(), job.vehicle().rear());
        List<End> lowered = Stream.of(End.values())
                .filter(end -> planned.plan().ends().get(end).isPresent())
                .toList();
        if (job.vehicle().kind().singleTrack()) {
            return lowered.contains(End.REAR) ? Optional.of("LINED_UP") : Optional.empty();
        }
        boolean moves = lowered.stream().anyMatch(end -> !suspension.get(end).oneBeam());
        return Optional.of(moves ? "ALIGNMENT" : "STRAIGHT");
    }

    private static String buy(KitFinding finding) {
        if (finding instanceof KitFinding.LooseAtDroop || finding instanceof KitFinding.MayBeLoose) {
            return "DAMPERS";
        }
        if (finding instanceof KitFinding.OnStops
                || finding instanceof KitFinding.PerhapsOnStops
                || finding instanceof KitFinding.LittleTravelLeft) {
            return "STOPS";
        }
        return finding instanceof KitFinding.LittleTravel ? "TRIM" : "";
    }

    private PlanPage.Buy buy(String key) {
        return new PlanPage.Buy(words.say("buy." + key), words.say("buy." + key + ".why"));
    }
}
