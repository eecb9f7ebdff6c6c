package abbex.core.state;

import abbex.core.heights.SheetState;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Every state of a vehicle in order of time. Made from the acts of all stations; a state is asked for by when it stood. */
public final class VehicleHistory {
    private final List<VehicleState> states;
    private final List<Entry> entries;

    private VehicleHistory(List<VehicleState> states, List<Entry> entries) {
        this.states = List.copyOf(states);
        this.entries = entries;
    }

    /**
     * An act with when it was done.
     *
     * @param by initials of whoever did it
     */
    public record Entry(Instant at, String by, StateAct act) {}

    /** Acts in any order; those of one moment count in the order given. */
    public static VehicleHistory of(List<Entry> acts) {
        List<Entry> inOrder =
                acts.stream().sorted(Comparator.comparing(Entry::at)).toList();
        List<VehicleState> states = new ArrayList<>();
        states.add(VehicleState.ARRIVED);
        for (Entry entry : inOrder) {
            states.add(after(states.get(states.size() - 1), entry));
        }
        return new VehicleHistory(states, inOrder);
    }

    /** As it stands. */
    public VehicleState now() {
        return states.get(states.size() - 1);
    }

    /** As it stood at a moment, acts of that moment done; as it arrived before the first. */
    public VehicleState at(Instant moment) {
        VehicleState stood = states.get(0);
        for (VehicleState state : states) {
            if (!state.since().isAfter(moment)) {
                stood = state;
            }
        }
        return stood;
    }

    /** Since when the parts of an end stand; empty where they are those it came with. */
    public Optional<Instant> fitted(End end) {
        PartsFitted is = now().parts().get(end);
        if (!is.changed()) {
            return Optional.empty();
        }
        Instant since = Instant.EPOCH;
        for (int i = 1; i < states.size(); i++) {
            boolean other = !same(
                    states.get(i).parts().get(end), states.get(i - 1).parts().get(end));
            since = other ? states.get(i).since() : since;
        }
        return Optional.of(since);
    }

    private static boolean same(PartsFitted one, PartsFitted other) {
        return one.origin() == other.origin() && one.kit().equals(other.kit());
    }

    /** When the newest other parts went in anywhere; empty before any did. */
    public Optional<Instant> partsSince() {
        return entries.stream()
                .filter(entry -> entry.act() instanceof StateAct.PartsChanged)
                .map(Entry::at)
                .reduce((one, other) -> other);
    }

    private static VehicleState after(VehicleState was, Entry entry) {
        PerEnd<PartsFitted> parts = was.parts();
        PerCorner<Double> turned = was.turned();
        String wheels = was.wheels();
        Map<String, Instant> remedies = new HashMap<>(was.remedies());
        OpenWork open = was.open();
        SheetState loads = was.loads();
        boolean settled = was.settled();
        if (entry.act() instanceof StateAct.PartsChanged changed) {
            parts = PerEnd.of(
                    end -> end == changed.end() ? changed.parts() : was.parts().get(end));
            settled = settled && same(was.parts().get(changed.end()), changed.parts());
        } else if (entry.act() instanceof StateAct.Turned moved) {
            turned = PerCorner.of(corner -> sum(was, moved, corner));
        } else if (entry.act() instanceof StateAct.WheelsMounted mounted) {
            wheels = mounted.set();
        } else if (entry.act() instanceof StateAct.RemedyFitted fitted) {
            remedies.put(fitted.remedy(), entry.at());
        } else if (entry.act() instanceof StateAct.RemedyRemoved removed) {
            remedies.remove(removed.remedy());
        } else if (entry.act() instanceof StateAct.Worked worked) {
            open = worked.open();
        } else if (entry.act() instanceof StateAct.Loaded loaded) {
            loads = loaded.loads();
        } else {
            settled = true;
        }
        return new VehicleState(parts, turned, wheels, remedies, open, loads, settled, entry.at(), entry.by());
    }

    private static double sum(VehicleState was, StateAct.Turned moved, Corner corner) {
        return was.turned().get(corner) + moved.atWheel().get(corner);
    }
}
