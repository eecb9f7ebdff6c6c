package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
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
        BeforeAfter height = heights(c);
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
    private static BeforeAfter heights(Comparison c) {
        List<Boolean> common = SIDES.stream()
                .filter(left -> side(c.before(), left).isPresent()
                        && side(c.after(), left).isPresent())
                .toList();
        if (!common.isEmpty()) {
            return BeforeAfter.of(of(c.before(), common), of(c.after(), common));
        }
        Optional<Figure<Estimate>> after = of(c.after(), SIDES);
        return BeforeAfter.of(after.isPresent() ? Optional.empty() : of(c.before(), SIDES), after);
    }

    /** Mean rear minus mean front, of these of the sides that were read at both ends. */
    private static Optional<Figure<Estimate>> of(HeightSheet sheet, List<Boolean> sides) {
        List<Height> inputs = new ArrayList<>();
        Optional<Estimate> rake = Optional.empty();
        for (boolean left : sides) {
            Optional<Estimate> here = side(sheet, left);
            if (here.isPresent()) {
                rake = rake.map(other -> Estimate.mean(other, here.get())).or(() -> here);
                inputs.add(frame(sheet, End.FRONT, left));
                inputs.add(frame(sheet, End.REAR, left));
            }
        }
        return rake.map(mean -> new Figure<>(mean, Reason.of(HeightFormula.RAKE, inputs.toArray())));
    }

    private static Optional<Estimate> side(HeightSheet sheet, boolean left) {
        Height front = frame(sheet, End.FRONT, left);
        Height rear = frame(sheet, End.REAR, left);
        return front == null || rear == null
                ? Optional.empty()
                : Optional.of(rear.estimate().minus(front.estimate()));
    }

    private static @Nullable Height frame(HeightSheet sheet, End end, boolean left) {
        return sheet.get(left ? end.left() : end.right(), Method.FG);
    }

    private static Optional<Figure<Angle>> angle(Optional<Figure<Estimate>> rake, Optional<Length> base) {
        return rake.flatMap(r -> base.map(b ->
                new Figure<>(Angle.ofRise(r.value().value(), b), Reason.of(HeightFormula.RAKE_ANGLE, r.value(), b))));
    }
}
