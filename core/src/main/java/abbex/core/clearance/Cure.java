package abbex.core.clearance;

import java.util.List;

/**
 * Remedies that make every probed place clear.
 *
 * @param doses one or two, the cheaper first
 * @param proof every place swept again with them done, worst first
 */
public record Cure(List<Dose> doses, List<Verdict> proof) {
    /** So much of a remedy: millimetres, for camber tenths of a degree, for the aspect its points. */
    public record Dose(Remedy remedy, int steps) {
        public int amount() {
            return remedy.amount(steps);
        }
    }

    public Cure {
        doses = List.copyOf(doses);
        proof = List.copyOf(proof);
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
