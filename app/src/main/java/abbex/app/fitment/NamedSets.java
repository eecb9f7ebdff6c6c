package abbex.app.fitment;

import abbex.app.arrive.KnownWheels;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.wheels.TyreSize;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Wheel sets as other stations know them: by name and size. */
@Component
class NamedSets implements KnownWheels {
    private final WheelSets sets;

    NamedSets(WheelSets sets) {
        this.sets = sets;
    }

    @Override
    public List<Known> of(UUID shop, UUID vehicle) {
        return sets.of(shop, vehicle).stream()
                .map(set -> new Known(
                        set.name(),
                        Stream.of(End.values())
                                .map(end -> set.text(WheelSet.Item.TYRE, end) + " "
                                        + set.text(WheelSet.Item.WHEEL, end) + " "
                                        + set.text(WheelSet.Item.SPACER, end))
                                .collect(Collectors.joining("; ")),
                        set.use() == WheelSet.Use.NOW || set.use() == WheelSet.Use.PLANNED,
                        PerEnd.of(end -> set.tyre(end).map(TyreSize::overallDiameter))))
                .toList();
    }
}
