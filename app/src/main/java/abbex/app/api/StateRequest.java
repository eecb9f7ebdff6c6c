package abbex.app.api;

import abbex.core.figure.Place;
import abbex.core.heights.SheetState;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Places;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The state of a sheet as a request says it: what a sheet of the application takes, by the same words. */
final class StateRequest {
    private static final int LONGEST = 80;
    private static final String PRESSURES = "pressures";

    private StateRequest() {}

    static Optional<SheetState> of(Fields sheet) {
        List<String> known = Stream.concat(
                        Stream.of(SheetState.Item.values()).map(StateRequest::name), Stream.of(PRESSURES))
                .toList();
        return sheet.object("state", known).map(state -> SheetState.of(pressures(state), said(state)));
    }

    /** Such as {@code wheelSet} for {@code WHEEL_SET}. */
    private static String name(SheetState.Item item) {
        StringBuilder name = new StringBuilder();
        boolean high = false;
        for (char c : item.name().toCharArray()) {
            if (c == '_') {
                high = true;
            } else {
                name.append(high ? c : Character.toLowerCase(c));
                high = false;
            }
        }
        return name.toString();
    }

    private static Map<SheetState.Item, String> said(Fields state) {
        Map<SheetState.Item, String> said = new EnumMap<>(SheetState.Item.class);
        for (SheetState.Item item : SheetState.Item.values()) {
            state.text(name(item)).ifPresent(text -> {
                if (text.length() > LONGEST) {
                    throw ApiProblem.field(
                            state.at(name(item)), text.substring(0, LONGEST), "api.field.short", "empty");
                }
                if (item == SheetState.Item.STAND_LEAN
                        && SheetState.degrees(text).isEmpty()) {
                    throw ApiProblem.field(state.at(name(item)), text, "api.field.degrees", "11.5");
                }
                said.put(item, text);
            });
        }
        return said;
    }

    private static Map<Place, Pressure> pressures(Fields state) {
        Map<Place, Pressure> pressures = new HashMap<>();
        state.object(PRESSURES, Places.wheels().stream().map(Place::code).toList())
                .ifPresent(of -> Places.wheels()
                        .forEach(wheel -> of.text(wheel.code())
                                .ifPresent(text -> pressures.put(
                                        wheel,
                                        Pressure.parse(text)
                                                .orElseThrow(() -> ApiProblem.field(
                                                        of.at(wheel.code()), text, "api.field.pressure", "32 psi"))))));
        return pressures;
    }
}
