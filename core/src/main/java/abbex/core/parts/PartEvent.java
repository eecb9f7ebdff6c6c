package abbex.core.parts;

import java.time.LocalDate;
import java.util.Optional;

/** What somebody said of a line; the order is that in which it was written down. */
public sealed interface PartEvent {
    /** The key of the line. */
    String line();

    /** It was asked for; a day where somebody named one. */
    record Asked(String line, Optional<LocalDate> due) implements PartEvent {}

    /** It is in the shop. */
    record Arrived(String line) implements PartEvent {}

    /** It goes without. */
    record NotNeeded(String line) implements PartEvent {}

    /** What was said of it is taken back. */
    record Reopened(String line) implements PartEvent {}

    /** What it is and costs: the newest counts, whole. */
    record Noted(String line, BillLine.Facts facts) implements PartEvent {}

    /**
     * A line of somebody's own.
     *
     * @param count 1 or more
     * @param listed it stands on the maker's list of a second-hand kit
     */
    record Added(String line, String name, int count, boolean listed) implements PartEvent {}
}
