package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Place;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.WheelPlace;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;

/**
 * How low a vehicle stands: each corner against the reference, its first sheet, on every later sheet, as it stands now and as
 * it is planned. Drops are positive down. Everything that was measured at some stance says by its sheet at which; nobody
 * types how much lower that was.
 *
 * <p>Between two sheets it is the drop that their comparison shows: by the hub before what has the tyre in it. An end that
 * carries two wheels stands as low as the mean of its sides.
 */
public final class RideHeight {
    private static final Estimate NONE = new Estimate(Length.ZERO, Uncertainty.NONE);

    private final Vehicle vehicle;
    private final List<HeightSheet> sheets;
    private final Limits limits;
    private final List<Contribution> planned;

    /** Each pair of sheets is compared once; the plan changes nothing of it. */
    private final Map<Assessment.Pair, DropSheet> compared;

    private final AtomicReference<Adjustment> truth;

    private RideHeight(
            Vehicle vehicle,
            List<HeightSheet> sheets,
            Limits limits,
            List<Contribution> planned,
            Map<Assessment.Pair, DropSheet> compared,
            AtomicReference<Adjustment> truth) {
        this.truth = truth;
        this.compared = compared;
        this.vehicle = vehicle;
        this.sheets = sheets;
        this.limits = limits;
        this.planned = planned;
    }

    /**
     * By all sheets of a vehicle.
     *
     * @param sheets in order of time, the first being the reference; none for a vehicle that was never measured
     */
    public static RideHeight of(Vehicle vehicle, List<HeightSheet> sheets, Limits limits) {
        return new RideHeight(
                vehicle, List.copyOf(sheets), limits, List.of(), new ConcurrentHashMap<>(), new AtomicReference<>());
    }

    /** The same with other parts in the plan. */
    public RideHeight planning(List<Contribution> parts) {
        return new RideHeight(vehicle, sheets, limits, List.copyOf(parts), compared, truth);
    }

    /** The last sheet, counted from 0; 0 also where there is none. */
    public int newest() {
        return Math.max(0, sheets.size() - 1);
    }

    /** How far a wheel's place came down between two sheets; empty where no reading tells. */
    public Optional<Estimate> between(int from, int to, WheelPlace place) {
        if (from == to) {
            return Optional.of(NONE);
        }
        if (place instanceof Corner corner) {
            // What the stiff body says of a corner that was not read is none of its readings.
            return Optional.of(corner)
                    .filter(c -> read(from, c) && read(to, c))
                    .flatMap(c -> Assessment.down(trusted(), from, to, c))
                    .or(() -> compare(from, to).corners().get(corner).best().map(Figure::value));
        }
        return compare(from, to).ends().get(place.end()).drop().map(Figure::value);
    }

    private boolean read(int sheet, Corner corner) {
        return sheets.get(sheet).all().stream().anyMatch(h -> h.spot().corner() == corner);
    }

    /** All sheets together, suspected readings held out: the one answer of where each corner stands. */
    private Adjustment trusted() {
        Adjustment made = truth.get();
        if (made == null) {
            made = Assessment.trusted(vehicle, sheets, limits);
            truth.set(made);
        }
        return made;
    }

    private DropSheet compare(int from, int to) {
        return compared.computeIfAbsent(
                new Assessment.Pair(from, to),
                pair -> DropSheet.compare(
                        vehicle, sheets.get(pair.before()), sheets.get(pair.after()), Advertised.NOTHING, limits));
    }

    /** The newest sheet up to one whose readings tell how low a place stands; the reference itself always does. */
    private int told(int sheet, WheelPlace place) {
        for (int i = Math.min(sheet, newest()); i > 0; i--) {
            if (between(0, i, place).isPresent()) {
                return i;
            }
        }
        return 0;
    }

    /** How far a place had come down from the reference on a sheet, by the last readings up to then that tell. */
    public Estimate at(int sheet, WheelPlace place) {
        return of(place, wheel -> between(0, told(sheet, wheel), wheel).orElse(NONE));
    }

    /** How far a place has come down from the reference by the newest readings that tell. */
    public Estimate now(WheelPlace place) {
        return at(newest(), place);
    }

    /** True when a place's height is not told by a sheet though the vehicle was lowered by then. */
    public boolean unknown(int sheet, WheelPlace place) {
        return sheet > 0 && sheet <= newest() && told(sheet, place) != sheet;
    }

    /** How far a place is to come down from the reference: by the parts of its end; as it stands where none is planned. */
    public Estimate planned(WheelPlace place) {
        return of(
                place,
                wheel -> planned.stream()
                        .filter(part -> part.place() == wheel.end())
                        .map(Contribution::drop)
                        .reduce(Estimate::plus)
                        .orElseGet(() -> now(wheel)));
    }

    /**
     * How far the axle may go up to the frame at a wheel once it stands as planned: by the newest sheet that read it, less what
     * it is to come down from there. Empty where no sheet read it.
     */
    public Optional<Estimate> travel(WheelPlace place) {
        if (!(place instanceof Corner corner)) {
            return Optional.empty();
        }
        for (int i = newest(); i >= 0 && i < sheets.size(); i--) {
            Height read = sheets.get(i).points().get(MeasuringPoint.of((Place) corner, PointMethod.AXLE));
            if (read != null) {
                Estimate down = planned(place).minus(at(i, place));
                return Optional.of(read.estimate().minus(down));
            }
        }
        return Optional.empty();
    }

    /** Of the wheel that stands there, else the mean of the two sides of an end. */
    private Estimate of(WheelPlace place, Function<WheelPlace, Estimate> wheel) {
        return place instanceof End end && !vehicle.kind().singleTrack()
                ? Estimate.mean(wheel.apply(end.left()), wheel.apply(end.right()))
                : wheel.apply(place);
    }

    /** The places of wheels whose present height no reading of the newest sheet tells. */
    public List<WheelPlace> missing() {
        List<WheelPlace> missing = new ArrayList<>(vehicle.kind().wheelPlaces());
        missing.removeIf(place -> !unknown(newest(), place));
        return missing;
    }
}
