package abbex.core.day;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What is left to do at a vehicle.
 *
 * @param key of it
 * @param stints one after the other
 * @param spread one standard deviation of how long it takes, as a part of it
 * @param lift it has to go up
 * @param from not before this minute: its parts come, or its owner brings it
 * @param promised ready by this minute, where something was promised for this day
 * @param weight what leaving it over costs beside others without a promise: 1, more where its promise is near
 * @param bays in one of them, where somebody put it or where it stands begun; empty for any
 * @param leads one of them has it; empty for any
 * @param at where somebody put it
 * @param stands the bay in which it stands now
 * @param begun what was begun goes on in its bay with who has it, and is not left over
 */
public record DayJob(
        String key,
        List<Stint> stints,
        double spread,
        boolean lift,
        int from,
        OptionalInt promised,
        int weight,
        Set<String> bays,
        Set<String> leads,
        OptionalInt at,
        Optional<String> stands,
        Optional<Begun> begun) {
    /**
     * What was begun.
     *
     * @param helper who helps at the first stint, where that is under way
     */
    public record Begun(Optional<String> helper) {}

    /** Where nobody counted minutes yet (ours). */
    public static final double SPREAD = 0.25;

    public DayJob {
        stints = List.copyOf(stints);
        bays = Set.copyOf(bays);
        leads = Set.copyOf(leads);
        if (stints.isEmpty()) {
            throw new IllegalArgumentException("nothing is left to do: " + key);
        }
        if (from < 0 || weight < 1) {
            throw new IllegalArgumentException("not before " + from + ", weight " + weight + ": " + key);
        }
        if (begun.isPresent() && bays.size() != 1) {
            throw new IllegalArgumentException("what was begun stands in one bay: " + key);
        }
    }

    /** A job that may be done by anybody, any time, anywhere. */
    public static DayJob of(String key, List<Stint> stints, boolean lift) {
        return new DayJob(
                key,
                stints,
                SPREAD,
                lift,
                0,
                OptionalInt.empty(),
                1,
                Set.of(),
                Set.of(),
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty());
    }

    public DayJob after(int minute) {
        return new DayJob(key, stints, spread, lift, minute, promised, weight, bays, leads, at, stands, begun);
    }

    public DayJob promised(int minute) {
        return new DayJob(
                key, stints, spread, lift, from, OptionalInt.of(minute), weight, bays, leads, at, stands, begun);
    }

    public DayJob spread(double part) {
        return new DayJob(key, stints, part, lift, from, promised, weight, bays, leads, at, stands, begun);
    }

    public DayJob weighing(int units) {
        return new DayJob(key, stints, spread, lift, from, promised, units, bays, leads, at, stands, begun);
    }

    public DayJob standing(String bay) {
        return new DayJob(key, stints, spread, lift, from, promised, weight, bays, leads, at, Optional.of(bay), begun);
    }

    /** Somebody put it there; what is empty is free. */
    public DayJob put(Set<String> where, Set<String> who, OptionalInt when) {
        return new DayJob(key, stints, spread, lift, from, promised, weight, where, who, when, stands, begun);
    }

    /** It is under way. */
    public DayJob begun(String bay, Set<String> who, Optional<String> helper) {
        return new DayJob(
                key,
                stints,
                spread,
                lift,
                from,
                promised,
                weight,
                Set.of(bay),
                who,
                OptionalInt.empty(),
                Optional.of(bay),
                Optional.of(new Begun(helper)));
    }

    /** What of it is done within so many minutes, whole stints from the first on; the rest is for another day. */
    public DayJob within(int most) {
        List<Stint> first = new ArrayList<>();
        int sum = 0;
        for (Stint stint : stints) {
            sum += stint.minutes();
            if (sum > most && !first.isEmpty()) {
                break;
            }
            first.add(stint);
        }
        return new DayJob(key, first, spread, lift, from, promised, weight, bays, leads, at, stands, begun);
    }

    /** A vehicle that goes on another day is not begun for less, minutes (ours). */
    private static final int WORTH_BEGINNING = 120;

    /**
     * What takes longer than any day has its share of this one and goes on another; what is promised for the day is not cut short.
     *
     * @param length of the day, minutes
     * @param now minute of it
     * @param under it is under way, so that whatever is left of the day is worth it
     */
    public DayJob share(int length, int now, boolean under) {
        int rest = length - at.orElse(Math.max(now, from));
        boolean whole = minutes() <= length || promised.isPresent();
        return whole || rest < (under ? Day.GRID : WORTH_BEGINNING) ? this : within(rest);
    }

    /** Minutes of the vehicle. */
    public int minutes() {
        return stints.stream().mapToInt(Stint::minutes).sum();
    }

    /** Minutes of people. */
    public int handMinutes() {
        return stints.stream().mapToInt(s -> s.minutes() * s.hands()).sum();
    }

    public boolean two() {
        return stints.stream().anyMatch(s -> s.hands() > 1);
    }
}
