package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.vehicle.Corner;

/** One corner by one method: where a single reading belongs. */
public record Spot(Corner corner, Method method) implements Place {
    static final int COUNT = Corner.values().length * Method.values().length;
    private static final Spot[] ALL = new Spot[COUNT];
    private static final String[] CODES = new String[COUNT];

    static {
        for (Corner corner : Corner.values()) {
            for (Method method : Method.values()) {
                Spot spot = new Spot(corner, method);
                ALL[spot.index()] = spot;
                CODES[spot.index()] = corner.name() + "." + method.name();
            }
        }
    }

    public static Spot of(Corner corner, Method method) {
        return ALL[index(corner, method)];
    }

    static int index(Corner corner, Method method) {
        return method.ordinal() * 4 + corner.ordinal();
    }

    int index() {
        return index(corner, method);
    }

    @Override
    public String code() {
        return CODES[index()];
    }
}
