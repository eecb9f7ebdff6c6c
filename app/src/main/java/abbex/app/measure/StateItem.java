package abbex.app.measure;

import abbex.core.figure.Place;
import abbex.core.heights.SheetState;
import abbex.core.heights.Stage;
import abbex.core.heights.SubstituteBaseline;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What may be said of a sheet beside its readings, each by the name it is kept under. */
final class StateItem {
    /** Before a corner's name: that tyre's pressure. */
    static final String PRESSURE = "PRESSURE_";
    /** At which point of the work it was taken, when that was said otherwise than it was opened. */
    static final String STAGE = "STAGE";
    /** What stands in for a vehicle that nobody measured before; on the first sheet. */
    static final String STAND_IN = "STAND_IN";
    /** The corners whose arch was worked on since the sheet before; on later sheets. */
    static final String ARCHES = "ARCHES";

    /** Which set of parts it stood on, where that is not the one that was chosen by then; on later sheets. */
    static final String PARTS = "PARTS";

    /** What the odometer said; that of the arrival is kept with the stay. */
    static final String ODOMETER = "ODOMETER";

    private StateItem() {}

    static String pressure(Place wheel) {
        return PRESSURE + wheel.code();
    }

    /** Every item of a sheet in the order it is asked for: pressures in walking order, then the rest. */
    static List<String> of(Vehicle vehicle, boolean first) {
        return items(vehicle.wheels(), Stream.of(SheetState.Item.values()).filter(i -> i.fits(vehicle.kind())), first);
    }

    /** The items of any kind of vehicle. */
    static List<String> any(boolean first) {
        return items(Places.wheels(), Stream.of(SheetState.Item.values()), first);
    }

    private static List<String> items(List<Place> wheels, Stream<SheetState.Item> said, boolean first) {
        List<String> items =
                new ArrayList<>(wheels.stream().map(StateItem::pressure).toList());
        said.map(Enum::name).forEach(items::add);
        items.addAll(first ? List.of(STAND_IN, STAGE) : List.of(ODOMETER, PARTS, ARCHES, STAGE));
        return items;
    }

    /** The values to choose from; empty for an item that is typed. */
    static List<String> choices(String item) {
        return switch (item) {
            case STAGE -> Stream.of(Stage.values()).map(Enum::name).toList();
            case STAND_IN ->
                Stream.of(SubstituteBaseline.values()).map(Enum::name).toList();
            default -> List.of();
        };
    }

    /** The key of the words of a choice. */
    static String words(String item, String choice) {
        return (item.equals(STAGE) ? "stage." : "standin.") + choice;
    }

    static String text(String item, String said, Function<String, String> name) {
        if (item.equals(SheetState.Item.STAND_LEAN.name())
                && !said.isEmpty()
                && Character.isDigit(said.charAt(said.length() - 1))) {
            return said + "°";
        }
        if (item.equals(PARTS) && said.equals(SheetData.AS_IT_CAME)) {
            return name.apply("parts.as-it-came");
        }
        return choices(item).contains(said) ? name.apply(words(item, said)) : said;
    }

    static Optional<Stage> stage(String text) {
        return Stream.of(Stage.values()).filter(s -> s.name().equals(text)).findFirst();
    }

    static Optional<SubstituteBaseline> standIn(String text) {
        return Stream.of(SubstituteBaseline.values())
                .filter(s -> s.name().equals(text))
                .findFirst();
    }

    /** Corners such as {@code LF RR}; empty when the text is something else. */
    static Optional<Set<Corner>> arches(String text) {
        Set<Corner> corners = EnumSet.noneOf(Corner.class);
        for (String word : text.toUpperCase(Locale.ROOT).split("[\\s,;+]+")) {
            Optional<Corner> corner =
                    Corner.WALK.stream().filter(c -> c.name().equals(word)).findFirst();
            if (corner.isEmpty() && !word.isEmpty()) {
                return Optional.empty();
            }
            corner.ifPresent(corners::add);
        }
        return Optional.of(corners);
    }
}
