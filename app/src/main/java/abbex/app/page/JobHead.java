package abbex.app.page;

import java.util.List;
import java.util.UUID;

/**
 * What stays in sight on every page of a job: the vehicle's tag and the stations.
 *
 * @param line where it stands and what is wished
 * @param summary end to end, made safe for a page
 * @param station arrive, measure or handover
 * @param measured 0 nothing, 1 begun, 2 done
 * @param mark the judgement of the whole stay
 * @param singleTrack it has no axles to be aligned
 */
public record JobHead(
        UUID id,
        String plate,
        String name,
        String line,
        String summary,
        String station,
        int measured,
        JobMark mark,
        boolean singleTrack) {
    private static final List<String> STATIONS =
            List.of("arrive", "measure", "plan", "fit", "set", "fitment", "prove", "align", "handover", "return");

    /** In the order of the work. */
    public List<String> stations() {
        return STATIONS.stream()
                .filter(station -> !(singleTrack && station.equals("align")))
                .toList();
    }
}
