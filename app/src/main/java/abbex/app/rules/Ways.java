package abbex.app.rules;

import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Way;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The ways to measure that a shop knows.
 *
 * @param points that it named, the oldest first, those out of use too: what was read there keeps its code
 */
public record Ways(List<OwnPoint> points) {
    /** The way to measure of a code: a method, a point that comes with the program, or one of the shop's own. */
    public Optional<Way> of(String code) {
        return Stream.<Way>of(Method.values())
                .filter(m -> m.code().equals(code))
                .findFirst()
                .or(() -> PointMethod.of(code))
                .or(() -> points.stream()
                        .map(OwnPoint::way)
                        .filter(p -> p.code().equals(code))
                        .findFirst());
    }
}
