package abbex.core.kit;

import abbex.core.figure.Finding;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.PointMethod;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.WheelPlace;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a kit will do: each end with its ledger and its intervals, and what the drop takes with it.
 *
 * @param ends empty where nothing is planned, or nothing tells what the new spring does
 * @param travel of the ends that are planned
 * @param findings worst first
 * @param machine what of a motorcycle turns; empty for others
 * @param truck what of a live rear axle does
 */
public record KitPlan(
        PerEnd<Optional<EndPlan>> ends,
        PerEnd<Optional<Travel>> travel,
        List<KitFinding> findings,
        Optional<MachinePlan> machine,
        Optional<TruckPlan> truck) {
    /**
     * @param now both ends as they stand
     * @param kit what goes in
     * @param settling of new springs, mm
     */
    public static KitPlan predict(PerEnd<EndNow> now, PerEnd<EndKit> kit, PerEnd<Told> settling) {
        Map<End, EndPlan> plans = new EnumMap<>(End.class);
        Map<End, Travel> travels = new EnumMap<>(End.class);
        List<KitFinding> findings = new ArrayList<>();
        for (End end : End.values()) {
            if (kit.get(end).nothing()) {
                continue;
            }
            EndModel model = EndModel.of(now.get(end), kit.get(end), settling.get(end));
            if (!model.told()) {
                findings.add(new KitFinding.Unsaid(end));
                continue;
            }
            EndPlan plan = EndPlan.of(model, now.get(end), kit.get(end));
            Consequences.Found found = Consequences.of(end, now.get(end), kit.get(end), model, plan);
            plans.put(end, plan);
            travels.put(end, found.travel());
            findings.addAll(found.findings());
            kit.get(end).parts().forEach(part -> findings.addAll(part.troubles(end)));
        }
        findings.sort(Finding.WORST_FIRST);
        return new KitPlan(
                PerEnd.of(end -> Optional.ofNullable(plans.get(end))),
                PerEnd.of(end -> Optional.ofNullable(travels.get(end))),
                List.copyOf(findings),
                Optional.empty(),
                Optional.empty());
    }

    /** The same with what it does to axles on lateral rods. */
    public KitPlan with(PerEnd<Optional<LateralRod>> rods) {
        List<KitFinding> all = new ArrayList<>(findings);
        rods.forEach((end, rod) -> rod.ifPresent(of -> ends.get(end)
                .flatMap(plan -> of.shift(end, plan.setDown().value()))
                .ifPresent(all::add)));
        return with(all);
    }

    /**
     * The same with what is left between a live axle and its frame, by the readings of a sheet.
     *
     * @param needed travel that there has to be, mm
     */
    public KitPlan over(HeightSheet sheet, double needed) {
        List<KitFinding> all = new ArrayList<>(findings);
        heights(sheet).stream()
                .filter(h -> h.spot().way() == PointMethod.AXLE)
                .min(Comparator.comparingDouble(h -> h.settled().low()))
                .ifPresent(axle -> all.add(axle(axle, needed)));
        return with(all);
    }

    /** The same with what the drops turn of a motorcycle. */
    public KitPlan on(Machine facts) {
        if (ends.stream().allMatch(Optional::isEmpty) || !facts.fits(drop(End.FRONT), drop(End.REAR))) {
            return this;
        }
        MachinePlan turned = facts.turned(drop(End.FRONT), drop(End.REAR));
        List<KitFinding> all = new ArrayList<>(findings);
        all.addAll(turned.findings(ends.front().isPresent(), ends.rear().isPresent()));
        return new KitPlan(ends, travel, List.of(), Optional.of(turned), truck).with(all);
    }

    /** The same with what a rear axle's drop does to driveline and bags. */
    public KitPlan on(Truck facts, EndKit rear) {
        if (ends.rear().isEmpty()) {
            return this;
        }
        double beside = rear.parts().stream()
                .filter(part -> part.atWheel() && !part.usesTravel())
                .mapToDouble(Part::move)
                .sum();
        Told drop = drop(End.REAR);
        double nose = rear.parts().stream().mapToDouble(p -> p.nose().value()).sum();
        double width = rear.parts().stream()
                .mapToDouble(p -> p.nose().standard() * p.nose().standard())
                .sum();
        TruckPlan lowered = facts.lowered(
                new Told(drop.value() - beside, drop.standard(), drop.origin()), Told.measured(nose, Math.sqrt(width)));
        List<KitFinding> all = new ArrayList<>(findings);
        all.addAll(lowered.findings());
        return new KitPlan(ends, travel, List.of(), machine, Optional.of(lowered)).with(all);
    }

    /** How far an end comes down as it is set down, as well as that is known; nothing where nothing is planned. */
    private Told drop(End end) {
        return ends.get(end).map(plan -> Carried.asTold(plan.setDown())).orElse(Told.measured(0, 0));
    }

    private static KitFinding axle(PlannedHeight axle, double needed) {
        End end = ((WheelPlace) axle.spot().place()).end();
        Length left = Length.ofRoundedMm(axle.settled().value());
        return axle.settled().low() >= needed
                ? new KitFinding.AxleClearsFrame(end, left)
                : new KitFinding.AxleNearFrame(
                        end,
                        axle.now().value(),
                        left,
                        Length.ofRoundedMm(needed - axle.settled().value()));
    }

    private KitPlan with(List<KitFinding> all) {
        all.sort(Finding.WORST_FIRST);
        return new KitPlan(ends, travel, List.copyOf(all), machine, truck);
    }

    /** Every height of a sheet that it changes. */
    public List<PlannedHeight> heights(HeightSheet sheet) {
        return PlannedHeight.of(sheet, ends);
    }
}
