package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Rake from frame to ground. */
final class Rakes {
    /** Left, then right. */
    private static final List<Boolean> SIDES = List.of(true, false);

    private Rakes() {}

    static Rake run(Comparison c) {
        BeforeAfter height = of(c, (sheet, corner) -> sheet.get(corner, Method.FG));
        boolean overWheelbase = c.vehicle().frameBase().isEmpty();
        Optional<Length> base = c.vehicle().frameBase().or(() -> c.vehicle().wheelbase());
        Rake rake = new Rake(height, angle(height.before(), base), angle(height.after(), base), overWheelbase);
        if (!height.isEmpty() && overWheelbase && base.isPresent()) {
            c.say(new HeightFinding.RakeOverWheelbase());
        }
        if (height.change().isPresent() && overWheelbase && base.isEmpty()) {
            c.say(new HeightFinding.FramePointsUnknown());
        }
        height.change()
                .map(Figure::value)
                .filter(Estimate::differsFromZero)
                .ifPresent(change -> c.say(new HeightFinding.RakeChanged(
                        height.before().orElseThrow().value().value(),
                        height.after().orElseThrow().value().value(),
                        change)));
        return rake;
    }

    /** By the sides that both sheets have: what a side stood higher by at one end before would else count as rake. */
    static BeforeAfter of(Comparison c, Read read) {
        List<Boolean> common = SIDES.stream()
                .filter(left -> side(c.before(), left, read).isPresent()
                        && side(c.after(), left, read).isPresent())
                .toList();
        if (!common.isEmpty()) {
            return BeforeAfter.of(mean(c.before(), common, read), mean(c.after(), common, read));
        }
        Optional<Figure<Estimate>> after = mean(c.after(), SIDES, read);
        return BeforeAfter.of(after.isPresent() ? Optional.empty() : mean(c.before(), SIDES, read), after);
    }

    /** A height of a sheet at a corner; null where it was not read. */
    interface Read {
        @Nullable
        Height at(HeightSheet sheet, Corner corner);
    }

    /** Mean rear minus mean front, of these of the sides that were read at both ends. */
    private static Optional<Figure<Estimate>> mean(HeightSheet sheet, List<Boolean> sides, Read read) {
        List<Height> inputs = new ArrayList<>();
        Optional<Estimate> rake = Optional.empty();
        for (boolean left : sides) {
            Height front = read.at(sheet, corner(End.FRONT, left));
            Height rear = read.at(sheet, corner(End.REAR, left));
            if (front != null && rear != null) {
                Estimate here = rear.estimate().minus(front.estimate());
                rake = Optional.of(rake.map(other -> Estimate.mean(other, here)).orElse(here));
                inputs.add(front);
                inputs.add(rear);
            }
        }
        return rake.map(mean -> new Figure<>(mean, Reason.of(HeightFormula.RAKE, inputs.toArray())));
    }

    private static Optional<Figure<Estimate>> side(HeightSheet sheet, boolean left, Read read) {
        return mean(sheet, List.of(left), read);
    }

    private static Corner corner(End end, boolean left) {
        return left ? end.left() : end.right();
    }

    private static Optional<Figure<Angle>> angle(Optional<Figure<Estimate>> rake, Optional<Length> base) {
        return rake.flatMap(r -> base.map(b ->
                new Figure<>(Angle.ofRise(r.value().value(), b), Reason.of(HeightFormula.RAKE_ANGLE, r.value(), b))));
    }
}
