package abbex.core.kit;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import java.util.Set;

/** What goes in at an end, as whoever orders it calls it: its parts, its fields and what settles follow from that. */
public enum KitKind {
    SPRINGS("spring"),
    /** Springs that have stood under a vehicle, this one's or another's, cut or not. */
    USED_SPRINGS("spring"),
    /** Damper, spring and perch in one. */
    COILOVERS("spring", "damper"),
    /** Struts whose spring stands on rings. */
    STRUTS("damper", "ring"),
    RINGS("ring"),
    /** Threaded seats, jack bolts. */
    ADJUSTERS("adjuster"),
    DAMPERS("damper"),
    STOPS("stop"),
    /** Isolators, top mounts, seats of another shape. */
    SEATS("isolator"),
    ARMS("arm"),
    UPRIGHTS("spindle"),
    SUBFRAME("subframe"),
    LEAVES("spring"),
    BLOCKS("block"),
    SHACKLES("shackle"),
    FLIP("saddle"),
    AIR("bag"),
    LINKS("link"),
    /** Springs and spacers of a fork. */
    FORK("spring"),
    /** Fork tubes up in their clamps: nothing to buy. */
    TUBES("tubes");

    private final Set<String> parts;

    KitKind(String... parts) {
        this.parts = Set.of(parts);
    }

    /** Kinds of parts that it brings whatever else is told of it. */
    public Set<String> parts() {
        return parts;
    }

    /** It carries the end on springs of its own: a printed drop is of these. */
    public boolean springs() {
        return parts.contains("spring");
    }

    /** It goes on coming down for a while: springs that never carried anything do. */
    public boolean settles() {
        return springs() && this != USED_SPRINGS;
    }

    /** It can be had for such an end. */
    public boolean fits(VehicleKind vehicle, Architecture architecture, End end) {
        boolean single = vehicle.singleTrack();
        boolean leaf = architecture == Architecture.SOLID_AXLE_LEAF;
        boolean any = architecture == Architecture.OTHER;
        return switch (this) {
            case DAMPERS -> true;
            case SPRINGS, USED_SPRINGS, SEATS, RINGS -> single ? end == End.REAR : !leaf;
            case COILOVERS, ADJUSTERS -> !single && !leaf;
            case STRUTS -> !single && (architecture == Architecture.STRUT || any);
            case STOPS -> !single;
            // A live axle on coils hangs on link arms.
            case ARMS -> !single && (!architecture.oneBeam() || architecture == Architecture.SOLID_AXLE_COIL);
            case UPRIGHTS, SUBFRAME -> !single && !architecture.oneBeam();
            case LEAVES, SHACKLES, FLIP, BLOCKS -> !single && (leaf || any);
            case AIR -> !single && end == End.REAR && (leaf || any || architecture == Architecture.SOLID_AXLE_COIL);
            case LINKS -> single && end == End.REAR;
            case FORK, TUBES -> single && end == End.FRONT;
        };
    }
}
