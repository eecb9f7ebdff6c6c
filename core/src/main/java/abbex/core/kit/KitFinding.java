package abbex.core.kit;

import abbex.core.figure.Finding;
import abbex.core.units.Angle;
import abbex.core.units.Frequency;
import abbex.core.units.Length;
import abbex.core.vehicle.End;

/** What a drop takes with it at an end. The order is that in which findings of one severity are shown. */
public sealed interface KitFinding extends Finding {
    @Override
    End place();

    /** Of how it will stand: nothing once that was measured. */
    default boolean untilMeasured() {
        return this instanceof GoesUp || this instanceof NotAsBoxed || this instanceof SeatUntellable;
    }

    /** A side of the vehicle, as the driver sits. */
    enum Side {
        LEFT,
        RIGHT
    }

    /** Which way a pinion's nose goes. */
    enum Nose {
        UP,
        DOWN
    }

    /** So many rings of a bump stop. */
    record Rings(int count) {}

    /** The body rests on its bump stops: at rest, or for all that can be told. */
    record OnStops(End place, Length into, Rings rings, Length then) implements KitFinding, Stop {}

    /** At full droop the spring is shorter than the room between its seats; what cures it: a shorter damper, or a helper spring. */
    record LooseAtDroop(End place, Length slack, Length shorter) implements KitFinding, Stop {}

    /** The coils come to lie on each other before damper or stop ends the travel. */
    record Binds(End place, Length missing) implements KitFinding, Stop {}

    /** What is fitted does not go together: its spring carries less than what the gas pushes out, or is solid under its load. */
    record CannotCarry(End place) implements KitFinding, Stop {}

    /** It comes to rest on its bump stops as far as can be told, but may not. */
    record PerhapsOnStops(End place, Length into, Rings rings, Length then) implements KitFinding, Look {}

    /** Travel of a live axle under its frame: less than is needed, and how deep a notch would have to be. */
    record AxleNearFrame(End place, Length now, Length left, Length notch) implements KitFinding, Look {}

    record MayBeLoose(End place, Length slack, Length shorter) implements KitFinding, Look {}

    /** Little travel to the stop; so many rings off leave so much. */
    record LittleTravel(End place, Length left, Rings rings, Length then) implements KitFinding, Look {}

    /** The same, with nothing that could be trimmed. */
    record LittleTravelLeft(End place, Length left) implements KitFinding, Look {}

    record NearBind(End place, Length margin) implements KitFinding, Look {}

    /** It goes up and not down. */
    record GoesUp(End place, Length up) implements KitFinding, Look {}

    /** The parts one by one say another drop than the box. */
    record NotAsBoxed(End place, Length drop, Length box) implements KitFinding, Look {}

    /** Nobody can say which way a seat of other shape moves it. */
    record SeatUntellable(End place, Length least, Length most) implements KitFinding, Look {}

    /** A pinion that is turned so far that its joints no longer cancel: which way, and the wedge that turns it back. */
    record PinionTurns(End place, Nose nose, Angle by) implements KitFinding, Look {}

    /** A machine that leans so little on its stand that it may topple; the cut that brings its old lean back. */
    record StandWillTopple(End place, Angle was, Angle is, Length shorten) implements KitFinding, Look {}

    record StandWillLean(End place, Angle was, Angle is, Length shorten) implements KitFinding, Note {}

    /** Head angle and trail as the chassis turns. */
    record Steers(End place, Angle was, Angle is, Length trailWas, Length trailIs) implements KitFinding, Note {}

    /** How far the fork goes up in its clamps so that the head angle stays. */
    record ForkRestores(End place, Length slide) implements KitFinding, Note {}

    /** An axle that a lateral rod moves across: which way, and how much longer (or shorter, negative) the rod has to be. */
    record AxleShifts(End place, Side towards, Length by, Length longer) implements KitFinding, Note {}

    record GasLifts(End place, Length up) implements KitFinding, Note {}

    /** A spring as long as the old one, or longer, that lowers. */
    record NoShorter(End place, Length longer, Length drop) implements KitFinding, Note {}

    /** A spring far shorter than the old one that lowers by less. */
    record MuchShorter(End place, Length shorter, Length drop) implements KitFinding, Note {}

    record SeatTilted(End place, Angle by) implements KitFinding, Note {}

    record Rides(End place, Frequency was, Frequency is) implements KitFinding, Note {}

    record SomeTravel(End place, Length left) implements KitFinding, Note {}

    /** Nobody measured what tells it. */
    record TravelUnknown(End place) implements KitFinding, Note, Open {}

    record DroopUnknown(End place) implements KitFinding, Note, Open {}

    record Unsaid(End place) implements KitFinding, Note, Open {}

    record AxleClearsFrame(End place, Length left) implements KitFinding, Clear {}

    record EnoughTravel(End place, Length left) implements KitFinding, Clear {}

    record Captive(End place, Length held) implements KitFinding, Clear {}
}
