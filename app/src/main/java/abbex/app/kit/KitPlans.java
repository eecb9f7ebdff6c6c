package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts.Measure;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.measure.Sheets;
import abbex.app.store.Reads;
import abbex.core.figure.Severity;
import abbex.core.heights.Height;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Limit;
import abbex.core.heights.Method;
import abbex.core.heights.Way;
import abbex.core.kit.Afterwards;
import abbex.core.kit.Causes;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.EndPlan;
import abbex.core.kit.KitFinding;
import abbex.core.kit.KitKind;
import abbex.core.kit.KitPlan;
import abbex.core.kit.Machine;
import abbex.core.kit.Narrowing;
import abbex.core.kit.OwnFits;
import abbex.core.kit.PlannedHeight;
import abbex.core.kit.Told;
import abbex.core.kit.Truck;
import abbex.core.kit.Wish;
import abbex.core.stance.Stance;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What will come of a kit, for every station that asks: the one answer. */
@Service
public class KitPlans {
    private final Kits kits;
    private final Fits fits;
    private final Sheets sheets;
    private final Reads reads;

    KitPlans(Kits kits, Fits fits, Sheets sheets, Reads reads) {
        this.kits = kits;
        this.fits = fits;
        this.sheets = sheets;
        this.reads = reads;
    }

    /**
     * A plan with what it starts from.
     *
     * @param heights of the first sheet, as they are and will be
     * @param narrowing which measurement would narrow an end's answer most
     * @param attitude how the vehicle stands between its ends
     * @param gaps from tyre to lip, the mean of the sides, mm; empty where they were not measured
     */
    public record Planned(
            PerEnd<EndNow> now,
            PerEnd<EndKit> kit,
            KitPlan plan,
            List<PlannedHeight> heights,
            PerEnd<Optional<Narrowing.Gain>> narrowing,
            Wish.Attitude attitude,
            PerEnd<OptionalDouble> gaps) {
        /** How far an end comes down when it is set down, mm. */
        public OptionalDouble drop(End end) {
            return plan.ends()
                    .get(end)
                    .map(p -> OptionalDouble.of(p.setDown().value()))
                    .orElseGet(OptionalDouble::empty);
        }

        /** How far a wheel goes up to its stop once the end stands as planned, mm; empty where that was not measured. */
        public OptionalDouble toStop(End end) {
            return plan.travel().get(end).map(t -> t.toStop().is()).orElseGet(OptionalDouble::empty);
        }
    }

