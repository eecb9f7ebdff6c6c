package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * How low a vehicle stands: each corner against the reference, its first sheet, on every later sheet, as it stands now and as
 * it is planned. Drops are positive down. Everything that was measured at some stance says by its sheet at which; nobody
 * types how much lower that was.
 *
 * <p>Between two sheets it is the drop that their comparison shows: by the hub before what has the tyre in it. A
 * motorcycle's two wheels are its left corners.
 */
public final class RideHeight {
    private static final Estimate NONE = new Estimate(Length.ZERO, Uncertainty.NONE);

    private final Vehicle vehicle;
    private final List<HeightSheet> sheets;
    private final Limits limits;
    private final List<Contribution> planned;

    /** Each pair of sheets is compared once; the plan changes nothing of it. */
    private final Map<Assessment.Pair, DropSheet> compared;

    private RideHeight(
            Vehicle vehicle,
            List<HeightSheet> sheets,
            Limits limits,
            List<Contribution> planned,
            Map<Assessment.Pair, DropSheet> compared) {
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
        return new RideHeight(vehicle, List.copyOf(sheets), limits, List.of(), new ConcurrentHashMap<>());
    }

    /** The same with other parts in the plan. */
    public RideHeight planning(List<Contribution> parts) {
        return new RideHeight(vehicle, sheets, limits, List.copyOf(parts), compared);
    }

    /** The last sheet, counted from 0; 0 also where there is none. */
    public int newest() {
        return Math.max(0, sheets.size() - 1);
    }

    /** How far a corner came down between two sheets; empty where no reading tells. */
    public Optional<Estimate> between(int from, int to, Corner corner) {
        if (from == to) {
            return Optional.of(NONE);
        }
        DropSheet drops = compare(from, to);
        return (vehicle.kind().singleTrack()
                        ? drops.ends().get(corner.end()).drop()
                        : drops.corners().get(corner).best())
                .map(Figure::value);
    }

    /** A lip that was moved between the two is taken off, which all sheets together tell; else two sheets are enough. */
    private DropSheet compare(int from, int to) {
        return compared.computeIfAbsent(new Assessment.Pair(from, to), this::compare);
    }

    private DropSheet compare(Assessment.Pair pair) {
        return Lips.worked(sheets, pair).isEmpty()
                ? DropSheet.compare(
                        vehicle, sheets.get(pair.before()), sheets.get(pair.after()), Advertised.NOTHING, limits)
                : Assessment.of(vehicle, sheets, pair, Advertised.NOTHING, limits)
                        .drops();
    }

    /** The newest sheet up to one whose readings tell how low a corner stands; the reference itself always does. */
    private int told(int sheet, Corner corner) {
        for (int i = Math.min(sheet, newest()); i > 0; i--) {
            if (between(0, i, corner).isPresent()) {
                return i;
            }
        }
        return 0;
    }

    /** How far a corner had come down from the reference on a sheet, by the last readings up to then that tell. */
    public Estimate at(int sheet, Corner corner) {
        return between(0, told(sheet, corner), corner).orElse(NONE);
    }

    /** How far a corner has come down from the reference by the newest readings that tell. */
    public Estimate now(Corner corner) {
        return at(newest(), corner);
    }

    /** The sheets on which a corner's height is not told though the vehicle was lowered by then. */
    public boolean unknown(int sheet, Corner corner) {
        return sheet > 0 && sheet <= newest() && told(sheet, corner) != sheet;
    }

    /** How far a corner is to come down from the reference: by the parts of its end; as it stands where none is planned. */
    public Estimate planned(Corner corner) {
        List<Estimate> drops = new ArrayList<>();
        for (Contribution part : planned) {
            if (part.place() == corner.end()) {
                drops.add(part.drop());
            }
        }
        return drops.stream().reduce(Estimate::plus).orElseGet(() -> now(corner));
    }

    /** The mean of the sides of an end. */
    public Estimate end(End end, PerCorner<Estimate> corners) {
        return vehicle.kind().singleTrack()
                ? corners.get(end.left())
                : Estimate.mean(corners.get(end.left()), corners.get(end.right()));
    }

    /** Every corner on a sheet. */
    public PerCorner<Estimate> at(int sheet) {
        return PerCorner.of(corner -> at(sheet, corner));
    }

    public PerCorner<Estimate> now() {
        return at(newest());
    }

    public PerCorner<Estimate> planned() {
        return PerCorner.of(this::planned);
    }

    /** The corners whose present height no reading of the newest sheet tells. */
    public List<Corner> missing() {
        return vehicle.kind().corners().stream()
                .filter(corner -> unknown(newest(), corner))
                .toList();
    }
}
