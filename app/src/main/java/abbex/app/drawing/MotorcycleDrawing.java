package abbex.app.drawing;

import static abbex.app.drawing.Elevation.plain;
import static abbex.app.drawing.Elevation.up;

import abbex.core.figure.Place;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.PointMethod;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A motorcycle from its left side: the front axle at x = 0, the rear one a wheelbase behind it. The outline goes through the
 * marked points at the heights that were read, before and now; what is not measured yet is drawn at a usual place. Drawing
 * geometry only.
 */
public final class MotorcycleDrawing {
    private static final double WHEELBASE = 1480;
    private static final double TYRE = 310;
    private static final double HEAD_DEGREES = 25;
    /** The marked point of the seat, as a part of the wheelbase behind the front axle. */
    private static final double SEAT_AT = 0.6;

    private static final double SIZE = 1180;

    private final double wheelbase;
    private final double front;
    private final double rear;
    private final double head;

    private MotorcycleDrawing(Vehicle vehicle) {
        this.wheelbase = vehicle.wheelbase().map(w -> w.mm()).orElse(WHEELBASE);
        this.front = vehicle.tyre(End.FRONT).map(t -> t.freeRadius().mm()).orElse(TYRE);
        this.rear = vehicle.tyre(End.REAR).map(t -> t.freeRadius().mm()).orElse(TYRE);
        this.head = vehicle.headAngle().map(a -> a.rad()).orElse(Math.toRadians(HEAD_DEGREES));
    }

    /** The heights of the marked points over the floor. */
    private record Body(double front, double seat, double rear, double tube) {}

    public static Elevation of(MeasuringPoint spot, Vehicle vehicle, @Nullable HeightSheet before, HeightSheet sheet) {
        MotorcycleDrawing drawing = new MotorcycleDrawing(vehicle);
        return drawing.draw(spot, before, sheet);
    }

    private Elevation draw(MeasuringPoint spot, @Nullable HeightSheet before, HeightSheet sheet) {
        Body was = before == null ? null : body(before, null);
        Body is = body(sheet, was);
        if (spot.way().equals(PointMethod.FT)) {
            return tubes(is, was);
        }
        List<Elevation.Stroke> strokes = new ArrayList<>();
        fork(strokes, is);
        machine(strokes, is);
        if (was != null && !was.equals(is)) {
            strokes.add(new Elevation.Stroke("lip was", outline(was)));
        }
        strokes.add(new Elevation.Stroke(sheet.points().isEmpty() ? "lip guess" : "lip is", outline(is)));
        List<Elevation.Wheel> wheels = List.of(wheel(0, front), wheel(wheelbase, rear));
        double x = x(spot.place());
        double from = from(spot);
        double to = from + reading(sheet, before, spot).orElseGet(() -> target(spot, is) - from);
        strokes.add(Elevation.mark(x, to));
        if (spot.place() == End.FRONT && !spot.way().equals(PointMethod.FR)) {
            // From the marked point on the head across to where the tape stands over the axle.
            strokes.add(new Elevation.Stroke("hair", "M" + plain(x) + " " + up(to) + "H" + plain(forkX(to))));
        }
        return new Elevation(Elevation.box(x - SIZE / 2, SIZE), wheels, strokes, Elevation.arrow(x, from, to, SIZE));
    }

    private static Elevation.Wheel wheel(double x, double tyre) {
        return new Elevation.Wheel(plain(x), up(hub(tyre)), plain(tyre), plain(rim(tyre)));
    }

    private static double hub(double tyre) {
        return tyre * 0.97;
    }

    private static double rim(double tyre) {
        return tyre * 0.72;
    }

    private double x(Place place) {
        return place == End.REAR ? wheelbase : place == Seat.SEAT ? SEAT_AT * wheelbase : 0;
    }

    private double tyre(Place place) {
        return place == End.REAR ? rear : front;
    }

    private double from(MeasuringPoint spot) {
        double tyre = tyre(spot.place());
        if (spot.way().equals(PointMethod.FR)) {
            return hub(tyre) + rim(tyre);
        }
        return ((PointMethod) spot.way()).floorInIt() ? 0 : hub(tyre);
    }

    /** Where the arrow ends before anything is read. */
    private double target(MeasuringPoint spot, Body body) {
        if (spot.way().equals(PointMethod.FR)) {
            return hub(tyre(spot.place())) + tyre(spot.place()) + 45;
        }
        return spot.place() == Seat.SEAT ? body.seat() : spot.place() == End.REAR ? body.rear() : body.front();
    }

    /** From what was read; else from what was read before; else usual. */
    private Body body(HeightSheet sheet, @Nullable Body known) {
        double ahead = height(sheet, End.FRONT, PointMethod.AX)
                .map(h -> h + hub(front))
                .orElse(known == null ? hub(front) + 560 : known.front());
        double behind = height(sheet, End.REAR, PointMethod.AX)
                .map(h -> h + hub(rear))
                .orElse(known == null ? hub(rear) + 400 : known.rear());
        double seat = height(sheet, Seat.SEAT, PointMethod.SEAT).orElse(known == null ? 800 : known.seat());
        double tube = height(sheet, End.FRONT, PointMethod.FT).orElse(known == null ? 8 : known.tube());
        return new Body(ahead, seat, behind, tube);
    }

