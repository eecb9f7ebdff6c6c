package abbex.core.kit;

import abbex.core.figure.Finding;
import abbex.core.motorcycle.ForkSlide;
import abbex.core.units.Angle;
import abbex.core.units.Force;
import abbex.core.units.Frequency;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.End;

/** What a drop takes with it at an end. The order is that in which findings of one severity are shown. */
public sealed interface KitFinding extends Finding {
    @Override
    End place();

    /** Of how it will stand: nothing once that was measured. */
    default boolean untilMeasured() {
        return this instanceof GoesUp
                || ofThePrinted()
                || this instanceof SeatUntellable
                || this instanceof OneEndYet
                || this instanceof Steers
                || this instanceof StandWillLean
                || this instanceof PinionTurns;
    }

    /** Of the printed number against what the parts come to. */
    default boolean ofThePrinted() {
        return this instanceof BoxAndParts
                || this instanceof NotAsBoxed
                || this instanceof PerhapsNotAsBoxed
                || this instanceof BoxUnproven;
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

    /** What is cut off a bump stop: whole rings, or so much of one that has none. */
    record Trim(int rings, Length off) {}

    /** The body rests on its bump stops: at rest, or for all that can be told. */
    record OnStops(End place, Length into, Trim rings, Length then) implements KitFinding, Stop {}

    /** At full droop the spring is shorter than the room between its seats; what cures it: a shorter damper, or a helper spring. */
    record LooseAtDroop(End place, Length slack, Length shorter) implements KitFinding, Stop {}

    /** The coils come to lie on each other before damper or stop ends the travel. */
    record Binds(End place, Length missing) implements KitFinding, Stop {}

    /** What is fitted does not go together: its spring carries less than what the gas pushes out, or is solid under its load. */
    record CannotCarry(End place) implements KitFinding, Stop {}

    /** Points of a linkage as no machine has them: its spring is not pressed as the wheel goes up. */
    record LinkagePoints(End place) implements KitFinding, Stop {}

    /** A link with which nothing closes: by how much, and at which travel of the wheel it is nearest to that. */
    record LinkWillNotClose(End place, Length gap, Length at) implements KitFinding, Stop {}

    /** A link that no longer closes once the wheel has gone up so far over a bump. */
    record LinkRunsOut(End place, Length at) implements KitFinding, Stop {}

    /** A shackle with which spring and hanger do not meet, and by how much. */
    record ShackleWillNotClose(End place, Length gap) implements KitFinding, Stop {}

    /** A shackle so nearly in line with its spring that it may turn over. */
    record ShackleTurnsOver(End place, Angle lean) implements KitFinding, Stop {}

    /** More than the vehicle may carry. */
    record AbovePlate(End place, Force load, Force plate) implements KitFinding, Stop {}

    /** It comes to rest on its bump stops as far as can be told, but may not. */
    record PerhapsOnStops(End place, Length into, Trim rings, Length then) implements KitFinding, Look {}

    /** Travel of a live axle under its frame: less than is needed, and how deep a notch would have to be. */
    record AxleNearFrame(End place, Length now, Length left, Length notch) implements KitFinding, Look {}

    record MayBeLoose(End place, Length slack, Length shorter) implements KitFinding, Look {}

    /** Little travel to the stop; so many rings off leave so much. */
    record LittleTravel(End place, Length left, Trim rings, Length then) implements KitFinding, Look {}

    /** The same, where half of a stop without rings would not be enough. */
    record LittleTravelLeft(End place, Length left) implements KitFinding, Look {}

    record NearBind(End place, Length margin) implements KitFinding, Look {}

    /** It goes up and not down. */
    record GoesUp(End place, Length up) implements KitFinding, Look {}

    /** The parts one by one say another drop than the box. */
    record NotAsBoxed(End place, Length drop, Length box) implements KitFinding, Look {}

    /** A printed drop, and what other parts give on top of it: it may have them in it already. */
    record BoxAndParts(End place, Length box, Length parts) implements KitFinding, Look {}

    /** Nobody can say which way a seat of other shape moves it. */
    record SeatUntellable(End place, Length least, Length most) implements KitFinding, Look {}

    /** A pinion that is turned so far that its joints no longer cancel: which way, and the wedge that turns it back. */
    record PinionTurns(End place, Nose nose, Angle by) implements KitFinding, Look {}

    /** A machine that leans so little on its stand that it may topple; the cut that brings its old lean back. */
    record StandWillTopple(End place, Angle was, Angle is, Length shorten) implements KitFinding, Look {}

    /** Joints that do not cancel, what was uneven before, and the wedge or saddle that sets the pinion parallel again. */
    record JointsUneven(End place, Angle was, Angle is, Nose nose, Angle wedge) implements KitFinding, Look {}

    /** The same where slopes are not known well enough to say. */
    record JointsMayBeUneven(End place, Angle is, Angle half, Nose nose, Angle wedge) implements KitFinding, Look {}

    /** A joint that works beyond what its shaft's speed allows. */
    record JointSteep(End place, Angle is, Angle most) implements KitFinding, Look {}

    /** Bags that carry a load only in part: the springs take the rest. */
    record BagsShort(End place, Force load, Pressure most, Force left) implements KitFinding, Look {}

    /** Bags whose least pressure lifts more than the load presses. */
    record BagsLeast(End place, Force load, Pressure least, Force more) implements KitFinding, Look {}

    /** A fork that cannot go up as far as the head angle asks for: what stops it, and how much cannot be had back. */
    record ForkStops(End place, ForkSlide.Stop stop, Length slide, Angle left) implements KitFinding, Look {}

    /** One end that comes down while the other does not, and how far the chassis turns by that. */
    record OneEndYet(End place, Angle by) implements KitFinding, Look {}

    record StandWillLean(End place, Angle was, Angle is, Length shorten) implements KitFinding, Note {}

    /** Head angle and trail as the chassis turns. */
    record Steers(End place, Angle was, Angle is, Length trailWas, Length trailIs) implements KitFinding, Note {}

    /** A part that touches at another lean. */
    record TouchesEarlier(End place, Side side, Angle was, Angle is) implements KitFinding, Note {}

    /** What presses its bags so that a load does not let it down, and how far it would go without. */
    record BagsCarry(End place, Force load, Pressure pressure, Length without) implements KitFinding, Note {}

    /** Bags on one line. */
    record BagsJoined(End place) implements KitFinding, Note {}

    /** How far a slip joint goes out, or in, negative. */
    record SlipMoves(End place, Length out) implements KitFinding, Note {}

    /** The same, where that was measured to be possible. */
    record ForkReaches(End place, Length slide) implements KitFinding, Note {}

    /** How far the fork goes up in its clamps so that the head angle stays. */
    record ForkRestores(End place, Length slide) implements KitFinding, Note {}

    /** An axle that a lateral rod moves across: which way, and how much longer (or shorter, negative) the rod has to be. */
    record AxleShifts(End place, Side towards, Length by, Length longer) implements KitFinding, Note {}

    record GasLifts(End place, Length up) implements KitFinding, Note {}

    /** A spring as long as the old one, or longer, that lowers. */
    record NoShorter(End place, Length longer, Length drop) implements KitFinding, Note {}

    /** A spring far shorter than the old one that lowers by less. */
    record MuchShorter(End place, Length shorter, Length drop) implements KitFinding, Note {}

    /** The same, as far as can be told: what nobody measured may make up for it. */
    record PerhapsNotAsBoxed(End place, Length drop, Length half, Length box) implements KitFinding, Note {}

    /** A spring by its figures and a printed drop that nothing told of the old spring can be held against. */
    record BoxUnproven(End place, Length box) implements KitFinding, Note, Open {}

    record SeatTilted(End place, Angle by) implements KitFinding, Note {}

    record Rides(End place, Frequency was, Frequency is) implements KitFinding, Note {}

    record SomeTravel(End place, Length left) implements KitFinding, Note {}

    /** Nobody measured what tells it. */
    record TravelUnknown(End place) implements KitFinding, Note, Open {}

    record DroopUnknown(End place) implements KitFinding, Note, Open {}

    /** A chassis that turns, and nobody told how it steers. */
    record SteeringUnknown(End place) implements KitFinding, Note, Open {}

    record Unsaid(End place) implements KitFinding, Note, Open {}

    record JointsEven(End place, Angle is) implements KitFinding, Clear {}

    record AxleClearsFrame(End place, Length left) implements KitFinding, Clear {}

    record EnoughTravel(End place, Length left) implements KitFinding, Clear {}

    record Captive(End place, Length held) implements KitFinding, Clear {}
}
