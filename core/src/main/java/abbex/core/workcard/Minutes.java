package abbex.core.workcard;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** How long steps take: one after the other, or shared between two who each take the next that is free (list scheduling). */
final class Minutes {
    private Minutes() {}

    static int of(Card card, List<CardStep> steps, int people) {
        if (people < 2) {
            return steps.stream().mapToInt(step -> step.step().minutes()).sum();
        }
        Map<String, Integer> ends = new HashMap<>();
        int[] free = new int[2];
        for (CardStep step : steps) {
            int ready = 0;
            for (String before : card.before().getOrDefault(step.key(), Set.of())) {
                ready = Math.max(ready, ends.getOrDefault(before, 0));
            }
            int who = free[0] <= free[1] ? 0 : 1;
            boolean both = step.step().hands() > 1;
            int begin = Math.max(ready, both ? Math.max(free[0], free[1]) : free[who]);
            int end = begin + step.step().minutes();
            ends.put(step.key(), end);
            free[who] = end;
            if (both) {
                free[1 - who] = end;
            }
        }
        return Math.max(free[0], free[1]);
    }
}