    private static Optional<Double> height(HeightSheet sheet, Place place, PointMethod way) {
        return reading(sheet, null, MeasuringPoint.of(place, way));
    }

    private static Optional<Double> reading(HeightSheet sheet, @Nullable HeightSheet before, MeasuringPoint spot) {
        return sheet.at(spot)
                .or(() -> before == null ? Optional.empty() : before.at(spot))
                .map(h -> h.value().mm());
    }

    /** The fork's tube at a height: the axle stands a little ahead of the steering axis. */
    private double forkX(double height) {
        return (height - hub(front)) * Math.tan(head);
    }

    /** The end of the tube over the upper clamp, close up; where it was is dashed. */
    private Elevation tubes(Body is, @Nullable Body was) {
        double clamp = is.front() + 30;
        double width = 360;
        double x = forkX(clamp);
        List<Elevation.Stroke> strokes = new ArrayList<>();
        fork(strokes, is);
        double end = clamp + is.tube() * Math.cos(head);
        if (was != null && was.tube() != is.tube()) {
            double z = clamp + was.tube() * Math.cos(head);
            strokes.add(new Elevation.Stroke("lip was", "M" + plain(forkX(z) - 60) + " " + up(z) + "h120"));
        }
        strokes.add(new Elevation.Stroke("lip is", "M" + plain(forkX(end) - 24) + " " + up(end) + "h48"));
        return new Elevation(
                Elevation.closeUp(x - width / 2 - 10, clamp + 190, width),
                List.of(),
                strokes,
                Elevation.arrow(x - 90, clamp, end, width));
    }

    private void fork(List<Elevation.Stroke> strokes, Body body) {
        double clamp = body.front() + 30;
        double end = clamp + body.tube() * Math.cos(head);
        double dx = 24;
        strokes.add(new Elevation.Stroke(
                "fork",
                "M" + plain(-dx) + " " + up(hub(front)) + "L" + plain(forkX(end) - dx) + " " + up(end) + "M"
                        + plain(dx) + " " + up(hub(front)) + "L" + plain(forkX(end) + dx) + " " + up(end) + "M"
                        + plain(forkX(end) - dx) + " " + up(end) + "h" + plain(2 * dx)));
        for (double z : new double[] {clamp, body.front() - 150}) {
            strokes.add(new Elevation.Stroke("clamp", "M" + plain(forkX(z) - 58) + " " + up(z) + "h116v28h-116z"));
        }
    }

    /** Handlebar, engine, swingarm: what stands between wheels and body. */
    private void machine(List<Elevation.Stroke> strokes, Body body) {
        double clamp = body.front() + 30;
        strokes.add(new Elevation.Stroke("thin", "M" + plain(forkX(clamp) + 20) + " " + up(clamp) + "q60-100 190-70"));
        double pivot = 0.63 * wheelbase;
        double low = Math.max(120, body.seat() - 640);
        strokes.add(new Elevation.Stroke(
                "thin",
                "M" + plain(pivot) + " " + up(hub(rear) + 50) + "L" + plain(wheelbase) + " " + up(hub(rear)) + "M"
                        + plain(pivot) + " " + up(hub(rear) + 90) + "L" + plain(wheelbase) + " "
                        + up(hub(rear) + 26)));
        strokes.add(new Elevation.Stroke(
                "thin",
                "M" + plain(0.28 * wheelbase) + " " + up(low + 40) + "L" + plain(0.33 * wheelbase) + " " + up(low)
                        + "H" + plain(0.6 * wheelbase) + "L" + plain(pivot + 30) + " " + up(low + 110) + "L"
                        + plain(pivot) + " " + up(body.seat() - 190) + "H" + plain(0.36 * wheelbase) + "Z"));
    }

    /** Steering head, tank, seat, tail, down to the marked point at the rear. */
    private String outline(Body body) {
        double seat = body.seat();
        double w = wheelbase;
        double headX = forkX(body.front());
        return "M" + plain(headX) + " " + up(body.front()) + "L" + plain(headX + 70) + " " + up(body.front() - 20) + "C"
                + plain(headX + 120) + " " + up(seat + 190) + " " + plain(0.4 * w) + " " + up(seat + 200) + " "
                + plain(0.5 * w) + " " + up(seat + 50) + "Q" + plain(0.55 * w) + " " + up(seat) + " "
                + plain(SEAT_AT * w) + " " + up(seat) + "H" + plain(0.7 * w) + "Q" + plain(0.8 * w) + " "
                + up(seat + 30) + " " + plain(0.98 * w) + " " + up(Math.max(seat + 10, body.rear() + 60)) + "L"
                + plain(w + 150) + " " + up(Math.max(seat - 30, body.rear() + 30)) + "L" + plain(w) + " "
                + up(body.rear()) + "L" + plain(0.74 * w) + " " + up(seat - 170) + "L" + plain(0.63 * w) + " "
                + up(seat - 190) + "L" + plain(0.36 * w) + " " + up(seat - 190) + "Z";
    }
}
