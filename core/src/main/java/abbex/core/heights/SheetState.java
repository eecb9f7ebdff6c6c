package abbex.core.heights;

import abbex.core.units.Pressure;
import abbex.core.vehicle.Corner;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The state in which a vehicle was measured, which decides whether two sheets may be compared. A blank is "not taken" and
 * never equal to anything.
 */
public final class SheetState {
    /** What is noted beside the pressures. */
    public enum Item {
        WHEEL_SET(true),
        LOAD(true),
        BAY(false),
        FUEL(false),
        RIDE_MODE(false),
        PRELOAD(false),
        BAG_PRESSURE(false),
        NOSE_LIFT(false);

        private final boolean always;

        Item(boolean always) {
            this.always = always;
        }

        /** True when every vehicle has it, so that a blank on both sheets is worth saying. */
        public boolean always() {
            return always;
        }
    }

    public static final SheetState NOT_TAKEN = new SheetState(Map.of(), Map.of());

    private static final Pattern SPACES = Pattern.compile("\\s+");

    private final Map<Corner, Pressure> pressures;
    private final Map<Item, String> said;

    private SheetState(Map<Corner, Pressure> pressures, Map<Item, String> said) {
        this.pressures = new EnumMap<>(Corner.class);
        this.pressures.putAll(pressures);
        this.said = new EnumMap<>(Item.class);
        said.forEach((item, text) -> {
            if (!text.isBlank()) {
                this.said.put(item, text.strip());
            }
        });
    }

    public static SheetState of(Map<Corner, Pressure> pressures, Map<Item, String> said) {
        return new SheetState(pressures, said);
    }

    public Optional<Pressure> pressure(Corner corner) {
        return Optional.ofNullable(pressures.get(corner));
    }

    public Optional<String> said(Item item) {
        return Optional.ofNullable(said.get(item));
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
