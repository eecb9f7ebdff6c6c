package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.units.Angle;
import abbex.core.units.Pressure;
import abbex.core.vehicle.VehicleKind;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The state in which a vehicle was measured, which decides whether two sheets may be compared. A blank is "not taken" and
 * never equal to anything.
 */
public final class SheetState {
    /** What is noted beside the pressures. */
    public enum Item {
        WHEEL_SET,
        LOAD,
        BAY,
        FUEL,
        RIDE_MODE,
        PRELOAD,
        BAG_PRESSURE,
        NOSE_LIFT,
        /** Lean on the side stand in degrees from the vertical: a result that is noted here. */
        STAND_LEAN;

        private static final Set<Item> NOT_A_MOTORCYCLES = EnumSet.of(BAG_PRESSURE, NOSE_LIFT);

        /** True when a vehicle of the kind may have it. */
        public boolean fits(VehicleKind kind) {
            return kind.singleTrack() ? !NOT_A_MOTORCYCLES.contains(this) : this != STAND_LEAN;
        }

        /** True when every vehicle of the kind has it, so that a blank on both sheets is worth saying. */
        public boolean always(VehicleKind kind) {
            return this == WHEEL_SET || this == LOAD || this == PRELOAD && kind.singleTrack();
        }
    }

    public static final SheetState NOT_TAKEN = new SheetState(Map.of(), Map.of());

    private static final Pattern DEGREES = Pattern.compile("(90|[0-8]?[0-9](\\.[0-9]{1,3})?)\\s*(°|deg|degrees)?");
    private static final Pattern MASS =
            Pattern.compile("(?:(\\d{1,2})\\s*[x×]\\s*)?(\\d{1,4}(?:\\.\\d)?)\\s*(kg|lbs?)\\b");
    private static final double KG_PER_POUND = 0.45359237;

    private static final Pattern SPACES = Pattern.compile("\\s+");

    private final Map<Place, Pressure> pressures;
    private final Map<Item, String> said;

    private SheetState(Map<Place, Pressure> pressures, Map<Item, String> said) {
        this.pressures = Map.copyOf(pressures);
        this.said = new EnumMap<>(Item.class);
        said.forEach((item, text) -> {
            if (!text.isBlank()) {
                this.said.put(item, text.strip());
            }
        });
    }

    public static SheetState of(Map<Place, Pressure> pressures, Map<Item, String> said) {
        return new SheetState(pressures, said);
    }

    public Optional<Pressure> pressure(Place wheel) {
        return Optional.ofNullable(pressures.get(wheel));
    }

    public Optional<String> said(Item item) {
        return Optional.ofNullable(said.get(item));
    }

    /** The lean on the side stand, where it was noted as degrees; from the vertical, positive. */
    public Optional<Angle> standLean() {
        return said(Item.STAND_LEAN).flatMap(SheetState::degrees);
    }

    /** What the load weighs in kg, where its text says it: {@code empty}, {@code 80 kg} or {@code 2 x 165 lb}; else empty. */
    public OptionalDouble loadKg() {
        String text = said(Item.LOAD).orElse("").toLowerCase(Locale.ROOT);
        if (plain(text).equals("empty")) {
            return OptionalDouble.of(0);
        }
        Matcher mass = MASS.matcher(text);
        double sum = 0;
        boolean any = false;
        while (mass.find()) {
            double each = Double.parseDouble(mass.group(2)) * (mass.group(3).equals("kg") ? 1 : KG_PER_POUND);
            sum += each * (mass.group(1) == null ? 1 : Integer.parseInt(mass.group(1)));
            any = true;
        }
        return any ? OptionalDouble.of(sum) : OptionalDouble.empty();
    }

    /** The pressure of helper bags, where its text is one. */
    public Optional<Pressure> bags() {
        return said(Item.BAG_PRESSURE).flatMap(Pressure::parse);
    }

    /** Degrees from 0 to 90 such as {@code 11.5} or {@code 11.5°}; anything else is empty. */
    public static Optional<Angle> degrees(String text) {
        return DEGREES.matcher(text).matches()
                ? Optional.of(Angle.ofDegrees(Double.parseDouble(text.replaceAll("[^0-9.]", ""))))
                : Optional.empty();
    }

    /** What was said of both and is not the same; a blank differs from nothing. */
    public Set<Item> unlike(SheetState other) {
        Set<Item> unlike = EnumSet.noneOf(Item.class);
        for (Item item : Item.values()) {
            if (item != Item.STAND_LEAN && differs(other, item)) {
                unlike.add(item);
            }
        }
        return unlike;
    }

    /** A tyre's pressure was taken both times, and is not the same. */
    public boolean pressuresUnlike(SheetState other) {
        return pressures.entrySet().stream()
                .anyMatch(mine -> other.pressure(mine.getKey())
                        .filter(mine.getValue()::differsFrom)
                        .isPresent());
    }

    /** Said on both sheets, and not the same but for letters' case and spaces. */
    boolean differs(SheetState other, Item item) {
        String mine = said.get(item);
        String theirs = other.said.get(item);
        return mine != null
                && theirs != null
                && !mine.equals(theirs)
                && !plain(mine).equals(plain(theirs));
    }

    private static String plain(String text) {
        return SPACES.matcher(text.toLowerCase(Locale.ROOT)).replaceAll(" ");
    }
}
