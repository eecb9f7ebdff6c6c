package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Reason;
import abbex.core.units.Estimate;
import java.util.Optional;

/**
 * A figure of both sheets. The change is after minus before.
 *
 * @param before on the first sheet, when it can be told
 * @param after on the second sheet, when it can be told
 * @param change when both can be told
 */
public record BeforeAfter(
        Optional<Figure<Estimate>> before, Optional<Figure<Estimate>> after, Optional<Figure<Estimate>> change) {
    static BeforeAfter of(Optional<Figure<Estimate>> before, Optional<Figure<Estimate>> after) {
        Optional<Figure<Estimate>> change = before.isPresent() && after.isPresent()
                ? Optional.of(new Figure<>(
                        after.get().value().minus(before.get().value()),
                        Reason.of(
                                HeightFormula.CHANGE,
                                after.get().value(),
                                before.get().value())))
                : Optional.empty();
        return new BeforeAfter(before, after, change);
    }

    public boolean isEmpty() {
        return before.isEmpty() && after.isEmpty();
    }
}
