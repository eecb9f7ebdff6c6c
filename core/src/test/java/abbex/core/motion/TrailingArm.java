package abbex.core.motion;

import org.jspecify.annotations.Nullable;

/**
 * A wheel on an arm whose pivot lies ahead of it at the same height: it goes on a circle. What stands behind the seam beside
 * the straight motion, for tests.
 *
 * @param arm from pivot to wheel in mm
 * @param camber at all poses, in radians
 * @param axis of steer inboard of the hub's face, in mm
 */
public record TrailingArm(Range range, double arm, double camber, double axis) implements Motion {
    private StraightMotion straight() {
        return new StraightMotion(range, camber, 0, 0, axis);
    }

    /** So far does the circle carry the wheel towards the pivot. */
    private double ahead(double bump) {
        return arm - Math.sqrt(arm * arm - bump * bump);
    }

    private double most() {
        return Math.max(range.bump(), range.droop());
    }

    @Override
    public Motion withRange(Range other) {
        return new TrailingArm(other, arm, camber, axis);
    }

    @Override
    public Motion leaned(double by) {
        return new TrailingArm(range, arm, camber + by, axis);
    }

    /** With the pivot raised as well, so that the wheel still rests level with it. */
    @Override
    public Motion raised(double by) {
        return new TrailingArm(range.raised(by), arm, camber, axis);
    }

    @Override
    public Motion steeredAbout(double further) {
        return new TrailingArm(range, arm, camber, axis + further);
    }

    @Override
    public Known known() {
        return Known.MEASURED;
    }

    @Override
    public WheelPose at(Pose pose) {
        WheelPose one = straight().at(pose);
        return new WheelPose(one.ahead() + ahead(pose.bump()), one.outboard(), one.up(), one.steer(), one.camber());
    }

    @Override
    public void toWheel(double[] point, double bump, double steer, double roll, double @Nullable [] slopes) {
        point[0] -= ahead(bump);
        straight().toWheel(point, bump, steer, roll, slopes);
        if (slopes != null) {
            double rate = bump / Math.sqrt(arm * arm - bump * bump);
            double lean = camber - roll;
            slopes[0] -= rate * Math.cos(steer);
            slopes[1] += rate * Math.sin(steer) * Math.cos(lean);
            slopes[2] += rate * Math.sin(steer) * Math.sin(lean);
        }
    }

    @Override
    public Motion gaining(Gain more) {
        return this;
    }

    @Override
    public void fromWheel(double[] point, double bump) {
        straight().fromWheel(point, bump);
        point[0] += ahead(bump);
    }

    private double steepest() {
        double most = most();
        return most / Math.sqrt(arm * arm - most * most);
    }

    /** The circle carries the point at most so far along as well. */
    @Override
    public Reach reach(double[] point) {
        double most = most();
        Reach straight = straight().reach(new double[] {Math.abs(point[0]) + ahead(most), point[1], point[2]});
        double steepest = steepest();
        double curve = arm * arm / Math.pow(arm * arm - most * most, 1.5);
        return new Reach() {
            @Override
            public double bump() {
                return Math.hypot(1, steepest);
            }

            @Override
            public double steer() {
                return straight.steer();
            }

            @Override
            public double roll() {
                return straight.roll();
            }

            @Override
            public double bend(double bump, double steer, double roll) {
                return straight.bend(bump, steer, roll) + curve * bump * bump / 2 + steepest * bump * (steer + roll);
            }
        };
    }
}
