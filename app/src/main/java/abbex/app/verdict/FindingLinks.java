package abbex.app.verdict;

import abbex.app.measure.JobSheets;
import abbex.core.clearance.ClearanceFinding;
import abbex.core.figure.Finding;
import abbex.core.heights.MeasuringPoint;
import abbex.core.state.OpenWork;
import abbex.core.vehicle.WheelPlace;
import abbex.core.verdict.Found;
import abbex.core.verdict.Station;
import abbex.core.workcard.CardFinding;

/** Where a finding is seen to: the place itself, not only its station's page. Addresses lie below that of the stay. */
final class FindingLinks {
    private FindingLinks() {}

    /** @param open what stands open on the vehicle: the step in hand is where a card goes on */
    static String to(Found found, OpenWork open) {
        Finding finding = found.finding();
        if (finding.place() instanceof MeasuringPoint spot && found.station() == Station.HEIGHTS) {
            return JobSheets.path(spot);
        }
        if (finding.place() instanceof ClearanceFinding.At at) {
            return "prove?corner=" + at.wheel().name();
        }
        if (found.station() == Station.CLEARANCE && finding.place() instanceof WheelPlace wheel) {
            return "prove?corner=" + wheel.name();
        }
        if (finding instanceof CardFinding && open.hand().isPresent()) {
            return "fit/" + open.hand().get().key();
        }
        return page(found.station());
    }

    /** The page where a station's findings are seen to. */
    static String page(Station station) {
        return switch (station) {
            case ARRIVE -> "arrive";
            case HEIGHTS -> "measure";
            case PLAN -> "plan";
            case FIT -> "fit";
            case SET -> "set";
            case WHEELS -> "fitment";
            case CLEARANCE -> "prove";
            case GROUND -> "ground";
            case ALIGN -> "align";
            case RETURN -> "return";
        };
    }

    /** The station of the strip that its page belongs to. */
    static String strip(Station station) {
        return station == Station.GROUND ? "prove" : page(station);
    }
}