    /** The plan of a stay by the kit that it gets. */
    public Planned of(Job job) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(KitPlans.class, job.shop(), job.id()),
                () -> of(job, kits.of(job).chosen().values()));
    }

    /** The plan of the kit that stands on the vehicle; before any does, of the one that the stay gets. */
    public Planned standing(Job job) {
        Kits.OfJob of = kits.of(job);
        return newest(job)
                .map(sheet -> FittedKits.kit(of, sheet))
                .filter(kit -> kit != of.chosen())
                .map(kit -> of(job, kit.values()))
                .orElseGet(() -> of(job));
    }

    /** What is told of the kit that stands on the vehicle; before any does, of the one that the stay gets. */
    public KitValues values(Job job) {
        Kits.OfJob of = kits.of(job);
        return newest(job)
                .map(sheet -> FittedKits.kit(of, sheet))
                .orElse(of.chosen())
                .values();
    }

    /** The newest sheet that was taken on a kit. */
    private Optional<SheetData> newest(Job job) {
        return sheets.of(job.shop(), job.id())
                .now()
                .filter(sheet -> FittedKits.carries(sheet) && !sheet.parts().equals(SheetData.AS_IT_CAME));
    }

    /** The sheets that were taken on a kit, in order. */
    public List<SheetData> on(Job job, KitValues values) {
        Kits.OfJob of = kits.of(job);
        return sheets.of(job.shop(), job.id()).sheets().stream()
                .filter(sheet -> FittedKits.carries(sheet)
                        && !sheet.parts().equals(SheetData.AS_IT_CAME)
                        && FittedKits.kit(of, sheet)
                                .values()
                                .raw(null, KitField.NAME)
                                .equals(values.raw(null, KitField.NAME)))
                .toList();
    }

    /** What a plan starts from. */
    private record Start(PerEnd<EndNow> now, PerEnd<EndKit> kit, PerEnd<Told> settling, Optional<HeightSheet> before) {}

    private Start start(Job job, KitValues values) {
        PerEnd<EndNow> now = PerEnd.of(end -> Ends.now(job, end, values));
        PerEnd<OwnFits> own = fits.of(job, values.raw(null, KitField.NAME));
        return new Start(
                now,
                PerEnd.of(end -> Ends.kit(job, end, values, now.get(end), own.get(end))),
                PerEnd.of(end -> settling(values, end)),
                sheets.of(job.shop(), job.id()).before().map(SheetData::heights));
    }

    private KitPlan plan(Job job, KitValues values, Start start) {
        KitPlan parts = KitPlan.predict(start.now(), start.kit(), start.settling())
                .with(PerEnd.of(end -> Ends.rod(end, values)));
        Optional<Machine> machine = Machines.motorcycle(job, values);
        Optional<Truck> truck = Machines.truck(job, values, start.now().rear());
        double needed = sheets.limits(job.shop()).of(Limit.AXLE_TRAVEL).mm();
        KitPlan leaned = machine.map(parts::on).orElse(parts);
        KitPlan turned = truck.map(axle -> leaned.on(axle, start.kit().rear())).orElse(leaned);
        return start.before().map(sheet -> turned.over(sheet, needed)).orElse(turned);
    }

    /** The heights of the first sheet as they will be by what is told, kept or not. */
    List<PlannedHeight> heights(Job job, KitValues values) {
        Start start = start(job, values);
        return start.before()
                .map(sheet -> KitPlan.predict(start.now(), start.kit(), start.settling())
                        .heights(sheet))
                .orElse(List.of());
    }

    /** A height as the vehicle came, the mean of all places at which it was measured, mm. */
    OptionalDouble asItCame(Job job, Way way) {
        return sheets.of(job.shop(), job.id()).before().stream()
                .flatMap(sheet -> sheet.heights().everything().stream())
                .filter(height -> height.spot().way().equals(way))
                .mapToDouble(height -> height.value().mm())
                .average();
    }

    /** How much of it stops a plan. */
    long impossible(Job job, KitValues values) {
        return plan(job, values, start(job, values)).findings().stream()
                .filter(finding -> finding.severity() == Severity.STOP)
                .count();
    }

    /** The plan by what is told, kept or not. */
    public Planned of(Job job, KitValues values) {
        Start start = start(job, values);
        Optional<HeightSheet> before = start.before();
        KitPlan plan = plan(job, values, start);
        return new Planned(
                start.now(),
                start.kit(),
                plan,
                before.map(plan::heights).orElse(List.of()),
                PerEnd.of(end -> start.kit().get(end).nothing()
                        ? Optional.empty()
                        : Narrowing.best(
                                start.now().get(end),
                                start.kit().get(end),
                                start.settling().get(end))),
                before.map(sheet -> new Wish.Attitude(apart(sheet, Method.TG), apart(sheet, Method.FG)))
                        .orElse(new Wish.Attitude(OptionalDouble.empty(), OptionalDouble.empty())),
                PerEnd.of(
                        end -> before.map(sheet -> mean(sheet, end, Method.TG)).orElse(OptionalDouble.empty())));
    }

    /** Of the springs that go in; nothing where none is new. */
    private static Told settling(KitValues values, End end) {
        return KitKinds.of(values, end).stream().anyMatch(KitKind::settles)
                ? EndPlan.USUAL_SETTLING
                : Told.measured(0, 0);
    }

    /** A printed drop is of an end's springs, and not of the links, shackles or saddles of a whole kit. */
    public static boolean springBox(KitValues values, End end) {
        Set<KitKind> said = KitKinds.said(values, end);
        return Ends.printed(values, end)
                && !Machines.wholeKit(values, end)
                && (said.isEmpty() || said.stream().anyMatch(KitKind::springs));
    }

    /** What somebody has to look at in the kit that a stay gets, worst first. */
    public List<KitFinding> findings(Job job) {
        boolean measured = sheets.of(job.shop(), job.id())
                .now()
                .filter(sheet -> sheet.stage().lowered())
                .isPresent();
        return standing(job).plan().findings().stream()
                .filter(f -> f.severity().compareTo(Severity.LOOK) >= 0)
                .filter(f -> !(measured && f.untilMeasured()))
                .toList();
    }

    /** Why the vehicle stands as it does on its kit; empty before that was measured. */
    public Optional<Causes.Ranked> why(Job job, Planned planned, KitValues values) {
        JobSheets all = sheets.of(job.shop(), job.id());
        List<HeightSheet> after =
                on(job, values).stream().map(SheetData::heights).toList();
        return all.before()
                .flatMap(before -> Afterwards.of(
                        planned.plan(),
                        planned.kit(),
                        before.heights(),
                        after,
                        measure(job, Measure.WHEELBASE, Stance.USUAL_WHEELBASE),
                        measure(job, Measure.TRACK_FRONT, Stance.USUAL_TRACK)));
    }

    /** What a stay that is handed over tells of its kit's printed number. */
    @Transactional
    public void learn(Job job) {
        KitValues values = kits.of(job).chosen().values();
        String name = values.raw(null, KitField.NAME);
        fits.forget(job);
        if (!name.isBlank()) {
            told(job, of(job, values)).forEach((end, fit) -> fit.ifPresent(of -> fits.add(job, name, end, of)));
        }
    }

    private PerEnd<Optional<OwnFits.Fit>> told(Job job, Planned planned) {
        JobSheets all = sheets.of(job.shop(), job.id());
        Optional<HeightSheet> before = all.before().map(SheetData::heights);
        KitValues values = kits.of(job).chosen().values();
        Optional<HeightSheet> after = on(job, values).stream()
                .filter(sheet -> sheet.stage().lowered())
                .reduce((one, other) -> other)
                .map(SheetData::heights);
        return PerEnd.of(end -> before.isEmpty() || after.isEmpty()
                ? Optional.empty()
                : Afterwards.fit(end, planned.plan(), planned.kit().get(end), before.get(), after.get()));
    }

    /** What it told is taken back. */
    @Transactional
    public void forget(Job job) {
        fits.forget(job);
    }

    private static double measure(Job job, Measure measure, double usual) {
        return job.vehicle().measure(measure).map(Length::mm).orElse(usual);
    }

    /** By how much the rear stands higher than the front by a method, the mean of the sides, mm. */
    private static OptionalDouble apart(HeightSheet sheet, Method method) {
        OptionalDouble front = mean(sheet, End.FRONT, method);
        OptionalDouble rear = mean(sheet, End.REAR, method);
        return front.isPresent() && rear.isPresent()
                ? OptionalDouble.of(rear.getAsDouble() - front.getAsDouble())
                : OptionalDouble.empty();
    }

    private static OptionalDouble mean(HeightSheet sheet, End end, Method method) {
        return Stream.of(end.left(), end.right())
                .flatMap(corner -> sheet.at(corner, method).stream())
                .map(Height::value)
                .mapToDouble(length -> length.mm())
                .average();
    }
}
