package abbex.app.fitment;

import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.Hub;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A set of wheels of one vehicle.
 *
 * @param texts as typed, by item and end such as {@code TYRE_FRONT}; what is blank behind is as in front
 * @param edition how often it was saved after the first time
 */
public record WheelSet(UUID id, String name, Use use, Map<String, String> texts, int edition) {
    /** What a set is to its vehicle. */
    public enum Use {
        /** As it left the factory: load and speed are held against it. */
        NEW,
        /** On the vehicle. */
        NOW,
        PLANNED,
        OTHER
    }

    /** What is said of an end. */
    public enum Item {
        TYRE,
        WHEEL,
        SPACER,
        BORE,
        SPIGOT,
        THREAD,
        TURNS;

        String of(End end) {
            return name() + "_" + end.name();
        }

        boolean length() {
            return this == SPACER || this == BORE || this == SPIGOT;
        }
    }

    static final List<Item> FIRST = List.of(Item.TYRE, Item.WHEEL, Item.SPACER);

    public WheelSet {
        texts = Map.copyOf(texts);
    }

    /** What the fields of its form hold. */
    Map<String, String> fields() {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("name", name);
        fields.put("use", use.name());
        for (End end : End.values()) {
            for (Item item : Item.values()) {
                String text = texts.getOrDefault(item.of(end), "");
                // What was kept without a unit was millimetres.
                fields.put(item.of(end), item.length() && text.matches("[\\d.]+") ? text + " mm" : text);
            }
        }
        return fields;
    }

    /** The text of an end; behind, where it is blank, that of the front. */
    public String text(Item item, End end) {
        String own = texts.getOrDefault(item.of(end), "");
        return own.isEmpty() && end == End.REAR ? texts.getOrDefault(item.of(End.FRONT), "") : own;
    }

    /** The tyre of an end, where its text is one. */
    public Optional<TyreSize> tyre(End end) {
        return TyreSize.parse(text(Item.TYRE, end)).asSize();
    }

    /** Tyre and wheel with its spacer, where both are said. */
    public Optional<Fitment> fitment(End end) {
        Length spacer = length(text(Item.SPACER, end)).orElse(Length.ZERO);
        return Wheel.parse(text(Item.WHEEL, end))
                .asWheel()
                .flatMap(wheel -> tyre(end).map(tyre -> new Fitment(wheel.withSpacer(spacer), tyre)));
    }

    /** How the wheels of an end are held, as far as it is said. */
    public Hub hub(End end) {
        return new Hub(
                length(text(Item.BORE, end)),
                length(text(Item.SPIGOT, end)),
                Hub.Thread.parse(text(Item.THREAD, end)),
                turns(text(Item.TURNS, end)));
    }

    boolean spaced(End end) {
        return length(text(Item.SPACER, end)).filter(s -> s.sign() > 0).isPresent();
    }

    /** Millimetres, unless the text says inches. */
    static TapeParse read(String text) {
        return TapeText.parse(text, LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, TapeText.Allowed.ZERO_OR_MORE);
    }

    private static Optional<Length> length(String text) {
        return text.isEmpty() ? Optional.empty() : read(text).asReading().map(TapeReading::value);
    }

    /** Full turns that hold, 0.5 to 30; anything else is empty. */
    static Optional<Double> turns(String text) {
        return text.matches("\\d{1,2}([.]\\d)?")
                ? Optional.of(Double.parseDouble(text)).filter(t -> t >= 0.5 && t <= 30)
                : Optional.empty();
    }
}
