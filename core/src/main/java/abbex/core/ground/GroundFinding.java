package abbex.core.ground;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.vehicle.Whole;
import java.util.List;

/** What the ground and the lamps may have to say. The order is that in which findings of one severity are shown. */
public sealed interface GroundFinding extends Finding {
    @Override
    default Place place() {
        return Whole.VEHICLE;
    }

    /** The name of the low point and how far it would go into the ground. */
    record Scrapes(String point, Length into) implements GroundFinding, Stop {}

    /** On a ground that the vehicle has to cross: the same, by the ground's name. It can be driven another way. */
    record OwnGroundScrapes(String ground, String point, Length into) implements GroundFinding, Look {}

    /** Driveways as they are usually built on which it scrapes, and how far at most. */
    record UsualScrapes(List<String> grounds, Length into) implements GroundFinding, Look {}

    record LittleAir(String point, Length air) implements GroundFinding, Look {}

    record BelowCode(Lamps.Code part, Length height, Length least, String source) implements GroundFinding, Look {}

    record AboveCode(Lamps.Code part, Length height, Length most, String source) implements GroundFinding, Look {}

    /** The angle by which the beam goes down, and how much lower it meets the wall. */
    record BeamDown(Angle by, Length wall) implements GroundFinding, Look {}

    record BeamUp(Angle by, Length wall) implements GroundFinding, Look {}

    record WithinCode(Lamps.Code part, Length height, Length least, String source) implements GroundFinding, Note {}

    record Passes(String point, Length air) implements GroundFinding, Clear {}
}
