package abbex.app.kit;

import abbex.core.vehicle.End;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is told of a vehicle and of a kit for it, field by field: texts as typed, and what they come to. */
public record KitValues(Map<Key, Told> told) {
    /**
     * A field of an end.
     *
     * @param end null for what is told of the kit as a whole
     */
    public record Key(@Nullable End end, KitField field) {
        /** Its name in a form. */
        public String name() {
            return end == null ? field.name() : end.name() + "_" + field.name();
        }
    }

    /**
     * A text.
     *
     * @param value mm, N, N/mm or a plain number; 0 for a text
     */
    public record Told(String raw, double value) {}

    public static final KitValues NOTHING = new KitValues(Map.of());

    public KitValues {
        told = Map.copyOf(told);
    }

    public Optional<Told> at(@Nullable End end, KitField field) {
        return Optional.ofNullable(told.get(new Key(end, field)));
    }

    Optional<Double> value(End end, KitField field) {
        return at(end, field).map(Told::value);
    }

    public boolean yes(End end, KitField field) {
        return value(end, field).filter(v -> v > 0).isPresent();
    }

    public String raw(@Nullable End end, KitField field) {
        return at(end, field).map(Told::raw).orElse("");
    }

    /** The same with others in place; an empty text takes one away. */
    public KitValues with(Map<Key, Told> others) {
        Map<Key, Told> all = new HashMap<>(told);
        others.forEach((key, value) -> {
            if (value.raw().isEmpty()) {
                all.remove(key);
            } else {
                all.put(key, value);
            }
        });
        return new KitValues(all);
    }

    /** What others say otherwise; an empty text for what they do not say. */
    Map<Key, Told> changed(KitValues others) {
        Map<Key, Told> changed = new HashMap<>();
        others.told.forEach((key, value) -> {
            if (!value.raw().equals(raw(key.end(), key.field()))) {
                changed.put(key, value);
            }
        });
        told.keySet().stream()
                .filter(key -> !others.told.containsKey(key))
                .forEach(key -> changed.put(key, new Told("", 0)));
        return changed;
    }
}
