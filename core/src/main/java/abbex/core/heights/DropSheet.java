package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.units.Estimate;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.Vehicle;
import java.util.List;
import java.util.Map;

/**
 * The comparison of a vehicle's heights before and after: drops with their uncertainty, what the sides, the diagonal and
 * the rake did, and what is odd about the numbers. Every value is exact or rounded once; every figure carries its reason.
 *
 * @param vehicle what was measured
 * @param corners the drop at each corner
 * @param ends the drop of each end
 * @param diagonals (LF + RR) − (RF + LR) per method that was read at all four corners on a sheet
 * @param rake from the frame heights; both sides empty when they were not read
 * @param rakes the same by every other way that is read at both ends, rear minus front
 * @param points the drop at each point beyond the four-corner methods, positive down; of what lies across the vehicle its move,
 *     positive to the right
 * @param sag a motorcycle's, per end where it was measured
 * @param findings worst first
 */
public record DropSheet(
        Vehicle vehicle,
        PerCorner<CornerDrop> corners,
        PerEnd<EndDrop> ends,
        Map<Method, BeforeAfter> diagonals,
        Rake rake,
        Map<PointMethod, BeforeAfter> rakes,
        Map<MeasuringPoint, Figure<Estimate>> points,
        Map<End, Sag> sag,
        List<Finding> findings) {

    /** Compares with the usual limits and nothing advertised. */
    public static DropSheet compare(Vehicle vehicle, HeightSheet before, HeightSheet after) {
        return compare(vehicle, before, after, Advertised.NOTHING, Limits.USUAL);
    }

    /**
     * Compares two sheets; either may be empty or half full, and what cannot be told is left out and said.
     *
     * @param advertised what the box promises
     * @param limits what the shop calls good
     */
    public static DropSheet compare(
            Vehicle vehicle, HeightSheet before, HeightSheet after, Advertised advertised, Limits limits) {
        Comparison c = Comparison.of(vehicle, before, after, advertised, limits);
        StateCheck.run(c);
        ReadingCheck.run(c);
        PerCorner<CornerDrop> corners = Drops.corners(c);
        Map<MeasuringPoint, Figure<Estimate>> points = PointDrops.run(c);
        PerEnd<EndDrop> ends =
                vehicle.kind().singleTrack() ? Motorcycle.ends(c, points) : PointDrops.sides(c, Drops.ends(c, corners));
        Map<Method, BeforeAfter> diagonals = Diagonals.run(c, ends);
        Rake rake = Rakes.run(c);
        IdentityCheck.run(c, corners, ends);
        SideCheck.run(c, ends);
        TruckCheck.run(c, ends, points);
        PointDrops.sideways(c, points);
        PromiseCheck.run(c, corners, ends, points);
        c.findings().sort(Finding.WORST_FIRST);
        return new DropSheet(
                vehicle,
                corners,
                ends,
                diagonals,
                rake,
                vehicle.kind().singleTrack() ? Map.of() : PointDrops.rakes(c),
                points,
                Motorcycle.sag(c),
                List.copyOf(c.findings()));
    }

    DropSheet withFindings(List<Finding> other) {
        return new DropSheet(vehicle, corners, ends, diagonals, rake, rakes, points, sag, List.copyOf(other));
    }
}
