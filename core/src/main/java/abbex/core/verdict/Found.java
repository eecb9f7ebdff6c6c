package abbex.core.verdict;

import abbex.core.figure.Finding;
import abbex.core.figure.Severity;

/** A finding and the station that it belongs to. */
public record Found(Station station, Finding finding) {
    /** By which it is known again at the next look: what is said and where, whatever the figures. */
    public String key() {
        String key = station + "." + finding.code() + "." + finding.place().code();
        String which = finding.which().replaceAll("[^A-Za-z0-9]+", "-");
        return which.isEmpty() ? key : key + "." + which.substring(0, Math.min(30, which.length()));
    }

    public boolean stop() {
        return finding.severity() == Severity.STOP;
    }

    /** Somebody has to answer for it before the vehicle leaves. */
    public boolean toAnswer() {
        return finding.severity().compareTo(Severity.LOOK) >= 0;
    }
}
