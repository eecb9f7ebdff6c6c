package abbex.core.instrument;

import java.util.TreeSet;

/**
 * Which of a device's frames were taken since it was switched on. Frames may come twice or in another order; each counts once.
 * What it keeps is bounded: of a device that runs far ahead of what is missing, the missing ones are given up.
 */
public final class Numbers {
    private static final int MOST = 4096;

    private final TreeSet<Long> ahead = new TreeSet<>();
    private String boot = "";
    /** All up to here were seen or given up. */
    private long upTo;

    /** True the first time that a frame of this number comes. */
    public boolean first(String of, long seq) {
        if (!of.equals(boot)) {
            boot = of;
            ahead.clear();
            upTo = 0;
        }
        if (seq <= upTo || !ahead.add(seq)) {
            return false;
        }
        while (ahead.remove(upTo + 1)) {
            upTo++;
        }
        if (ahead.size() > MOST) {
            upTo = ahead.pollFirst();
        }
        return true;
    }
}
