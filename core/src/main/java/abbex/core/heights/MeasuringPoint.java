package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.vehicle.Corner;

/** One place by one way to measure: where a single reading belongs. */
public record MeasuringPoint(Place place, Way way) implements Place {
    static final int COUNT = Corner.values().length * Method.values().length;
    private static final MeasuringPoint[] ALL = new MeasuringPoint[COUNT];
    private static final String[] CODES = new String[COUNT];

    static {
        for (Corner corner : Corner.values()) {
            for (Method method : Method.values()) {
                MeasuringPoint spot = new MeasuringPoint(corner, method);
                ALL[spot.index()] = spot;
                CODES[spot.index()] = corner.name() + "." + method.name();
            }
        }
    }

    public static MeasuringPoint of(Corner corner, Method method) {
        return ALL[index(corner, method)];
    }

    /** Any place by any way; that the way is read there is the caller's to see to. */
    public static MeasuringPoint of(Place place, Way way) {
        return place instanceof Corner corner && way instanceof Method method
                ? of(corner, method)
                : new MeasuringPoint(place, way);
    }

    static int index(Corner corner, Method method) {
        return method.ordinal() * 4 + corner.ordinal();
    }

    int index() {
        return index(corner(), method());
    }

    /** True for a corner by one of the four-corner methods, which the adjustment knows how to tie to each other. */
    public boolean atCorner() {
        return place instanceof Corner && way instanceof Method;
    }

    /** The corner; only where {@link #atCorner()}. */
    public Corner corner() {
        return (Corner) place;
    }

    /** The method; only where {@link #atCorner()}. */
    public Method method() {
        return (Method) way;
    }

    @Override
    public String code() {
        return atCorner() ? CODES[index()] : place.code() + "." + way.code();
    }
}
