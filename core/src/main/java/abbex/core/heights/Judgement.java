package abbex.core.heights;

import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * The first sheet against the last, and all sheets as one truth: when one reading explains what looks odd, that reading is
 * named and the oddities that go away without it are not said beside it.
 *
 * @param drops figures from the readings as they stand, with the findings that are left to say
 * @param suspects the readings that do not go with the rest, the most suspicious first
 * @param adjustment all sheets as one truth
 * @param shown the sheet that is compared with the first
 */
public record Judgement(DropSheet drops, List<Suspect> suspects, Adjustment adjustment, int shown) {
    /** How far a corner came down by a method from all readings together, the suspicious one among them. */
    public Optional<Estimate> adjusted(Corner corner, Method method) {
        return shown < 1 ? Optional.empty() : adjustment.drop(0, shown, corner, method);
    }

    private record Said(String code, String place) {
        static Said of(Finding finding) {
            return new Said(finding.code().name(), finding.place().code());
        }
    }

    /**
     * Judges all sheets of a job.
     *
     * @param sheets in order of time; one alone is a vehicle as it arrived
     */
    public static Judgement of(Vehicle vehicle, List<HeightSheet> sheets, Advertised advertised, Limits limits) {
        return of(vehicle, sheets, sheets.size() - 1, advertised, limits);
    }

    /**
     * The same with another sheet than the last compared with the first.
     *
     * @param shown its place in the list, counted from 0; the first alone when it is 0
     */
    public static Judgement of(
            Vehicle vehicle, List<HeightSheet> sheets, int shown, Advertised advertised, Limits limits) {
        DropSheet drops = compare(vehicle, sheets, shown, advertised, limits);
        Freedoms freedoms = Freedoms.of(vehicle.kind(), limits);
        Adjustment adjustment = Adjustment.of(vehicle, sheets, freedoms);
        List<Suspect> suspects = adjustment.suspects();
        if (suspects.isEmpty()) {
            return new Judgement(drops, suspects, adjustment, shown);
        }
        List<Finding> findings = new ArrayList<>();
        findings.add(finding(sheets, suspects, other -> Adjustment.of(vehicle, other, freedoms)));
        Set<Said> left = new HashSet<>();
        compare(vehicle, without(sheets, suspects.get(0)), shown, advertised, limits)
                .findings()
                .forEach(f -> left.add(Said.of(f)));
        for (Finding finding : drops.findings()) {
            boolean odd = finding.severity().compareTo(Severity.NOTE) > 0;
            if (!odd || suspects.size() > 1 || left.contains(Said.of(finding))) {
                findings.add(finding);
            }
        }
        findings.sort(Finding.WORST_FIRST);
        return new Judgement(drops.withFindings(findings), suspects, adjustment, shown);
    }

    private static DropSheet compare(
            Vehicle vehicle, List<HeightSheet> sheets, int shown, Advertised advertised, Limits limits) {
        HeightSheet before = sheets.isEmpty() ? HeightSheet.empty() : sheets.get(0);
        HeightSheet after = shown < 1 ? HeightSheet.empty() : sheets.get(shown);
        return DropSheet.compare(vehicle, before, after, advertised, limits);
    }

    private static Finding finding(
            List<HeightSheet> sheets, List<Suspect> suspects, Function<List<HeightSheet>, Adjustment> adjust) {
        Suspect first = suspects.get(0);
        Spot spot = first.spot();
        if (suspects.size() > 1) {
            List<Spot> spots = suspects.stream().map(Suspect::spot).distinct().toList();
            return spots.size() == 1
                    ? Finding.of(HeightFinding.READING_TWINS, Severity.LOOK, spot, spot)
                    : Finding.of(
                            HeightFinding.READINGS_SUSPECT,
                            Severity.LOOK,
                            spot,
                            spots,
                            Slips.explain(sheets, first, adjust) == Slip.SWAPPED_CORNERS
                                    ? Slip.SWAPPED_CORNERS
                                    : Slip.UNEXPLAINED);
        }
        Length read = sheets.get(first.sheet())
                .at(spot.corner(), spot.method())
                .orElseThrow()
                .value();
        boolean past = first.sheet() < sheets.size() - 1;
        return Finding.of(
                past ? HeightFinding.READING_SUSPECT_BEFORE : HeightFinding.READING_SUSPECT,
                Severity.LOOK,
                spot,
                spot,
                read,
                first.probable(read),
                Slips.explain(sheets, first, adjust));
    }

    private static List<HeightSheet> without(List<HeightSheet> sheets, Suspect suspect) {
        List<HeightSheet> rest = new ArrayList<>(sheets);
        rest.set(suspect.sheet(), sheets.get(suspect.sheet()).without(suspect.spot()));
        return rest;
    }
}
