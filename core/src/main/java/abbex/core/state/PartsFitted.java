package abbex.core.state;

import abbex.core.vehicle.End;
import java.util.Set;

/**
 * The parts at an end of a vehicle.
 *
 * @param origin where they are from
 * @param kit the id of the set of parts; empty for those that it came with
 * @param fresh kinds of parts that are other than those it came with, such as {@code spring} or {@code damper}
 */
public record PartsFitted(Origin origin, String kit, Set<String> fresh) {
    /** Where parts are from. */
    public enum Origin {
        /** The vehicle arrived with them. */
        AS_IT_CAME,
        /** A set of parts fitted for good. */
        KIT,
        /** A set of parts on trial. */
        TRIAL
    }

    public static final PartsFitted AS_IT_CAME = new PartsFitted(Origin.AS_IT_CAME, "", Set.of());

    public PartsFitted {
        fresh = Set.copyOf(fresh);
    }

    /** Something carries the body there that did not when it came. */
    public boolean changed() {
        return origin != Origin.AS_IT_CAME;
    }

    /** The act that makes an end have them. */
    public StateAct.PartsChanged at(End end) {
        return new StateAct.PartsChanged(end, this);
    }
}
