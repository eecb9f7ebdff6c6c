package abbex.core.heights;

import abbex.core.figure.Finding;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/** What all sheets of a job say together, beside the comparison of two: order, lips, floors, how well all of it fits. */
final class JobCheck {
    private final List<HeightSheet> sheets;
    private final Adjustment adjustment;
    private final Assessment.Pair compared;
    private final List<Finding> findings = new ArrayList<>();

    private JobCheck(List<HeightSheet> sheets, Adjustment adjustment, Assessment.Pair compared) {
        this.sheets = sheets;
        this.adjustment = adjustment;
        this.compared = compared;
    }

    static List<Finding> run(
            List<HeightSheet> sheets,
            Adjustment adjustment,
            Assessment.Pair compared,
            List<Outlier> suspects,
            boolean floorsUnused) {
        JobCheck check = new JobCheck(sheets, adjustment, compared);
        check.order();
        check.floors(floorsUnused);
        if (!compared.alone()) {
            check.standIn();
            check.corners();
            check.lips();
            check.fit(suspects);
        }
        return check.findings;
    }

    /** Stages come in the order of the work, and so do their readings. */
    private void order() {
        for (int i = 1; i < sheets.size(); i++) {
            Stage here = sheets.get(i).basis().stage();
            Stage before = sheets.get(i - 1).basis().stage();
            if (here.ordered() && before.ordered() && here.compareTo(before) < 0) {
                findings.add(new HeightFinding.StagesOutOfOrder(here, before));
            }
            OptionalLong first = sheets.get(i - 1).first();
            OptionalLong now = sheets.get(i).first();
            if (first.isPresent() && now.isPresent() && now.getAsLong() < first.getAsLong()) {
                findings.add(new HeightFinding.ReadBeforeItsStage(here, before));
            }
        }
    }

    private void floors(boolean unused) {
        if (unused) {
            findings.add(new HeightFinding.FloorNotUsed());
        } else if (sheets.stream().anyMatch(s -> s.basis().floor().isPresent() && !s.isEmpty())) {
            findings.add(new HeightFinding.FloorUsed());
        }
    }

    /** What nobody read since the vehicle was lowered, once any corner was. */
    private void corners() {
        List<HeightSheet> since = sheets.stream()
                .filter(sheet -> sheet.basis().stage() != Stage.AS_ARRIVED && sheet != sheets.get(0))
                .toList();
        if (since.stream().noneMatch(sheet -> !sheet.all().isEmpty())) {
            return;
        }
        List<Corner> never = Corner.WALK.stream()
                .filter(corner -> read(sheets.get(0), corner) && since.stream().noneMatch(sheet -> read(sheet, corner)))
                .toList();
        if (!never.isEmpty()) {
            findings.add(new HeightFinding.CornersNotRead(never.get(0), never));
        }
    }

    private static boolean read(HeightSheet sheet, Corner corner) {
        return sheet.all().stream().anyMatch(height -> height.spot().corner() == corner);
    }

    private void standIn() {
        SubstituteBaseline from = sheets.get(compared.before()).basis().standIn();
        if (from != SubstituteBaseline.NONE && !sheets.get(compared.before()).isEmpty()) {
            findings.add(new HeightFinding.StandIn(from));
        }
    }

    private void lips() {
        for (Corner corner : Lips.worked(sheets, compared)) {
            Optional<Estimate> lip = adjustment.lip(compared.before(), compared.after(), corner);
            findings.add(
                    lip.isPresent()
                            ? new HeightFinding.LipMoved(corner, lip.get())
                            : new HeightFinding.LipUnknown(corner));
        }
    }

    /** When all that was read before has been read again: does it fit, and is all of it checked by something. */
    private void fit(List<Outlier> suspects) {
        HeightSheet before = sheets.get(compared.before());
        HeightSheet after = sheets.get(compared.after());
        if (before.isEmpty() || after.isEmpty()) {
            return;
        }
        if (suspects.isEmpty() && adjustment.restless()) {
            findings.add(new HeightFinding.ReadingsRestless());
        }
        boolean whole = before.all().stream()
                .allMatch(h -> after.get(h.spot().corner(), h.spot().method()) != null);
        List<MeasuringPoint> unchecked = adjustment.unchecked();
        if (whole && !unchecked.isEmpty()) {
            findings.add(new HeightFinding.ReadingsUnchecked(unchecked.get(0), List.copyOf(unchecked)));
        }
    }
}
