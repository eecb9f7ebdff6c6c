package abbex.core.heights;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.figure.Severity;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Whole;
import java.util.List;

/**
 * What a drop sheet may have to say. The order is that in which findings of one severity are shown. Drops are positive down;
 * what is called {@code by} or {@code apart} is unsigned.
 */
public sealed interface HeightFinding extends Finding {
    @Override
    default Place place() {
        return Whole.VEHICLE;
    }

    /** One tyre stands lower than it did: that accounts for what does not go together. */
    record TyreLower(Corner place, Estimate by, Stage stage) implements HeightFinding, Look {}

    /** The same, higher: it may have been low before. */
    record TyreHigher(Corner place, Estimate by, Stage stage) implements HeightFinding, Look {}

    record ReadingSuspect(MeasuringPoint place, Length read, Estimate others, Slip slip)
            implements HeightFinding, Look {}

    record ReadingSuspectBefore(MeasuringPoint place, Length read, Estimate others, Slip slip, Stage stage)
            implements HeightFinding, Look {}

    record ReadingTwins(MeasuringPoint place, List<Stage> stages) implements HeightFinding, Look {}

    record ReadingsSuspect(MeasuringPoint place, List<Taken> readings, Slip slip) implements HeightFinding, Look {}

    record ReadingsSuspectSettled(MeasuringPoint place, List<Taken> readings, Slip slip, Asked ask)
            implements HeightFinding, Look {}

    /** With left and right in each other's place all readings of the sheet go together. */
    record SidesExchanged(MeasuringPoint place, List<Method> methods, Stage stage) implements HeightFinding, Look {}

    /** The same with front and rear. */
    record EndsExchanged(MeasuringPoint place, List<Method> methods, Stage stage) implements HeightFinding, Look {}

    /** A motorcycle's: as written one end rose; with front and rear exchanged both came down by {@code front} and {@code rear}. */
    record MachineEndsExchanged(MeasuringPoint place, PointMethod way, Length front, Length rear)
            implements HeightFinding, Look {}

    record ReadingsRestless() implements HeightFinding, Look {}

    record StagesOutOfOrder(Stage here, Stage before) implements HeightFinding, Look {}

    record ReadBeforeItsStage(Stage here, Stage before) implements HeightFinding, Look {}

    record NothingInCommon() implements HeightFinding, Look, Open {}

    record StandIn(SubstituteBaseline substitute) implements HeightFinding, Look {}

    record LipUnknown(Corner place) implements HeightFinding, Look, Open {}

    record StatePressure(Place place, Pressure before, Pressure now) implements HeightFinding, Look {}

    record StateDiffers(Severity severity, SheetState.Item item, String before, String now) implements HeightFinding {}

    record PressureNotTaken(Place place, List<Place> wheels) implements HeightFinding, Note, Open {}

    record StateNotTaken(List<SheetState.Item> items) implements HeightFinding, Note, Open {}

    record StateHalfTaken(SheetState.Item item, String said) implements HeightFinding, Note, Open {}

    record UnitDoubt(MeasuringPoint place, String read, LengthUnit meant) implements HeightFinding, Look {}

    record WrongColumn(MeasuringPoint place, Length read, List<Method> fits) implements HeightFinding, Look {}

    record UnusualHeight(MeasuringPoint place, Length read, Length from, Length to) implements HeightFinding, Look {}

    /** Left and right of an end lie further apart than vehicles lean, as arrived, and nothing else shows it. */
    record SidesFarApart(End place, Method method, Length left, Length right) implements HeightFinding, Look {}

    /** Rim to lip of every corner falls short of hub to lip by a rim's radius. */
    record RimUpperEdge(Stage stage) implements HeightFinding, Look {}

    record RepeatsDisagree(MeasuringPoint place, Length low, String lowBy, Length high, String highBy)
            implements HeightFinding, Look {}

    record TyreOrMisread(Corner place, Length before, Length now, Estimate change) implements HeightFinding, Look {}

    record TyreSides(End place, Length left, Length right, Estimate difference) implements HeightFinding, Look {}

    record FreeRadiusMoved(Corner place, Length before, Length now, Estimate change) implements HeightFinding, Look {}

    record WheelsChanged(Place place, List<Place> at) implements HeightFinding, Look, Open {}

    /** The vehicle has wheels of more than one kind; which stood on it was not said on these sheets. */
    record WheelsUnsaid(List<Stage> at) implements HeightFinding, Note, Open {
        @Override
        public Place place() {
            return Whole.VEHICLE;
        }
    }

    /** Other wheels, whose tyres were told: what they moved heights by is taken off. */
    record WheelsTakenOff(End place, Length up) implements HeightFinding, Note {}

    /**
     * A load or a bag’s pressure that was told: what it moved the body by is taken off.
     *
     * @param sank at the end that it acts on most, down positive
     */
    record StateTakenOff(SheetState.Item item, String before, String now, Estimate sank)
            implements HeightFinding, Note {
        @Override
        public String which() {
            return item.name();
        }
    }

    record RimRadiusMoved(Corner place, Length before, Length now, Estimate change) implements HeightFinding, Look {}

    record RimRadiusSides(End place, Length left, Length right, Estimate difference) implements HeightFinding, Look {}

    record WheelAgainstFrame(Corner place, Estimate wheel, Estimate frame) implements HeightFinding, Look {}

    record DiagonalOneMethod(MeasuringPoint place, List<Method> moved, Estimate change, List<Method> held)
            implements HeightFinding, Look {}

    record DiagonalMoved(List<Method> moved, Estimate change) implements HeightFinding, Look {}

