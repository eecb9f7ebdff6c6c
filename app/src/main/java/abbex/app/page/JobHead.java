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
 * @param next what is next for whoever stands in front of it
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
        Next next,
        boolean singleTrack) {
    /** An act, and where it is done below the stay's address. */
    public record Next(String text, String link) {}

    /** The page that is open is where the next act is done. */
    public boolean here() {
        String path = next.link().replaceAll("[/?#].*", "");
        return path.equals(station) || path.equals("sheet") && station.equals("handover");
    }

    private static final List<String> STATIONS =
            List.of("arrive", "measure", "plan", "fit", "set", "fitment", "prove", "align", "handover", "return");

    /** In the order of the work. */
    public List<String> stations() {
        return STATIONS.stream()
                .filter(station -> !(singleTrack && station.equals("align")))
                .toList();
    }
}
