package abbex.app.drawing;

import java.util.Map;

/**
 * The small picture beside a limit: what is compared, and what may differ. In a field of 60 by 34, the floor at 32.
 *
 * @param thin what stands
 * @param beam what the limit is of
 */
public record LimitIcon(String thin, String beam) {
    private static final String PAIR =
            "M1 32H59M20 23a9 9 0 1 1-18 0 9 9 0 0 1 18 0M58 23a9 9 0 1 1-18 0 9 9 0 0 1 18 0";
    private static final String ARCHES = PAIR + "M1 14a11 11 0 0 1 20 0M39 11a11 11 0 0 1 20 0";
    private static final String ONE =
            "M1 32H59M43 19a13 13 0 1 1-26 0 13 13 0 0 1 26 0M35 19a5 5 0 1 1-10 0 5 5 0 0 1 10 0";
    private static final String PLAN = "M8 6H52V28H8Z";

    private static final Map<String, LimitIcon> ICONS = Map.ofEntries(
            Map.entry("SIDES_GOOD", new LimitIcon(ARCHES, "M11 23V9M49 23V5")),
            Map.entry("SIDES_ACCEPT", new LimitIcon(ARCHES, "M11 23V9M49 23V5")),
            Map.entry("SPRINGS_OF_SIDES", new LimitIcon(ARCHES, "M7 20l8-3-8-3 8-3M45 20l8-3-8-3 8-3")),
            Map.entry("PROMISE", new LimitIcon(ONE + "M14 8a16 16 0 0 1 32 0", "M52 3V14M49 11l3 3 3-3")),
            Map.entry("TWIST_CAR", new LimitIcon(PLAN, "M8 6L52 28")),
            Map.entry("TWIST_TRUCK", new LimitIcon("M4 10H56M4 24H56M12 10V24M30 10V24M48 10V24", "M4 10L56 24")),
            Map.entry("TYRE", new LimitIcon(ONE, "M30 19V32")),
            Map.entry("TYRES_OF_SHEET", new LimitIcon(PAIR, "M11 23V32M49 23V32")),
            Map.entry("TYRE_OF_CORNER", new LimitIcon(ONE, "M30 19V32M36 19V32")),
            Map.entry("TYRE_OF_SIDES", new LimitIcon(PAIR, "M11 23V32M49 23V32M22 27H38")),
            Map.entry(
                    "RIM", new LimitIcon(PAIR, "M15 23a4 4 0 1 1-8 0 4 4 0 0 1 8 0M53 23a4 4 0 1 1-8 0 4 4 0 0 1 8 0")),
            Map.entry(
                    "TREAD",
                    new LimitIcon(PAIR, "M20 23a9 9 0 1 1-18 0 9 9 0 0 1 18 0M58 23a9 9 0 1 1-18 0 9 9 0 0 1 18 0")),
            Map.entry(
                    "AXLE_TRAVEL", new LimitIcon("M4 6H56M24 24h12M36 24a6 6 0 1 1-12 0 6 6 0 0 1 12 0", "M30 18V6")));

    /** Of a limit by its name; two wheels where a limit is new. */
    public static LimitIcon of(String limit) {
        return ICONS.getOrDefault(limit, new LimitIcon(PAIR, ""));
    }
}
