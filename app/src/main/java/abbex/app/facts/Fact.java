package abbex.app.facts;

import java.util.List;

/**
 * One thing that goes into a sheet.
 *
 * @param kind what it is
 * @param about which one of the kind: codes, and names that people gave
 * @param says what is said of it: codes, and texts as typed; several answers follow each other
 */
public record Fact(Kind kind, List<String> about, List<String> says) {
    private static final String SHEET = "sheet";
    private static final String TEXT = "";

    /**
     * The kinds, each with the prefix of the messages that word its codes; an empty prefix leaves a text as it is, and a
     * sheet is worded by its stage. Constants are stored by name.
     */
    public enum Kind {
        VEHICLE(List.of(), List.of(TEXT, TEXT)),
        KIT(List.of(), List.of(TEXT)),
        ODOMETER(List.of(), List.of(TEXT)),
        ADVERTISED(List.of("wheel."), List.of(TEXT)),
        MEASURE(List.of("measure."), List.of(TEXT)),
        HEAD_ANGLE(List.of(), List.of(TEXT)),
        STAGE(List.of(TEXT), List.of("stage.")),
        READING(List.of(SHEET, "wheel.", "method."), List.of(TEXT, TEXT)),
        OWN_READING(List.of(SHEET, "wheel.", TEXT), List.of(TEXT, TEXT)),
        PRESSURE(List.of(SHEET, "wheel."), List.of(TEXT)),
        STATE(List.of(SHEET, "item."), List.of(TEXT)),
        STAND_IN(List.of(SHEET), List.of("standin.")),
        WHEEL_SET(List.of("use.", "fitment.", "end."), List.of(TEXT)),
        PROBE(List.of("corner.", "probe.", TEXT), List.of(TEXT, "face.")),
        ROAD_TEST(List.of(), List.of("fact.locks.", "fact.hung.", TEXT)),
        ROAD_BUMP(List.of("corner."), List.of(TEXT)),
        ROAD_MARK(List.of("corner.", "probe.", TEXT), List.of("face.")),
        REMEDY(List.of("corner.", "remedy."), List.of(TEXT, "fact.unit.")),
        REMEDY_FITTED(List.of("corner.", "remedy."), List.of(TEXT, "fact.unit.")),
        LOW_POINT(List.of("low.", TEXT, TEXT, "from."), List.of(TEXT)),
        GROUND(List.of(TEXT), List.of(TEXT)),
        /** A fastener and its place: its reading and how it stands. */
        TORQUE(List.of(TEXT, TEXT), List.of(TEXT, "tight.")),
        /** A step done another way and its place: why, and what the vehicle must not do until then. */
        OTHERWISE(List.of(TEXT, TEXT), List.of(TEXT, TEXT)),
        /** An angle of a wheel, before and after. */
        ALIGNMENT(List.of("corner.", "align."), List.of(TEXT, TEXT)),
        /** A lamp or sensor: what was done about it, by what source. */
        SYSTEM(List.of("system."), List.of("system.did.", TEXT)),
        /** A setting as it was left. */
        LEFT(List.of("left."), List.of(TEXT)),
        /** The serial or warranty number of a part by its kind, or its own name, and its place. */
        NUMBER(List.of("part.", TEXT, "wheel."), List.of(TEXT)),
        /** What a former version wrote in words that nothing here can read. */
        OTHER(List.of(TEXT), List.of(TEXT));

        private final List<String> about;
        private final List<String> says;

        Kind(List<String> about, List<String> says) {
            this.about = about;
            this.says = says;
        }

        List<String> about() {
            return about;
        }

        List<String> says() {
            return says;
        }
    }

    public Fact {
        about = List.copyOf(about);
        says = List.copyOf(says);
        if (about.size() != kind.about.size() || says.size() % kind.says.size() != 0) {
            throw new IllegalArgumentException(kind + " of " + about + ": " + says);
        }
    }

    public static Fact of(Kind kind, List<String> about, String... says) {
        return new Fact(kind, about, List.of(says));
    }

    /** Text on one line. */
    public static String line(String text) {
        return text.strip().replaceAll("\\s+", " ");
    }

    static boolean sheet(String prefix) {
        return prefix.equals(SHEET);
    }
}
