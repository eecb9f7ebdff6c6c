package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.app.measure.AdvertisedBy;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.state.ActSource;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.heights.Stage;
import abbex.core.state.PartsFitted;
import abbex.core.state.VehicleHistory;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Which kit stands on a vehicle, as its sheets tell: one of a later stage was taken on the kit that was chosen by then, unless
 * the sheet says another.
 */
@Component
public class FittedKits implements ActSource, AdvertisedBy {
    private final Kits kits;
    private final Sheets sheets;

    FittedKits(Kits kits, Sheets sheets) {
        this.kits = kits;
        this.sheets = sheets;
    }

    @Override
    public List<VehicleHistory.Entry> acts(Job job) {
        JobSheets all = sheets.of(job.shop(), job.id());
        Kits.OfJob of = kits.of(job);
        List<VehicleHistory.Entry> acts = new ArrayList<>();
        for (SheetData sheet : all.sheets()) {
            if (!sheet.parts().isEmpty() || carries(sheet)) {
                for (End end : End.values()) {
                    acts.add(new VehicleHistory.Entry(
                            sheet.row().madeAt(), "", fitted(of, sheet, end).at(end)));
                }
            }
            acts.addAll(sheet.acts());
        }
        return acts;
    }

    /** It stands on the parts that it gets. */
    static boolean carries(SheetData sheet) {
        return sheet.stage().lowered() || sheet.stage() == Stage.TRIAL;
    }

    private static PartsFitted fitted(Kits.OfJob of, SheetData sheet, End end) {
        if (sheet.parts().equals(SheetData.AS_IT_CAME)) {
            return PartsFitted.AS_IT_CAME;
        }
        return of(kit(of, sheet), sheet.stage() == Stage.TRIAL, end);
    }

    /** Which kit a sheet was taken on: the one that it says, else the one that was chosen by then. */
    static Kits.Kit kit(Kits.OfJob of, SheetData sheet) {
        return of.list().stream()
                .filter(k -> !sheet.parts().isEmpty() && k.name().equalsIgnoreCase(sheet.parts()))
                .findFirst()
                .orElseGet(() -> of.chosenAt(sheet.row().madeAt()));
    }

    /** What the kit that stood there advertises; what was said when the vehicle was received is of its first kit. */
    @Override
    public Advertised on(Job job, SheetData sheet) {
        if (sheet.parts().equals(SheetData.AS_IT_CAME)) {
            return Advertised.NOTHING;
        }
        Kits.OfJob of = kits.of(job);
        Kits.Kit kit = kit(of, sheet);
        return kit == of.list().get(0) ? job.advertised() : advertised(kit);
    }

    private static Advertised advertised(Kits.Kit kit) {
        Map<Place, Advertised.Range> ranges = new HashMap<>();
        for (End end : End.values()) {
            kit.values().value(end, KitField.BOX).ifPresent(least -> {
                double most = kit.values().value(end, KitField.BOX_TO).orElse(least);
                ranges.put(
                        end,
                        new Advertised.Range(Length.ofRoundedMm(least), Length.ofRoundedMm(Math.max(least, most))));
            });
        }
        return new Advertised(ranges);
    }

    /** What a kit makes of an end: nothing where it brings nothing. */
    public static PartsFitted of(Kits.Kit kit, boolean trial, End end) {
        Set<String> brings = KitParts.brings(kit.values(), end);
        return brings.isEmpty()
                ? PartsFitted.AS_IT_CAME
                : new PartsFitted(trial ? PartsFitted.Origin.TRIAL : PartsFitted.Origin.KIT, kit.key(), brings);
    }
}
