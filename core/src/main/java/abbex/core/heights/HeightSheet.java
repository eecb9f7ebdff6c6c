package abbex.core.heights;

import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** All heights of a vehicle taken at one stage, with the state it stood in. Immutable. */
public final class HeightSheet {
    private final SheetState state;
    private final Basis basis;
    private final @Nullable Height[] heights;
    private final List<Height> all;
    private final Map<MeasuringPoint, Height> points;

    private HeightSheet(SheetState state, Basis basis, @Nullable Height[] heights, Map<MeasuringPoint, Height> points) {
        this.points = points;
        this.state = state;
        this.basis = basis;
        this.heights = heights;
        List<Height> present = new ArrayList<>(heights.length);
        for (Height height : heights) {
            if (height != null) {
                present.add(height);
            }
        }
        this.all = List.copyOf(present);
    }

    /** Several readings of one spot are repeats by different people: their mean is the height. */
    public static HeightSheet of(SheetState state, Collection<Reading> readings) {
        return of(state, Basis.USUAL, readings);
    }

    /** The same with what else the heights rest on. */
    public static HeightSheet of(SheetState state, Basis basis, Collection<Reading> readings) {
        SortedMap<MeasuringPoint, List<Reading>> elsewhere = new TreeMap<>(Comparator.comparing(MeasuringPoint::code));
        List<List<Reading>> bySpot = new ArrayList<>(MeasuringPoint.COUNT);
        for (int i = 0; i < MeasuringPoint.COUNT; i++) {
            bySpot.add(null);
        }
        for (Reading reading : readings) {
            if (!reading.spot().atCorner()) {
                elsewhere
                        .computeIfAbsent(reading.spot(), s -> new ArrayList<>(1))
                        .add(reading);
                continue;
            }
            int i = reading.spot().index();
            if (bySpot.get(i) == null) {
                bySpot.set(i, new ArrayList<>(1));
            }
            bySpot.get(i).add(reading);
        }
        Height[] heights = new Height[MeasuringPoint.COUNT];
        for (int i = 0; i < heights.length; i++) {
            List<Reading> here = bySpot.get(i);
            heights[i] = here == null ? null : Height.of(here.get(0).spot(), here, basis);
        }
        Map<MeasuringPoint, Height> points = new LinkedHashMap<>();
        elsewhere.forEach((spot, here) -> points.put(spot, Height.of(spot, here, basis)));
        return new HeightSheet(state, basis, heights, Collections.unmodifiableMap(points));
    }

    public static HeightSheet empty() {
        return of(SheetState.NOT_TAKEN, List.of());
    }

    /** The same sheet as if one spot had not been read. */
    HeightSheet without(MeasuringPoint spot) {
        Height[] rest = heights.clone();
        rest[spot.index()] = null;
        return new HeightSheet(state, basis, rest, points);
    }

    /** The same sheet with the readings of two spots in each other's place. */
    HeightSheet exchanged(MeasuringPoint a, MeasuringPoint b) {
        Height[] other = heights.clone();
        other[a.index()] = moved(heights[b.index()], a);
        other[b.index()] = moved(heights[a.index()], b);
        return new HeightSheet(state, basis, other, points);
    }

    private static @Nullable Height moved(@Nullable Height height, MeasuringPoint to) {
        return height == null ? null : height.at(to);
    }

    /** The same sheet with nothing taken off for the floor. */
    HeightSheet asRead() {
        List<Reading> readings = new ArrayList<>();
        everything().forEach(height -> readings.addAll(height.readings()));
        return of(state, basis.onUnknownFloor(), readings);
    }

    /** The same sheet with the lip of a corner where it was before somebody worked on it. */
    HeightSheet lowered(Corner corner, Estimate lip) {
        Height[] other = heights.clone();
        for (Method method : Method.values()) {
            int i = MeasuringPoint.index(corner, method);
            if (method.lip() && other[i] != null) {
                other[i] = other[i].lowered(lip);
            }
        }
        return new HeightSheet(state, basis, other, points);
    }

    /** The same sheet without what was measured to the lip of a corner. */
    HeightSheet withoutLip(Corner corner) {
        Height[] rest = heights.clone();
        for (Method method : Method.values()) {
            if (method.lip()) {
                rest[MeasuringPoint.index(corner, method)] = null;
            }
        }
        return new HeightSheet(state, basis, rest, points);
    }

    public Basis basis() {
        return basis;
    }

    public SheetState state() {
        return state;
    }

    public Optional<Height> at(Corner corner, Method method) {
        return Optional.ofNullable(heights[MeasuringPoint.index(corner, method)]);
    }

    @Nullable
    Height get(Corner corner, Method method) {
        return heights[MeasuringPoint.index(corner, method)];
    }

    public boolean has(Method method) {
        for (Corner corner : Corner.WALK) {
            if (get(corner, method) != null) {
                return true;
            }
        }
        return false;
    }

    public boolean complete(Method method) {
        for (Corner corner : Corner.WALK) {
            if (get(corner, method) == null) {
                return false;
            }
        }
        return true;
    }

    public boolean isEmpty() {
        return all.isEmpty() && points.isEmpty();
    }

    /** All heights at the corners, method by method in walking order. */
    public List<Height> all() {
        return all;
    }

    /** The heights at points of their own, by code. */
    public Map<MeasuringPoint, Height> points() {
        return points;
    }

    /** The heights at the corners, then those at points of their own. */
    public List<Height> everything() {
        if (points.isEmpty()) {
            return all;
        }
        List<Height> both = new ArrayList<>(all);
        both.addAll(points.values());
        return List.copyOf(both);
    }

    /** The height at any spot. */
    public Optional<Height> at(MeasuringPoint spot) {
        return spot.atCorner() ? at(spot.corner(), spot.method()) : Optional.ofNullable(points.get(spot));
    }

    /** The place in the record of the first reading that still stands. */
    public OptionalLong first() {
        OptionalLong first = OptionalLong.empty();
        for (Height height : everything()) {
            for (Reading reading : height.readings()) {
                if (first.isEmpty() || reading.nr() < first.getAsLong()) {
                    first = OptionalLong.of(reading.nr());
                }
            }
        }
        return first;
    }
}
