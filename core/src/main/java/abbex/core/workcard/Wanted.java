package abbex.core.workcard;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a card is for.
 *
 * @param supplied kinds of parts that the kit brings to each end; an end without any is not touched
 * @param facts of the job, such as {@code lift}, {@code wired}; of one end with its code behind, such as {@code brakes@front}
 * @param rounds the ends that are worked on in each round: the rear today and the front next week, or one end again
 */
public record Wanted(
        VehicleKind kind,
        PerEnd<Architecture> architecture,
        PerEnd<Set<String>> supplied,
        Set<String> facts,
        List<Set<End>> rounds) {
    /** The kit brings something to an end. */
    static final String KIT = "kit";

    /** Someone alone who calls for a second pair of hands: what needs two is gathered. A helper spring is a part. */
    static final String HELPER = "helper";

    /** An adjuster of the kit is set at an end, whose code is behind it; it is of the kit, not of what else is done. */
    public static final String PERCH = "perch@";

    /** The kit brings damper, spring and perch in one piece to an end, whose code is behind it. */
    public static final String COILOVER = "coilover@";

    private static final List<String> OF_THE_KIT = List.of(PERCH, COILOVER, Wanted.NO_BAR + "@");

    /** A block of an end comes out and none goes in: work without a part. */
    public static final String BLOCK_OUT = "blockout";

    /** Fork tubes go up in their clamps: work without a part. */
    public static final String TUBES = "tubes";

    /** An end, whose code is behind an at sign, has no sway bar. */
    public static final String NO_BAR = "no-bar";

    private static final Set<String> NO_PART = Set.of(BLOCK_OUT, TUBES);

    /** Kinds of parts that lie on the bench for an end: what is only moved or taken out is none. */
    public Set<String> pieces(End end) {
        return supplied.get(end).stream()
                .filter(kind -> !NO_PART.contains(kind))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** All ends at once. */
    public Wanted(
            VehicleKind kind, PerEnd<Architecture> architecture, PerEnd<Set<String>> supplied, Set<String> facts) {
        this(kind, architecture, supplied, facts, List.of(Set.of(End.values())));
    }

    public Wanted {
        rounds = rounds.stream().map(Set::copyOf).toList();
        supplied = supplied.map(Set::copyOf);
        facts = Set.copyOf(facts);
    }

    /** Work is done there in some round: by the kit, or by what is done in the same visit. */
    boolean touches(End end, int round) {
        return rounds.get(round - 1).contains(end)
                && (!supplied.get(end).isEmpty()
                        || facts.stream()
                                .anyMatch(fact -> fact.endsWith("@" + end.code()) && !fact.startsWith(NO_BAR)));
    }

    /** What else is done in the visit is done in its first round. */
    Wanted in(int round) {
        return round == 1
                ? this
                : new Wanted(
                        kind,
                        architecture,
                        supplied,
                        facts.stream()
                                .filter(fact -> !fact.contains("@")
                                        || OF_THE_KIT.stream().anyMatch(fact::startsWith))
                                .collect(Collectors.toUnmodifiableSet()),
                        rounds);
    }

    /** Something is to be done at an end, and in no round yet. */
    public boolean later(End end) {
        return !supplied.get(end).isEmpty() && rounds.stream().noneMatch(round -> round.contains(end));
    }

    private boolean said(String fact) {
        return facts.contains(fact) && !fact.equals(HELPER);
    }

    /** What a step asks of the job holds at an end, or anywhere. */
    boolean is(String fact, Optional<End> end) {
        if (end.isEmpty()) {
            return said(fact)
                    || facts.stream().anyMatch(f -> f.startsWith(fact + "@"))
                    || supplied.stream().anyMatch(s -> s.contains(fact) || fact.equals(KIT) && !s.isEmpty());
        }
        Set<String> parts = supplied.get(end.get());
        return said(fact)
                || facts.contains(fact + "@" + end.get().code())
                || fact.equals(end.get().code())
                || parts.contains(fact)
                || fact.equals(KIT) && !parts.isEmpty();
    }
}
