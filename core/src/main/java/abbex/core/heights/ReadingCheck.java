package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Each reading by itself and beside its partner: column, unit, repeats, what is missing, what was changed late. */
final class ReadingCheck {
    private static final Comparator<Reading> BY_SPOT = Comparator.comparing(
                    (Reading r) -> r.spot().code())
            .thenComparing(r -> r.tape().raw());

    /** So far a vehicle may come down at a spot by what is built: five in at the most that is sold, and one more (ours). */
    static final Length BUILT = Length.ofInches(6, 0, 1);

    private ReadingCheck() {}

    static void run(Comparison c) {
        int repeated = (int) Stream.of(c.before(), c.after())
                .flatMap(sheet -> sheet.everything().stream())
                .filter(height -> height.readings().size() > 1)
                .count();
        for (HeightSheet sheet : List.of(c.before(), c.after())) {
            boolean upper = upperEdge(sheet);
            if (upper) {
                c.say(new HeightFinding.RimUpperEdge(sheet.basis().stage()));
            }
            for (Height height : sheet.everything()) {
                if (!built(c, sheet, height) && !(upper && height.spot().way() == Method.RIM)) {
                    usual(c, height);
                }
                repeats(c, height, repeated);
            }
        }
        finer(c);
        if (!c.after().isEmpty()) {
            if (!common(c)) {
                c.say(new HeightFinding.NothingInCommon());
            }
            missing(c);
            correctedLate(c);
        }
        boolean frame = c.vehicle().kind().singleTrack()
                || c.before().has(Method.FG)
                || c.after().has(Method.FG);
        if (!frame && !(c.before().isEmpty() && c.after().isEmpty())) {
            c.say(new HeightFinding.NoFrame());
        }
    }

    /** Rims of 12 to 25 in by their edge, mm: so far a reading from the upper edge falls short of the hub's. */
    private static final double LEAST_RIM = 150;

    private static final double MOST_RIM = 330;

    /** Wheels of one vehicle are no less alike, mm (ours). */
    private static final double ALIKE = 40;

    /** Every corner's rim to lip is as much shorter than its hub to lip as a rim's radius: read from the upper edge of the rim. */
    private static boolean upperEdge(HeightSheet sheet) {
        double[] shorter = Corner.WALK.stream()
                .filter(corner -> sheet.get(corner, Method.RIM) != null && sheet.get(corner, Method.HF) != null)
                .mapToDouble(corner -> sheet.at(corner, Method.HF)
                        .orElseThrow()
                        .read()
                        .minus(sheet.at(corner, Method.RIM).orElseThrow().read())
                        .mm())
                .sorted()
                .toArray();
        return shorter.length > 1
                && shorter[0] >= LEAST_RIM
                && shorter[shorter.length - 1] <= MOST_RIM
                && shorter[shorter.length - 1] - shorter[0] <= ALIKE;
    }

    /** Two sheets share a spot, or one of them is still empty. */
    private static boolean common(Comparison c) {
        return c.before().isEmpty()
                || c.after().everything().stream()
                        .anyMatch(h -> c.before().at(h.spot()).isPresent());
    }

    /** Lower than vehicles of the kind stand, but read at the same spot before, from where it came down by what may be built. */
    private static boolean built(Comparison c, HeightSheet sheet, Height height) {
        VehicleKind kind = c.vehicle().kind();
        Way way = height.spot().way();
        return sheet == c.after()
                && height.read().compareTo(way.usualFrom(kind)) < 0
                && c.before()
                        .at(height.spot())
                        .map(Height::read)
                        .filter(was -> way.usual(was, kind))
                        .map(was -> was.minus(height.read()))
                        .filter(down -> down.sign() > 0 && down.compareTo(BUILT) <= 0)
                        .isPresent();
    }

