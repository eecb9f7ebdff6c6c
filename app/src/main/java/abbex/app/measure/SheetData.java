package abbex.app.measure;

import abbex.core.heights.HeightSheet;
import abbex.core.heights.Method;
import abbex.core.heights.SheetState;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** A sheet with what stands on it. */
public final class SheetData {
    private final SheetRow row;
    private final List<ReadingRow> current;
    private final Map<String, String> state;
    private final HeightSheet heights;

    SheetData(SheetRow row, List<ReadingRow> current, Map<String, String> state) {
        this.row = row;
        this.current = List.copyOf(current);
        this.state = Map.copyOf(state);
        this.heights = HeightSheet.of(
                sheetState(), current.stream().map(ReadingRow::reading).toList());
    }

    public SheetRow row() {
        return row;
    }

    /** The rows that no other row replaces and that were not withdrawn. */
    List<ReadingRow> current() {
        return current;
    }

    /** The texts that were said last, by item; pressures as {@code PRESSURE_LF} and so on. */
    public Map<String, String> state() {
        return state;
    }

    /** Opened at that stage, and nobody has written on it. */
    boolean fresh(SheetRow.Stage stage) {
        return row.stage() == stage && current.isEmpty() && state.isEmpty();
    }

    /** What the core compares. */
    public HeightSheet heights() {
        return heights;
    }

    private SheetState sheetState() {
        Map<Corner, Pressure> pressures = new EnumMap<>(Corner.class);
        for (Corner corner : Corner.WALK) {
            Optional.ofNullable(state.get(pressureItem(corner)))
                    .flatMap(Pressure::parse)
                    .ifPresent(p -> pressures.put(corner, p));
        }
        Map<SheetState.Item, String> said = new EnumMap<>(SheetState.Item.class);
        for (SheetState.Item item : SheetState.Item.values()) {
            said.put(item, state.getOrDefault(item.name(), ""));
        }
        return SheetState.of(pressures, said);
    }

    /** Every item of a state in the order it is asked for: pressures in walking order, then the rest. */
    public static List<String> items() {
        List<String> items = new ArrayList<>(
                Corner.WALK.stream().map(SheetData::pressureItem).toList());
        for (SheetState.Item item : SheetState.Item.values()) {
            items.add(item.name());
        }
        return items;
    }

    /** What is said of the state, each item by its short name, in order. */
    public List<String> said(Function<String, String> name) {
        return items().stream()
                .filter(item -> !state.getOrDefault(item, "").isEmpty())
                .map(item -> (item.startsWith("PRESSURE_") ? item.substring(9) : name.apply("item." + item)) + " "
                        + state.get(item))
                .toList();
    }

    static String pressureItem(Corner corner) {
        return "PRESSURE_" + corner;
    }

    List<ReadingRow> at(Corner corner, Method method) {
        return current.stream()
                .filter(r -> r.corner() == corner && r.method() == method)
                .toList();
    }
}
