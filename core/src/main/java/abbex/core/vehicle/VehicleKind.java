package abbex.core.vehicle;

import abbex.core.figure.Place;
import java.util.ArrayList;
import java.util.List;

/** What stands on the floor. What follows from it is asked here, so that nobody else asks which kind it is. */
public enum VehicleKind {
    CAR(Frame.UNIT_BODY),
    TRUCK(Frame.CAB_AND_BED),
    MOTORCYCLE(Frame.SINGLE_TRACK);

    /** What stands on most floors. */
    public static final VehicleKind USUAL = CAR;

    private enum Frame {
        UNIT_BODY,
        CAB_AND_BED,
        SINGLE_TRACK
    }

    private final Frame frame;

    VehicleKind(Frame frame) {
        this.frame = frame;
    }

    /** Body and frame are one: stiff, and as low as cars are. */
    public boolean unitBody() {
        return frame == Frame.UNIT_BODY;
    }

    /** Cab and bed stand apart on a frame; the rear axle may carry two wheels on a side. */
    public boolean cabAndBed() {
        return frame == Frame.CAB_AND_BED;
    }

    /** One wheel behind the other, steered by a fork: it leans, and has ends but no corners. */
    public boolean singleTrack() {
        return frame == Frame.SINGLE_TRACK;
    }

    /** Its wheels, each with a tyre pressure of its own, in walking order. */
    public List<Place> wheels(boolean dualRear) {
        if (singleTrack()) {
            return List.of(End.values());
        }
        List<Place> wheels = new ArrayList<>(Corner.WALK);
        if (dualRear) {
            wheels.addAll(List.of(InnerWheel.values()));
        }
        return List.copyOf(wheels);
    }

    /** Where its wheels stand: in corners, in walking order; on a single track at its ends. */
    public List<? extends WheelPlace> wheelPlaces() {
        return singleTrack() ? List.of(End.values()) : Corner.WALK;
    }

    /** What a corner is called: on a single track its end. */
    public Place called(Corner corner) {
        return singleTrack() ? corner.end() : corner;
    }

    /** The places of some corners: on a single track their ends, each once. */
    public List<Place> called(List<Corner> corners) {
        return corners.stream().map(this::called).distinct().toList();
    }

    /** Where a kit may advertise a drop, from front to rear. */
    public List<Place> advertised() {
        return singleTrack() ? List.of(End.FRONT, Seat.SEAT, End.REAR) : List.of(End.values());
    }
}
