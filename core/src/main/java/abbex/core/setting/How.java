package abbex.core.setting;

import abbex.core.units.Length;
import abbex.core.units.Pressure;
import java.util.List;

/** What is done at one adjuster. */
public sealed interface How {
    How LEAVE = new Leave();

    /** Nothing. */
    record Leave() implements How {}

    /**
     * Turns of a ring or a bolt.
     *
     * @param parts of a turn, up positive
     * @param perTurn how many parts are a turn
     */
    record Turns(int parts, int perTurn) implements How {}

    /** Air let in or out of a bag. */
    record Air(Pressure from, Pressure to) implements How {}

    /** Pieces of a stack, the thickest first. */
    record Swap(List<Length> out, List<Length> in) implements How {
        public Swap {
            out = List.copyOf(out);
            in = List.copyOf(in);
        }
    }
}
