package abbex.core.kit;

import abbex.core.kit.Causes.Open;
import abbex.core.kit.Causes.Signature;
import abbex.core.stance.Stance;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.List;

/** What each cause does to every height that was seen. */
final class Signatures {
    /** Pivots tightened hanging hold this part of their lift after a drive (common practice). */
    private static final double HELD = 0.35;

    private Signatures() {}

    static List<Signature> of(List<Seen> seen, Open open) {
        List<Signature> all = new ArrayList<>();
        int sheets = 1 + seen.stream().mapToInt(Seen::sheet).max().orElse(0);
        for (int i = 0; i < seen.size(); i++) {
            add(all, seen, new Cause(Cause.Kind.TAPE, Causes.spot(seen.get(i))), 0, only(seen.get(i)));
        }
        for (Corner corner : Corner.WALK) {
            double[] floor = unit(corner);
            double[] pressed = walk(stance(open).move(new double[4], floor).hub());
            double[] stands = walk(stance(open).move(new double[4], floor).ground());
            // Over the ground that all four stand on, not over what raises the one.
            stands[corner.ordinal()] += 1;
            add(all, seen, new Cause(Cause.Kind.TYRE, corner), -1, s -> s.tyreInIt() ? at(stands, s) : at(pressed, s));
            double[] moved = moved(corner, open);
            if (open.perches().get(corner.end())) {
                add(all, seen, new Cause(Cause.Kind.PERCH, corner), 0, s -> at(moved, s));
            }
            add(all, seen, new Cause(Cause.Kind.SEAT, corner), 1, s -> at(moved, s));
        }
        for (End end : End.values()) {
            Of both = s -> s.end() == end ? 1 : 0;
            add(
                    all,
                    seen,
                    new Cause(Cause.Kind.SIDES_CHANGED, end),
                    0,
                    s -> s.at(end.left()) ? 1 : s.at(end.right()) ? -1 : 0);
            if (open.perches().get(end)) {
                add(all, seen, new Cause(Cause.Kind.PERCH, end), 0, both);
            }
            add(all, seen, new Cause(Cause.Kind.ON_STOP, end), 1, both);
            add(
                    all,
                    seen,
                    new Cause(Cause.Kind.HANGING_PIVOTS, end),
                    1,
                    s -> s.end() != end ? 0 : s.settled() > 0 ? HELD : 1);
            add(all, seen, new Cause(Cause.Kind.NOT_SETTLED, end), 1, s -> s.end() == end ? s.settled() : 0);
            add(all, seen, new Cause(Cause.Kind.ISOLATOR, end), 0, both);
            add(all, seen, new Cause(Cause.Kind.WRONG_PART, end), 0, both);
            for (int sheet = 0; sheet < sheets && sheets > 1; sheet++) {
                int at = sheet;
                add(all, seen, new Cause(Cause.Kind.LOAD, end), 0, s -> s.sheet() == at ? both.over(s) : 0);
            }
        }
        if (open.dampers().front() && open.dampers().rear()) {
            double softer = open.wheelRate().front() / open.wheelRate().rear();
            add(all, seen, new Cause(Cause.Kind.GAS, Whole.VEHICLE), 0, s -> s.end() == End.FRONT ? 1 : softer);
        }
        if (open.springs().front() && open.springs().rear()) {
            add(all, seen, new Cause(Cause.Kind.ENDS_CHANGED, Whole.VEHICLE), 0, s -> s.end() == End.FRONT ? 1 : -1);
        }
        return all;
    }

    /** How much of a cause a height shows. */
    private interface Of {
        double over(Seen seen);
    }

    private static Of only(Seen one) {
        return s -> s == one ? 1 : 0;
    }

    private static void add(List<Signature> all, List<Seen> seen, Cause cause, int way, Of of) {
        double[] over = seen.stream().mapToDouble(of::over).toArray();
        if (Causes.dot(over, over) > 0) {
            all.add(new Signature(cause, over, way));
        }
    }

    /** What a spring that stands higher at one corner does to all four: three quarters of it there, a quarter across (statics). */
    private static double[] moved(Corner corner, Open open) {
        return walk(stance(open).move(unit(corner), new double[4]).hub());
    }

    private static Stance stance(Open open) {
        double[] rates = {
            open.wheelRate().front(),
            open.wheelRate().front(),
            open.wheelRate().rear(),
            open.wheelRate().rear()
        };
        double half = open.wheelbase() / 2;
        double side = open.track() / 2;
        double tyre = Stance.USUAL_TYRE_RATE;
        return new Stance(
                new double[] {half, half, -half, -half},
                new double[] {side, -side, side, -side},
                rates,
                new double[] {tyre, tyre, tyre, tyre},
                0,
                0);
    }

    /** Where the corners of a walk stand in a stance. */
    private static final int[] ORDER = {0, 1, 3, 2};

    private static double[] unit(Corner corner) {
        double[] one = new double[4];
        one[ORDER[corner.ordinal()]] = 1;
        return one;
    }

    private static double[] walk(double[] stance) {
        double[] walk = new double[4];
        for (int i = 0; i < 4; i++) {
            walk[i] = stance[ORDER[i]];
        }
        return walk;
    }

    private static double at(double[] moved, Seen seen) {
        return seen.spot().place() instanceof Corner corner ? moved[corner.ordinal()] : 0;
    }
}
