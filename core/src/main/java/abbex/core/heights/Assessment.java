package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * One sheet against another, and all sheets as one truth: when one reading explains what looks odd, that reading is named and
 * the oddities that go away without it are not said beside it.
 *
 * @param drops figures from the readings as they stand, with the findings that are left to say
 * @param suspects the readings that do not go with the rest, the most suspicious first
 * @param settling the one height that would tell which of several it is
 * @param adjustment all sheets as one truth
 * @param trusted the same without the readings that are suspected
 * @param compared which sheets are compared
 */
public record Assessment(
        DropSheet drops,
        List<Outlier> suspects,
        Optional<Asked> settling,
        Adjustment adjustment,
        Adjustment trusted,
        Pair compared) {
    /**
     * Two sheets of a job, counted from 0.
     *
     * @param before the one that is the base
     * @param after the one that is compared with it; one alone when it is the same
     */
    public record Pair(int before, int after) {
        boolean alone() {
            return before == after;
        }
    }

    private record Said(String code, String place) {
        static Said of(Finding finding) {
            return new Said(finding.code(), finding.place().code());
        }
    }

    /** The drop at a spot between the two sheets that are compared, positive down. */
    public Optional<Figure<Estimate>> drop(MeasuringPoint spot) {
        return Optional.ofNullable(
                spot.atCorner()
                        ? drops.corners().get(spot.corner()).byMethod().get(spot.method())
                        : drops.points().get(spot));
    }

    /** How the four corners of a sheet stand by a method, suspected readings held out; empty where the others do not tell. */
    public Optional<CornerHeights> heights(int sheet, Method method) {
        return trusted.heights(sheet, method);
    }

    /**
     * How the four corners of a sheet stand over their hubs, or over the ground where nothing was read over hubs; suspected
     * readings held out. Empty where neither is told.
     */
    public Optional<CornerHeights> heights(int sheet) {
        return OVER.stream().flatMap(method -> heights(sheet, method).stream()).findFirst();
    }

    /** How far a corner came down over its hub between two sheets, or over the ground where nothing was read over hubs. */
    public Optional<Estimate> down(int from, int to, Corner corner) {
        return down(trusted, from, to, corner);
    }

    /** Without the tyre before with it. */
    private static final List<Method> OVER = List.of(Method.HF, Method.RIM, Method.GF);

    /** How far a corner came down by a method from all readings together, the suspicious one among them. */
    public Optional<Estimate> adjusted(Corner corner, Method method) {
        return compared.alone()
                ? Optional.empty()
                : adjustment.drop(compared.before(), compared.after(), corner, method);
    }

    /** How the rake of the frame changed, from all readings together; positive when the nose went down more. */
    public Optional<Estimate> rakeChange() {
        return compared.alone()
                ? Optional.empty()
                : adjustment.rakeChange(compared.before(), compared.after(), Method.FG);
    }

    /**
     * Judges all sheets of a job, the last against the first.
     *
     * @param sheets in order of time; one alone is a vehicle as it arrived
     */
    public static Assessment of(Vehicle vehicle, List<HeightSheet> sheets, Advertised advertised, Limits limits) {
        return of(vehicle, sheets, new Pair(0, Math.max(0, sheets.size() - 1)), advertised, limits);
    }

    /** The same with any two sheets compared. */
    public static Assessment of(
            Vehicle vehicle, List<HeightSheet> sheets, Pair compared, Advertised advertised, Limits limits) {
        return new Judge(vehicle, Floors.used(sheets), compared, advertised, limits).judge(Floors.unused(sheets));
    }

    /** All sheets of a vehicle as one truth, suspected readings held out. */
    static Adjustment trusted(Vehicle vehicle, List<HeightSheet> sheets, Limits limits) {
        List<HeightSheet> used = Floors.used(sheets);
        PriorDeviations freedoms = PriorDeviations.of(vehicle.kind(), limits);
        Adjustment all = Adjustment.of(vehicle, used, freedoms);
        Optional<Exchange> exchanged = Exchange.find(vehicle, used, all, freedoms);
        Optional<OtherTyre> tyre = exchanged.isPresent()
                ? Optional.empty()
                : OtherTyre.find(vehicle, used, all, freedoms).filter(t -> t.decided(all));
        Adjustment as = tyre.map(OtherTyre::adjustment).orElse(all);
        List<Outlier> held = exchanged.map(e -> e.held(used)).orElseGet(as::suspects);
        return held.isEmpty()
                ? as
                : Adjustment.without(
                        vehicle,
                        used,
                        freedoms,
                        held,
                        tyre.map(OtherTyre::at).stream().toList());
    }

    /** Over hubs, else over the ground: how far a corner came down. */
    static Optional<Estimate> down(Adjustment trusted, int from, int to, Corner corner) {
        return OVER.stream()
                .flatMap(method -> trusted.drop(from, to, corner, method).stream())
                .findFirst();
    }

    /** One judging: what it starts from. */
    private record Judge(
            Vehicle vehicle, List<HeightSheet> sheets, Pair compared, Advertised advertised, Limits limits) {
        Assessment judge(boolean floorsUnused) {
            Adjustment as = adjust(sheets);
            Optional<Exchange> exchanged =
                    Exchange.find(vehicle, sheets, as, PriorDeviations.of(vehicle.kind(), limits));
            Optional<OtherTyre> tyre = exchanged.isPresent()
                    ? Optional.empty()
                    : OtherTyre.find(vehicle, sheets, as, PriorDeviations.of(vehicle.kind(), limits));
            Optional<OtherTyre> decided = tyre.filter(t -> t.decided(as));
            Adjustment adjustment = decided.map(OtherTyre::adjustment).orElse(as);
            List<Outlier> suspects = exchanged.map(e -> e.held(sheets)).orElseGet(adjustment::suspects);
            DropSheet drops = compare(sheets, adjustment);
            Optional<Asked> settling = suspects.size() > 1 && !sheets.isEmpty() && exchanged.isEmpty()
                    ? adjustment.settles(suspects, sheets.size() - 1).map(this::asked)
                    : Optional.empty();
            List<Finding> findings = new ArrayList<>(
                    suspects.isEmpty() ? drops.findings() : explained(drops.findings(), suspects, adjustment));
            if (!suspects.isEmpty()) {
                findings.add(
                        exchanged.<Finding>map(e -> e.finding(sheets)).orElseGet(() -> finding(suspects, settling)));
            }
            tyre.filter(t -> t.decided(as) || t.possible(as)).ifPresent(t -> {
                // Of two other sheets it explains nothing.
                if (t.at().sheet() == compared.after() || t.at().sheet() == compared.before()) {
                    findings.removeIf(t::explains);
                }
                findings.add(t.finding(sheets.get(t.at().sheet()).basis().stage()));
            });
            findings.addAll(settled());
            findings.addAll(JobCheck.run(sheets, adjustment, compared, suspects, floorsUnused));
            findings.sort(Finding.WORST_FIRST);
            return new Assessment(
                    drops.withFindings(findings),
                    suspects,
                    settling,
                    adjustment,
                    suspects.isEmpty() ? adjustment : without(suspects, decided),
                    compared);
        }

        /** What a settled vehicle did since it was first measured lowered. */
        private List<Finding> settled() {
            int last = sheets.size() - 1;
            if (compared.alone()
                    || compared.after() != last
                    || sheets.get(last).basis().stage() != Stage.SETTLED) {
                return List.of();
            }
            return IntStream.range(0, last)
                    .filter(i -> sheets.get(i).basis().stage().lowered()
                            && !sheets.get(i).isEmpty())
                    .boxed()
                    .findFirst()
                    .map(since -> settled(sheets.get(since), sheets.get(last)))
                    .orElse(List.of());
        }

        private List<Finding> settled(HeightSheet since, HeightSheet now) {
            DropSheet further = DropSheet.compare(vehicle, since, now, Advertised.NOTHING, limits);
            List<Finding> found = new ArrayList<>();
            for (End end : End.values()) {
                further.ends().get(end).drop().ifPresent(f -> {
                    Estimate by = f.value();
                    Stage stage = since.basis().stage();
                    if (by.value().abs().compareTo(by.expanded()) <= 0) {
                        found.add(new HeightFinding.HeldSince(end, by, stage));
                    } else if (by.value().sign() > 0) {
                        found.add(new HeightFinding.SettledBy(end, by, stage));
                    } else {
                        found.add(new HeightFinding.RoseSince(end, by.negate(), stage));
                    }
                });
            }
            return found;
        }

        private Asked asked(MeasuringPoint spot) {
            HeightSheet newest = sheets.get(sheets.size() - 1);
            return new Asked(spot, newest.get(spot.corner(), spot.method()) != null);
        }

        private Adjustment without(List<Outlier> suspects, Optional<OtherTyre> tyre) {
            return Adjustment.without(
                    vehicle,
                    sheets,
                    PriorDeviations.of(vehicle.kind(), limits),
                    suspects,
                    tyre.map(OtherTyre::at).stream().toList());
        }

        private Adjustment adjust(List<HeightSheet> any) {
            return Adjustment.of(vehicle, any, PriorDeviations.of(vehicle.kind(), limits));
        }

        private DropSheet compare(List<HeightSheet> any, Adjustment adjustment) {
            if (any.isEmpty() || compared.alone()) {
                HeightSheet one = any.isEmpty() ? HeightSheet.empty() : any.get(compared.before());
                return DropSheet.compare(vehicle, one, HeightSheet.empty(), advertised, limits);
            }
            HeightSheet after = any.get(compared.after());
            for (Corner corner : Lips.worked(sheets, compared)) {
                Optional<Estimate> lip = adjustment.lip(compared.before(), compared.after(), corner);
                after = lip.isPresent() ? after.lowered(corner, lip.get()) : after.withoutLip(corner);
            }
            // The box speaks of the whole way down, from the vehicle as it came.
            Advertised promised = compared.before() == 0 ? advertised : Advertised.NOTHING;
            return DropSheet.compare(vehicle, any.get(compared.before()), after, promised, limits);
        }

        /** What is left to say beside the suspicion. */
        private List<Finding> explained(List<Finding> findings, List<Outlier> suspects, Adjustment adjustment) {
            Set<Said> left = new HashSet<>();
            compare(apart(suspects), adjustment).findings().forEach(f -> left.add(Said.of(f)));
            return findings.stream()
                    .filter(f -> f.severity().compareTo(Severity.NOTE) <= 0 || left.contains(Said.of(f)))
                    .toList();
        }

        private Finding finding(List<Outlier> suspects, Optional<Asked> settling) {
            Outlier first = suspects.get(0);
            MeasuringPoint spot = first.spot();
            if (suspects.size() > 1) {
                return several(suspects, settling);
            }
            Slip slip = Slips.explain(sheets, first, this::adjust);
            Length read = first.reading().value();
            return first.sheet() < sheets.size() - 1
                    ? new HeightFinding.ReadingSuspectBefore(
                            spot,
                            read,
                            first.probable(),
                            slip,
                            sheets.get(first.sheet()).basis().stage())
                    : new HeightFinding.ReadingSuspect(spot, read, first.probable(), slip);
        }

        private Finding several(List<Outlier> suspects, Optional<Asked> settling) {
            Outlier first = suspects.get(0);
            MeasuringPoint spot = first.spot();
            boolean oneSheet = suspects.stream().map(Outlier::sheet).distinct().count() == 1;
            if (!oneSheet && suspects.stream().map(Outlier::spot).distinct().count() == 1) {
                return new HeightFinding.ReadingTwins(spot, stages(suspects));
            }
            List<Taken> taken = suspects.stream()
                    .map(s -> new Taken(
                            s.spot(),
                            oneSheet
                                    ? Optional.empty()
                                    : Optional.of(sheets.get(s.sheet()).basis().stage())))
                    .distinct()
                    .toList();
            boolean swapped = Slips.explain(sheets, first, this::adjust) == Slip.SWAPPED_CORNERS;
            Slip slip = swapped ? Slip.SWAPPED_CORNERS : Slip.UNEXPLAINED;
            return settling.isPresent()
                    ? new HeightFinding.ReadingsSuspectSettled(spot, taken, slip, settling.get())
                    : new HeightFinding.ReadingsSuspect(spot, taken, slip);
        }

        private List<Stage> stages(List<Outlier> suspects) {
            return suspects.stream()
                    .map(s -> sheets.get(s.sheet()).basis().stage())
                    .toList();
        }

        private List<HeightSheet> apart(List<Outlier> suspects) {
            List<HeightSheet> rest = new ArrayList<>(sheets);
            suspects.forEach(s -> rest.set(s.sheet(), rest.get(s.sheet()).without(s.spot())));
            return rest;
        }
    }
}
