package abbex.core.clearance;

import abbex.core.wheels.TyreSize;
import java.util.List;
import java.util.Optional;

/**
 * Remedies that make every probed place clear.
 *
 * @param doses one or two, the cheaper first
 * @param proof every place swept again with them done, worst first
 * @param unmeasured parts that the wheel comes nearer to by it and that nobody measured
 * @param tyre the size that it puts on; empty where the tyre stays
 */
public record Cure(List<Dose> doses, List<Verdict> proof, List<ProbePlace> unmeasured, Optional<TyreSize> tyre) {
    /** So much of a remedy: millimetres, for camber tenths of a degree, for another tyre which of those that exist. */
    public record Dose(Remedy remedy, int steps) {
        public int amount() {
            return remedy.amount(steps);
        }
    }

    public Cure {
        doses = List.copyOf(doses);
        proof = List.copyOf(proof);
        unmeasured = List.copyOf(unmeasured);
    }

    /** By what it costs: the order of the remedies first, then how much of each is taken. */
    double cost() {
        double cost = 0;
        for (Dose dose : doses) {
            cost += 10 * (dose.remedy().ordinal() + 1)
                    + 5.0 * dose.steps() / dose.remedy().most()
                    + (dose.remedy().structural() ? 100 : 0);
        }
        return cost;
    }
}
