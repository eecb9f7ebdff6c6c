package abbex.core.clearance;

import abbex.core.clearance.Cure.Dose;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Finds what makes a corner clear: each remedy alone, and where none does, two together; every one proven by a sweep. */
public final class Remedies {
    /** So many are worth reading. */
    private static final int MOST = 6;

    private static final List<Remedy> TRIED = List.of(Remedy.values());

    private Remedies() {}

    /**
     * The cheapest cures first; none for a corner that is clear, and none where nothing here helps. Each amount is the least in
     * the remedy's own steps: one step less does not do.
     */
    public static List<Cure> find(ClearanceModel corner) {
        if (corner.obstacles().isEmpty() || corner.clear()) {
            return List.of();
        }
        List<Cure> cures = new ArrayList<>();
        for (Remedy remedy : TRIED) {
            int steps = least(corner, remedy);
            if (steps > 0) {
                cures.add(cure(corner, List.of(new Dose(remedy, steps))));
            }
        }
        if (cures.isEmpty()) {
            pairs(corner, cures);
        }
        return cures.stream()
                .sorted(Comparator.comparingDouble(Cure::cost))
                .limit(MOST)
                .toList();
    }

    /** The least number of steps that clears; nought when none does. */
    private static int least(ClearanceModel corner, Remedy remedy) {
        for (int steps = 1; steps <= remedy.most(); steps++) {
            if (corner.with(remedy, steps).clear()) {
                return steps;
            }
        }
        return 0;
    }

    private static void pairs(ClearanceModel corner, List<Cure> cures) {
        for (int a = 0; a < TRIED.size(); a++) {
            for (int b = a + 1; b < TRIED.size(); b++) {
                if (TRIED.get(a) == Remedy.OUTWARD && TRIED.get(b) == Remedy.INWARD) {
                    continue;
                }
                pair(corner, TRIED.get(a), TRIED.get(b), cures);
            }
        }
    }

    /** Of two remedies, as little of the dearer as does, then as little of the cheaper. */
    private static void pair(ClearanceModel corner, Remedy cheaper, Remedy dearer, List<Cure> cures) {
        if (!corner.with(cheaper, cheaper.most()).with(dearer, dearer.most()).clear()
                && !mixed(cheaper)
                && !mixed(dearer)) {
            return;
        }
        for (int steps = 1; steps <= dearer.most(); steps++) {
            ClearanceModel half = corner.with(dearer, steps);
            int rest = least(half, cheaper);
            if (rest > 0) {
                cures.add(cure(corner, List.of(new Dose(cheaper, rest), new Dose(dearer, steps))));
                return;
            }
        }
    }

    /** More of it may do harm elsewhere. */
    private static boolean mixed(Remedy remedy) {
        return remedy == Remedy.OUTWARD || remedy == Remedy.INWARD || remedy == Remedy.CAMBER;
    }

    private static Cure cure(ClearanceModel corner, List<Dose> doses) {
        ClearanceModel cured = corner;
        for (Dose dose : doses) {
            cured = cured.with(dose.remedy(), dose.steps());
        }
        Set<ProbePlace> towards = EnumSet.noneOf(ProbePlace.class);
        doses.forEach(dose -> towards.addAll(dose.remedy().towards()));
        corner.obstacles().forEach(obstacle -> towards.remove(obstacle.place()));
        boolean other = doses.stream().anyMatch(dose -> dose.remedy().otherTyre());
        return new Cure(
                doses,
                cured.worstFirst(),
                List.copyOf(towards),
                other ? Optional.of(cured.planned().tyre()) : Optional.empty());
    }
}
