package abbex.core.ground;

import abbex.core.figure.Finding;
import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Method;
import abbex.core.heights.RideHeight;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * How a vehicle stands on level ground as it was, is and is planned: what every picture of it and every way that it goes begin
 * with.
 *
 * @param planned what is lowest under it at the planned height
 * @param lifted the same with the nose lifted as far as it goes; the same as planned where nothing lifts it
 * @param outlines how the body stands on its wheels, in the order was, is, planned; those that are known or differ
 * @param going how it goes over a ground: as planned, its nose lifted
 * @param noseLift how far that raises the front axle, mm; 0 where nothing lifts it
 */
public record Stance(Underbody planned, Underbody lifted, List<Outline> outlines, Outline going, double noseLift) {
    /** Lips are taken so far over the tyre while nobody has measured them, mm (ours). */
    private static final double USUAL_LIP = 60;

    /** Which of the three. */
    public enum When {
        WAS,
        IS,
        PLANNED
    }

    /**
     * How a body stands on its wheels.
     *
     * @param front height of the front lips over level ground, mm
     * @param rear the same behind
     */
    public record Outline(When when, double front, double rear) {}

    /**
     * What the heights of a vehicle tell.
     *
     * @param sheets of this stay, in order of time
     * @param ride how low it stands and is planned
     * @param drops how far each end came down in this stay; empty where that is not known
     */
    public record Told(List<HeightSheet> sheets, RideHeight ride, PerEnd<Optional<Length>> drops) {
        /** How far an end is to come down from where it stands now, mm. */
        double further(End end) {
            return ride.planned(end).value().mm() - ride.now(end).value().mm();
        }

        /** Static loaded radius of an end, mm; empty when neither heights nor the tyre's free diameter tell. */
        OptionalDouble radius(End end, OptionalDouble freeDiameter) {
            List<Double> hubs = sheets.isEmpty()
                    ? List.of()
                    : wheels(end)
                            .flatMap(c -> groundLessHub(sheets.get(sheets.size() - 1), c).stream())
                            .toList();
            return Underbody.loadedRadius(hubs, freeDiameter);
        }

        private static Optional<Double> groundLessHub(HeightSheet sheet, Corner corner) {
            return height(sheet, corner, Method.GF)
                    .flatMap(ground -> height(sheet, corner, Method.HF).map(hub -> ground - hub));
        }

        /** The lips' height over the floor on the newest sheet where they were measured. */
        private double lip(End end, double radius) {
            for (int i = sheets.size() - 1; i >= 0; i--) {
                HeightSheet sheet = sheets.get(i);
                OptionalDouble lip = wheels(end)
                        .flatMap(c ->
                                height(sheet, c, Method.GF)
                                        .or(() -> height(sheet, c, Method.HF).map(h -> h + radius))
                                        .stream())
                        .mapToDouble(Double::doubleValue)
                        .average();
                if (lip.isPresent()) {
                    return lip.getAsDouble();
                }
            }
            return 2 * radius + USUAL_LIP;
        }

        private static Stream<Corner> wheels(End end) {
            return Stream.of(end.left(), end.right());
        }

        private static Optional<Double> height(HeightSheet sheet, Corner corner, Method method) {
            return sheet.at(corner, method).map(Height::value).map(Length::mm);
        }
    }

    /**
     * Brings it together.
     *
     * @param wheelbase mm
     * @param freeDiameter of the tyres of an end, mm; empty when not known
     * @param points under it, at the planned height
     * @param noseLift how far a lift raises the front axle, mm; 0 where there is none
     * @return empty while the radius of an end is not known
     */
    public static Optional<Stance> of(
            double wheelbase,
            PerEnd<OptionalDouble> freeDiameter,
            Told told,
            List<Underbody.Point> points,
            double noseLift) {
        OptionalDouble front = told.radius(End.FRONT, freeDiameter.front());
        OptionalDouble rear = told.radius(End.REAR, freeDiameter.rear());
        if (front.isEmpty() || rear.isEmpty()) {
            return Optional.empty();
        }
        Underbody planned = new Underbody(wheelbase, front.getAsDouble(), rear.getAsDouble(), points);
        Outline now = new Outline(
                When.IS, told.lip(End.FRONT, planned.frontRadius()), told.lip(End.REAR, planned.rearRadius()));
        Outline going = new Outline(
                When.PLANNED, now.front() - told.further(End.FRONT) + noseLift, now.rear() - told.further(End.REAR));
        return Optional.of(
                new Stance(planned, planned.lowered(-noseLift, 0), outlines(told, now, going), going, noseLift));
    }

    private static List<Outline> outlines(Told told, Outline now, Outline going) {
        List<Outline> outlines = new ArrayList<>();
        PerEnd<Optional<Length>> drops = told.drops();
        if (drops.front().isPresent() && drops.rear().isPresent()) {
            outlines.add(new Outline(
                    When.WAS,
                    now.front() + drops.front().get().mm(),
                    now.rear() + drops.rear().get().mm()));
        }
        outlines.add(now);
        if (told.further(End.FRONT) != 0 || told.further(End.REAR) != 0) {
            outlines.add(going);
        }
        return List.copyOf(outlines);
    }

    /** Where the lamps' beam went since the vehicle arrived, at the planned height; empty where it went nowhere. */
    public static Optional<Finding> beam(Told told, double wheelbase) {
        Length turned = Length.ofRoundedMm(told.further(End.FRONT) - told.further(End.REAR));
        PerEnd<Optional<Length>> drops = told.drops();
        if (drops.front().isPresent() && drops.rear().isPresent()) {
            turned = turned.plus(drops.front().get().minus(drops.rear().get()));
        }
        return Lamps.turned(turned, Length.ofRoundedMm(wheelbase));
    }

    /** What a ground that the vehicle has to cross adds to the judgement of the whole; empty where it gets over. */
    public static Optional<GroundFinding> own(String ground, Crossing.Least least) {
        return least.air() > 0
                ? Optional.empty()
                : Optional.of(
                        new GroundFinding.OwnGroundScrapes(ground, least.name(), Length.ofRoundedMm(-least.air())));
    }
}
