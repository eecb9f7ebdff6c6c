package abbex.core.heights;

import abbex.core.figure.Severity;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Whole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether two sheets may be compared: what differs in the state they were taken in, and what nobody took. */
final class StateCheck {
    private StateCheck() {}

    static void run(Comparison c) {
        if (c.before().isEmpty() || c.after().isEmpty()) {
            return;
        }
        pressures(c);
        SheetState before = c.before().state();
        SheetState after = c.after().state();
        List<Object> neither = new ArrayList<>();
        for (SheetState.Item item : SheetState.Item.values()) {
            Optional<String> was = before.said(item);
            Optional<String> is = after.said(item);
            if (was.isPresent() && is.isPresent()) {
                if (before.differs(after, item)) {
                    c.say(
                            HeightFinding.STATE_DIFFERS,
                            item == SheetState.Item.BAY ? Severity.NOTE : Severity.LOOK,
                            Whole.VEHICLE,
                            item,
                            was.get(),
                            is.get());
                }
            } else if (was.isPresent() || is.isPresent()) {
                c.say(
                        HeightFinding.STATE_HALF_TAKEN,
                        Severity.NOTE,
                        Whole.VEHICLE,
                        item,
                        was.or(() -> is).get());
            } else if (item.always()) {
                neither.add(item);
            }
        }
        if (!neither.isEmpty()) {
            c.say(HeightFinding.STATE_NOT_TAKEN, Severity.NOTE, Whole.VEHICLE, List.copyOf(neither));
        }
    }

    private static void pressures(Comparison c) {
        List<Corner> unsaid = new ArrayList<>();
        for (Corner corner : Corner.WALK) {
            Optional<Pressure> was = c.before().state().pressure(corner);
            Optional<Pressure> is = c.after().state().pressure(corner);
            if (was.isEmpty() || is.isEmpty()) {
                unsaid.add(corner);
            } else if (was.get().differsFrom(is.get())) {
                c.say(HeightFinding.STATE_PRESSURE, Severity.LOOK, corner, corner, was.get(), is.get());
            }
        }
        if (!unsaid.isEmpty()) {
            c.say(HeightFinding.PRESSURE_NOT_TAKEN, Severity.NOTE, unsaid.get(0), List.copyOf(unsaid));
        }
    }
}
