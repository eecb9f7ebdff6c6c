package abbex.core.vehicle;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Stream;

/** What front and rear have one of each. */
public record PerEnd<T>(T front, T rear) {
    public static <T> PerEnd<T> of(Function<End, T> at) {
        return new PerEnd<>(at.apply(End.FRONT), at.apply(End.REAR));
    }

    public T get(End end) {
        return end == End.FRONT ? front : rear;
    }

    public List<T> values() {
        return List.of(front, rear);
    }

    public Stream<T> stream() {
        return values().stream();
    }

    public void forEach(BiConsumer<End, T> act) {
        act.accept(End.FRONT, front);
        act.accept(End.REAR, rear);
    }

    public <U> PerEnd<U> map(Function<T, U> change) {
        return new PerEnd<>(change.apply(front), change.apply(rear));
    }

    /** The same with another value at one end. */
    public PerEnd<T> with(End end, T value) {
        return end == End.FRONT ? new PerEnd<>(value, rear) : new PerEnd<>(front, value);
    }
}
