package abbex.app.page;

import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.InnerWheel;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.VehicleKind;
import abbex.core.vehicle.Whole;
import java.util.List;
import org.springframework.stereotype.Component;

/** Words for the places of a vehicle. */
@Component
public class VehicleWords extends Wording {
    public VehicleWords() {
        named(Corner.class, "corner.");
        named(End.class, "end.");
        named(Whole.class, "whole.");
        named(VehicleKind.class, "kind.");
        of(Seat.class, (seat, words, reader) -> words.say("wheel." + seat.code()));
        of(InnerWheel.class, (wheel, words, reader) -> words.say("wheel." + wheel.code()));
        of(
                List.class,
                (many, words, reader) -> many.equals(Corner.WALK) ? words.say("corner.all") : words.list(many, reader));
    }
}
