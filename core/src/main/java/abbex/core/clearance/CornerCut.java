package abbex.core.clearance;

import abbex.core.motion.Pose;
import abbex.core.motion.WheelPose;
import java.util.List;

/**
 * A corner cut across the axle at a pose: every place is turned about the wheel's axis up into the plane of the cut, so that its
 * gap is the true one. The cut goes along with the wheel when it steers: the hub's face at ride height is at 0, 0.
 *
 * @param wheel how the wheel stands: it is raised and leans in the cut
 * @param body the tyre that must clear, in the wheel's own section
 * @param places in the order of the obstacles
 */
public record CornerCut(WheelPose wheel, TyreBody body, List<Place> places) {
    /** A point of the cut in mm. */
    public record Point(double outboard, double up) {}

    /**
     * A probed place.
     *
     * @param gap to the tyre in mm, negative when it would be inside
     * @param at where it lies
     * @param tyre the tyre's nearest point
     */
    public record Place(ProbePlace place, double gap, Point at, Point tyre) {}

    public CornerCut {
        places = List.copyOf(places);
    }

    static CornerCut of(ClearanceModel house, Pose pose) {
        TyreBody body = house.body();
        Against.Wheel facing = Against.Wheel.of(body, house.planned());
        WheelPose wheel = house.motion().at(pose);
        return new CornerCut(
                wheel,
                body,
                house.obstacles().stream()
                        .map(o -> place(o, house, facing.facing(o.place()), wheel, pose))
                        .toList());
    }

    private static Place place(
            ClearanceModel.Obstacle o, ClearanceModel house, TyreBody body, WheelPose wheel, Pose pose) {
        double[] at = Sweep.inSection(o.point(), o.place().carrier(), house.motion(), pose);
        return new Place(
                o.place(), body.distance(at[0], at[1]), put(at, wheel), put(body.nearest(at[0], at[1]), wheel));
    }

    /** From the wheel's own section into the cut: positive camber leans the top outboard. */
    private static Point put(double[] section, WheelPose wheel) {
        double c = Math.cos(wheel.camber());
        double s = Math.sin(wheel.camber());
        return new Point(section[0] * c + section[1] * s, -section[0] * s + section[1] * c + wheel.up());
    }
}