    record DiagonalOtherBay(List<Method> moved, Estimate change) implements HeightFinding, Note {}

    record DiagonalBefore(Method method, Estimate was) implements HeightFinding, Note {}

    record AxleAgainstWheel(Estimate axle, Estimate wheels) implements HeightFinding, Look {
        @Override
        public End place() {
            return End.REAR;
        }
    }

    /** Which way across the vehicle. */
    enum Side {
        LEFT,
        RIGHT
    }

    record AxleSideways(End place, PointMethod way, Estimate by, Side to) implements HeightFinding, Look {}

    record WaysDisagree(End place, PointMethod one, Estimate oneDrop, PointMethod other, Estimate otherDrop)
            implements HeightFinding, Look {}

    record SeatOutside(Estimate seat, Estimate front, Estimate rear) implements HeightFinding, Look {
        @Override
        public Seat place() {
            return Seat.SEAT;
        }
    }

    record StandSteep(Angle lean, Angle least) implements HeightFinding, Look {}

    record AxleTravelShort(MeasuringPoint place, Place at, Estimate room, Length needed)
            implements HeightFinding, Look {}

    record CornerRose(Place place, Estimate by) implements HeightFinding, Look {}

    record UnevenDrop(Severity severity, End place, Estimate left, Estimate right) implements HeightFinding {}

    record LeftRightNew(Place place, Corner lower, Estimate by, Way method) implements HeightFinding, Look {}

    /** Left and right stand apart as far as they were turned to. */
    record LeftRightTurned(Place place, Corner lower, Estimate by, Way method) implements HeightFinding, Note {}

    record LeftRightAsBefore(Severity severity, Place place, Corner lower, Estimate now, Estimate before, Way method)
            implements HeightFinding {}

    record LeftRightBefore(Place place, Corner lower, Estimate by, Way method) implements HeightFinding, Note {}

    record LessThanPromised(Place place, Estimate drop, Advertised.Range advertised, Length missing)
            implements HeightFinding, Look {}

    record MoreThanPromised(Place place, Estimate drop, Advertised.Range advertised, Length over)
            implements HeightFinding, Look {}

    record LessButUsual(Place place, Estimate drop, Advertised.Range advertised, Length missing)
            implements HeightFinding, Note {}

    record PromiseUnclear(Place place, Estimate drop, Advertised.Range advertised, PromiseDoubt why)
            implements HeightFinding, Note, Open {}

    record MoreButUsual(Place place, Estimate drop, Advertised.Range advertised, Length over)
            implements HeightFinding, Note {}

    record ForkAgainstAxle(End place, PointMethod one, Estimate oneDrop, PointMethod other, Estimate otherDrop)
            implements HeightFinding, Note {}

    record HeadTurned(End lower, Angle by, Angle before, Angle now) implements HeightFinding, Note {}

    record HeadAngleUnknown(End place, End moved, Estimate drop) implements HeightFinding, Look, Open {}

    record ChassisTurned(End lower, Angle by) implements HeightFinding, Note {}

    record StandMoved(Angle before, Angle now) implements HeightFinding, Note {}

    record HeadAngleNeeded() implements HeightFinding, Note, Open {
        @Override
        public End place() {
            return End.FRONT;
        }
    }

    record OneSideOnly(End place, Corner measured, Estimate drop) implements HeightFinding, Note, Open {}

    record TyreInDrop(Place place, List<Place> at) implements HeightFinding, Note {}

    record OnlyFrame(Place place, List<Place> at) implements HeightFinding, Note {}

    /** Since an earlier sheet of the lowered vehicle an end came further down, by more than reading it costs. */
    record SettledBy(End place, Estimate by, Stage since) implements HeightFinding, Note {}

    /** The same upwards, which springs do not do by themselves. */
    record RoseSince(End place, Estimate by, Stage since) implements HeightFinding, Look {}

    record LipMoved(Corner place, Estimate up) implements HeightFinding, Note {}

    record FloorNotUsed() implements HeightFinding, Note, Open {}

    record NoBefore(MeasuringPoint place, Way way, List<Place> at) implements HeightFinding, Look, Open {}

    record BeforeCorrectedLater(MeasuringPoint place, Length read, String by) implements HeightFinding, Note {}

    record FinerThanTape(MeasuringPoint place, String read, Graduation tape) implements HeightFinding, Note {}

    record FramePointsUnknown() implements HeightFinding, Note, Open {}

    record RakeOverWheelbase() implements HeightFinding, Note {}

    record RakeChanged(Length before, Length now, Estimate change) implements HeightFinding, Note {}

    /** Corners that were read before the work and by no method since. */
    record CornersNotRead(Corner place, List<Corner> at) implements HeightFinding, Look, Open {}

    record StillToRead(MeasuringPoint place, Way way, List<Place> at) implements HeightFinding, Note, Open {}

    record ReadingsUnchecked(MeasuringPoint place, List<MeasuringPoint> spots) implements HeightFinding, Note, Open {}

    record NoFrame() implements HeightFinding, Note, Open {}

    record FloorUsed() implements HeightFinding, Note {}

    /** Since an earlier sheet of the lowered vehicle an end stands where it stood. */
    record HeldSince(End place, Estimate by, Stage since) implements HeightFinding, Clear {}

    record AsPromised(Place place, Estimate drop, Advertised.Range advertised) implements HeightFinding, Clear {}

    record LeftRightGood(Place place, Estimate apart, Way method) implements HeightFinding, Clear {}

    record DiagonalHeld(List<Method> held) implements HeightFinding, Clear {}
}
