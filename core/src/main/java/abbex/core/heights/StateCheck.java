package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.figure.Severity;
import abbex.core.units.Pressure;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

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
        List<SheetState.Item> neither = new ArrayList<>();
        for (SheetState.Item item : SheetState.Item.values()) {
            if (item == SheetState.Item.STAND_LEAN) {
                continue;
            }
            Optional<String> was = before.said(item);
            Optional<String> is = after.said(item);
            if (was.isPresent() && is.isPresent()) {
                if (before.differs(after, item)) {
                    differs(c, item, was.get(), is.get());
                }
            } else if (was.isPresent() || is.isPresent()) {
                c.say(new HeightFinding.StateHalfTaken(item, was.or(() -> is).get()));
            } else if (item.always(c.vehicle().kind())) {
                neither.add(item);
            }
        }
        List<Stage> doubtful = Stream.of(c.before(), c.after())
                .map(HeightSheet::basis)
                .filter(basis -> basis.wheels().doubtful())
                .map(Basis::stage)
                .toList();
        if (!doubtful.isEmpty()) {
            c.say(new HeightFinding.WheelsUnsaid(doubtful));
            neither.remove(SheetState.Item.WHEEL_SET);
        }
        if (!neither.isEmpty()) {
            c.say(new HeightFinding.StateNotTaken(List.copyOf(neither)));
        }
    }

    private static void differs(Comparison c, SheetState.Item item, String was, String is) {
        if (item == SheetState.Item.WHEEL_SET && told(c)) {
            wheels(c);
        } else if (item == SheetState.Item.LOAD && c.known().loadsTold()) {
            c.say(new HeightFinding.StateTakenOff(item, was, is, c.known().load()));
        } else if (item == SheetState.Item.BAG_PRESSURE
                && c.known().bags(End.REAR).value().sign() != 0) {
            c.say(new HeightFinding.StateTakenOff(item, was, is, c.known().bags(End.REAR)));
        } else {
            c.say(new HeightFinding.StateDiffers(
                    item == SheetState.Item.BAY ? Severity.NOTE : Severity.LOOK, item, was, is));
        }
    }

    /** The tyres of both sets are known, so that what they move heights by can be taken off. */
    private static boolean told(Comparison c) {
        return c.vehicle().kind().wheelPlaces().stream()
                .allMatch(wheel -> c.known().tyre(wheel).isPresent());
    }

    private static void wheels(Comparison c) {
        for (End end : End.values()) {
            c.say(new HeightFinding.WheelsTakenOff(
                    end,
                    c.tyre(c.after(), end)
                            .orElseThrow()
                            .freeRadius()
                            .minus(c.tyre(c.before(), end).orElseThrow().freeRadius())));
        }
    }

    private static void pressures(Comparison c) {
        List<Place> unsaid = new ArrayList<>();
        for (Place wheel : c.vehicle().wheels()) {
            Optional<Pressure> was = c.before().state().pressure(wheel);
            Optional<Pressure> is = c.after().state().pressure(wheel);
            if (was.isEmpty() || is.isEmpty()) {
                unsaid.add(wheel);
            } else if (was.get().differsFrom(is.get())) {
                c.say(new HeightFinding.StatePressure(wheel, was.get(), is.get()));
            }
        }
        if (!unsaid.isEmpty()) {
            c.say(new HeightFinding.PressureNotTaken(unsaid.get(0), List.copyOf(unsaid)));
        }
    }
}
