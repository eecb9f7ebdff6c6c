package abbex.core.vehicle;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Stream;

/** What each of the four corners has one of, in walking order. */
public record PerCorner<T>(T lf, T rf, T rr, T lr) {
    public static <T> PerCorner<T> of(Function<Corner, T> at) {
        return new PerCorner<>(at.apply(Corner.LF), at.apply(Corner.RF), at.apply(Corner.RR), at.apply(Corner.LR));
    }

    public T get(Corner corner) {
        return switch (corner) {
            case LF -> lf;
            case RF -> rf;
            case RR -> rr;
            case LR -> lr;
        };
    }

    public List<T> values() {
        return List.of(lf, rf, rr, lr);
    }

    public Stream<T> stream() {
        return values().stream();
    }

    public void forEach(BiConsumer<Corner, T> act) {
        Corner.WALK.forEach(corner -> act.accept(corner, get(corner)));
    }

    public <U> PerCorner<U> map(Function<T, U> change) {
        return of(corner -> change.apply(get(corner)));
    }

    /** The same with another value at one corner. */
    public PerCorner<T> with(Corner corner, T value) {
        return of(c -> c == corner ? value : get(c));
    }

    /** The corners whose value passes, in walking order. */
    public List<Corner> where(java.util.function.Predicate<T> passes) {
        List<Corner> found = new ArrayList<>(4);
        forEach((corner, value) -> {
            if (passes.test(value)) {
                found.add(corner);
            }
        });
        return List.copyOf(found);
    }
}
