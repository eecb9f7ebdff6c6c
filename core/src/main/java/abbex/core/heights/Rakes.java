package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import java.util.Optional;

/** Rake from frame to ground. */
final class Rakes {
    private Rakes() {}

    static Rake run(Comparison c) {
        BeforeAfter height = BeforeAfter.of(of(c.before()), of(c.after()));
        boolean overWheelbase = c.vehicle().frameBase().isEmpty();
        Optional<Length> base = c.vehicle().frameBase().or(() -> c.vehicle().wheelbase());
        Rake rake = new Rake(height, angle(height.before(), base), angle(height.after(), base), overWheelbase);
        if (!height.isEmpty() && overWheelbase && base.isPresent()) {
            c.say(new HeightFinding.RakeOverWheelbase());
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

    /** Mean rear minus mean front; one side alone will do when the other was not read. */
    private static Optional<Figure<Estimate>> of(HeightSheet sheet) {
        Optional<Estimate> left = side(sheet, Corner.LF, Corner.LR);
        Optional<Estimate> right = side(sheet, Corner.RF, Corner.RR);
        if (left.isEmpty() && right.isEmpty()) {
            return Optional.empty();
        }
        Estimate rake = left.isPresent() && right.isPresent()
                ? Estimate.mean(left.get(), right.get())
                : left.or(() -> right).get();
        Object[] inputs = Corner.WALK.stream()
                .map(k -> sheet.get(k, Method.FG))
                .filter(java.util.Objects::nonNull)
                .toArray();
        return Optional.of(new Figure<>(rake, Reason.of(HeightFormula.RAKE, inputs)));
    }

    private static Optional<Estimate> side(HeightSheet sheet, Corner front, Corner rear) {
        Height f = sheet.get(front, Method.FG);
        Height r = sheet.get(rear, Method.FG);
        return f == null || r == null
                ? Optional.empty()
                : Optional.of(r.estimate().minus(f.estimate()));
    }

    private static Optional<Figure<Angle>> angle(Optional<Figure<Estimate>> rake, Optional<Length> base) {
        return rake.flatMap(r -> base.map(b ->
                new Figure<>(Angle.ofRise(r.value().value(), b), Reason.of(HeightFormula.RAKE_ANGLE, r.value(), b))));
    }
}
