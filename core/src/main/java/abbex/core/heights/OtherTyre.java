package abbex.core.heights;

import abbex.core.figure.Finding;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * One tyre that stands lower or higher than it did, as an explanation beside that of a reading that was misread: the one that
 * accounts for most stands first. Where only a hub reading tells of it no data can choose between the two.
 *
 * @param at which tyre on which sheet
 * @param change of its loaded radius since the first sheet on these wheels, negative lower
 * @param gained so much less is chi-square with it
 * @param adjustment all sheets with it
 */
record OtherTyre(Adjustment.Freed at, Estimate change, double gained, Adjustment adjustment) {
    /** Sides and diagonals differ by what one tyre does to a body, and by no more than so much beside (ours): mm. */
    private static final double BESIDE = 2;

    /** What explains most of what does not go together; empty where no tyre does, or where one was said to be another. */
    static Optional<OtherTyre> find(
            Vehicle vehicle, List<HeightSheet> sheets, Adjustment as, PriorDeviations freedoms) {
        List<Adjustment.Freed> all = new ArrayList<>();
        for (int sheet = 1; sheet < sheets.size(); sheet++) {
            for (Corner corner : Corner.WALK) {
                all.add(new Adjustment.Freed(sheet, corner));
            }
        }
        double sure = NormalDistribution.of(0, 1)
                .inverseSurvivalProbability(Adjustment.FALSE_ALARMS / 2 / Math.max(1, all.size()));
        return all.stream()
                .filter(at -> as.gained(at) > sure * sure)
                .max(Comparator.comparingDouble(as::gained))
                .flatMap(at -> {
                    Adjustment freed = Adjustment.without(vehicle, sheets, freedoms, List.of(), List.of(at));
                    return freed.tyre(at).map(change -> new OtherTyre(at, change, as.gained(at), freed));
                });
    }

    /** It accounts for clearly more than the reading does that is suspected most. */
    boolean decided(Adjustment as) {
        return gained - as.mostGained() >= Adjustment.UNDECIDED;
    }

    /** It is as good as that; a tyre that stands lower is the commoner mishap of the two. */
    boolean possible(Adjustment as) {
        return as.mostGained() - gained < Adjustment.UNDECIDED && change.value().sign() < 0;
    }

    Finding finding(Stage stage) {
        return change.value().sign() < 0
                ? new HeightFinding.TyreLower(at.corner(), change.negate(), stage)
                : new HeightFinding.TyreHigher(at.corner(), change, stage);
    }

    /** True for what is a consequence of it, so that nothing else is to be suspected. */
    boolean explains(Finding finding) {
        if (finding instanceof HeightFinding.TyreOrMisread misread) {
            return misread.place() == at.corner();
        }
        if (finding instanceof HeightFinding.TyreSides sides) {
            return sides.place() == at.corner().end();
        }
        if (finding instanceof HeightFinding.LeftRightNew apart) {
            return covers(apart.by());
        }
        if (finding instanceof HeightFinding.UnevenDrop uneven) {
            return covers(uneven.left().minus(uneven.right()));
        }
        if (finding instanceof HeightFinding.DiagonalMoved moved) {
            return covers(moved.change());
        }
        if (finding instanceof HeightFinding.DiagonalOneMethod moved) {
            return covers(moved.change());
        }
        return finding instanceof HeightFinding.WheelAgainstFrame frame
                && covers(frame.wheel().minus(frame.frame()));
    }

    private boolean covers(Estimate by) {
        double wide = Math.max(by.uncertainty().expanded(), change.uncertainty().expanded());
        return by.value().abs().mm() <= change.value().abs().mm() + wide + BESIDE;
    }
}