    private static void usual(Comparison c, Height height) {
        VehicleKind kind = c.vehicle().kind();
        Way way = height.spot().way();
        Length value = height.read();
        if (way.usual(value, kind)) {
            return;
        }
        Optional<LengthUnit> meant = otherUnit(height, kind);
        if (meant.isPresent()) {
            c.say(new HeightFinding.UnitDoubt(height.spot(), raw(height), meant.get()));
            return;
        }
        // GF, HF and RIM lie apart on one vehicle: a height at home in another column was probably put in this one.
        List<Method> fits = Stream.of(way instanceof Method ? Method.values() : new Method[0])
                .filter(m -> m != way && m.usual(value, kind))
                .toList();
        if (fits.isEmpty()) {
            c.say(new HeightFinding.UnusualHeight(height.spot(), value, way.usualFrom(kind), way.usualTo(kind)));
        } else {
            c.say(new HeightFinding.WrongColumn(height.spot(), value, fits));
        }
    }

    /** A bare number that is unusual as it was taken and usual in the other unit. */
    private static Optional<LengthUnit> otherUnit(Height height, VehicleKind kind) {
        Reading reading = height.readings().get(0);
        if (!reading.tape().bareUnit()) {
            return Optional.empty();
        }
        boolean metric = reading.tape().graduation().unit().metric();
        LengthUnit was = metric ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
        LengthUnit other = metric ? LengthUnit.INCH : LengthUnit.MILLIMETRE;
        BigDecimal number = reading.value().in(was);
        return height.spot().way().usual(Length.of(number, other), kind) ? Optional.of(other) : Optional.empty();
    }

    private static String raw(Height height) {
        return height.readings().get(0).tape().raw();
    }

    /** @param among so many spots were read twice; one in twenty each would accuse nearly every sheet */
    private static void repeats(Comparison c, Height height, int among) {
        List<Reading> readings = height.readings();
        if (readings.size() < 2) {
            return;
        }
        Reading low = readings.get(0);
        Reading high = readings.get(readings.size() - 1);
        Estimate apart = high.estimate(height.point()).minus(low.estimate(height.point()));
        if (apart.differsFromZero(Length.ZERO, among, Comparison.READ_SURE)) {
            c.say(new HeightFinding.RepeatsDisagree(height.spot(), low.value(), low.who(), high.value(), high.who()));
        }
    }

    private static void finer(Comparison c) {
        Reading first = null;
        for (HeightSheet sheet : List.of(c.before(), c.after())) {
            for (Height height : sheet.everything()) {
                for (Reading r : height.readings()) {
                    if (r.tape().finerThanTape() && (first == null || BY_SPOT.compare(r, first) < 0)) {
                        first = r;
                    }
                }
            }
        }
        if (first != null) {
            c.say(new HeightFinding.FinerThanTape(
                    first.spot(), first.tape().raw(), first.tape().graduation()));
        }
    }

    private static void missing(Comparison c) {
        for (Method method : Method.values()) {
            missing(c, method, Corner.WALK);
        }
        for (PointMethod way : PointDrops.ways(c.before(), c.after())) {
            missing(c, way, way.places());
        }
    }

    private static void missing(Comparison c, Way way, List<? extends Place> places) {
        List<Place> noBefore = new ArrayList<>(places.size());
        List<Place> toRead = new ArrayList<>(places.size());
        for (Place place : places) {
            MeasuringPoint spot = MeasuringPoint.of(place, way);
            boolean before = c.before().at(spot).isPresent();
            boolean after = c.after().at(spot).isPresent();
            if (after && !before) {
                noBefore.add(place);
            } else if (before && !after) {
                toRead.add(place);
            }
        }
        if (!noBefore.isEmpty()) {
            c.say(new HeightFinding.NoBefore(MeasuringPoint.of(noBefore.get(0), way), way, List.copyOf(noBefore)));
        }
        if (!toRead.isEmpty()) {
            c.say(new HeightFinding.StillToRead(MeasuringPoint.of(toRead.get(0), way), way, List.copyOf(toRead)));
        }
    }

    private static void correctedLate(Comparison c) {
        long start = c.after().first().orElseThrow();
        for (Height height : c.before().everything()) {
            for (Reading reading : height.readings()) {
                if (reading.correction() && reading.nr() > start) {
                    c.say(new HeightFinding.BeforeCorrectedLater(reading.spot(), reading.value(), reading.who()));
                }
            }
        }
    }
}
