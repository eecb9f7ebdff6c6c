package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.heights.Advertised;
import abbex.core.units.Force;
import abbex.core.units.Length;
import abbex.core.units.Rate;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What becomes of an end: how far it comes down when it is set down and when it has settled, mm at the wheel, and what each
 * part gives to it.
 *
 * @param lines of the ledger, in one order whatever the order of the parts
 * @param setDown how far it comes down
 * @param settled the same after it has settled
 * @param onStop true where it rests on its bump stop
 * @param bySprings true where it follows from the springs' figures, false where from the box
 */
public record EndPlan(
        List<Line> lines, Interval setDown, Interval settled, boolean onStop, boolean bySprings, double wheelRate) {
    /**
     * A line.
     *
     * @param drop what it takes the body down by, mm; negative where it lifts
     * @param standard one standard deviation, mm
     */
    public record Line(Row row, double drop, double standard, Reason reason) {}

    /** How far it goes on down after it was set down, mm, not negative. */
    public double settling() {
        return Math.max(0, settled.value() - setDown.value());
    }

    /** New springs settle by 3/16 in ± 1/16 at k = 2 (common practice). */
    private static final Told AT_ONCE = Told.measured(0, 0);

    public static final Told USUAL_SETTLING = Told.typical(25.4 * 3 / 16, 25.4 / 32);

    /**
     * @param settling of new springs, mm: the shop's own, or {@link #USUAL_SETTLING}
     * @return empty where neither the box nor the springs' figures tell what the new spring does: the old spring is not known,
     *     and nobody measured how far its seats are apart
     */
    public static Optional<EndPlan> of(EndNow now, EndKit kit, Told settling) {
        EndModel model = EndModel.of(now, kit, settling);
        return model.told() ? Optional.of(of(model, now, kit)) : Optional.empty();
    }

    static EndPlan of(EndModel model, EndNow now, EndKit kit) {
        Spread spread = new Spread(model);
        Interval setDown = spread.interval(AT_ONCE);
        Interval settled = spread.interval(model.settling());
        double[] p = model.at.clone();
        boolean onStop = setDown.value() > model.contact(p);
        return new EndPlan(
                lines(model, now, kit, p, setDown.value()),
                setDown,
                settled,
                onStop,
                model.bySprings(),
                model.wheelRate(p));
    }

    private static List<Line> lines(EndModel model, EndNow now, EndKit kit, double[] p, double rest) {
        List<Line> lines = new ArrayList<>();
        if (kit.spring().isPresent() || kit.springBox().isPresent()) {
            lines.add(new Line(
                    model.bySprings() ? Row.SPRING : Row.BOX,
                    model.springLine(p),
                    standard(model, p, true),
                    springReason(model, now, kit)));
        }
        double gas = model.gasLine(p);
        if (gas != 0) {
            lines.add(new Line(
                    Row.GAS,
                    gas,
                    standard(model, p, false),
                    Reason.of(
                            KitFormula.GAS,
                            new Force(now.damper().gas().value()),
                            new Force(kit.damper().orElseThrow().gas().value()),
                            new Rate(model.wheelRate(p)))));
        }
        double ratio = p[Input.RATIO.ordinal()];
        kit.parts().stream()
                .map(part -> line(
                        part,
                        ratio,
                        Math.hypot(
                                now.ratio().standard() / ratio,
                                now.slope().standard() * now.load().value() / ratio / model.wheelRate(p))))
                .sorted(Comparator.comparing(Line::row).thenComparing(Line::drop))
                .forEach(lines::add);
        double free = model.free(p);
        if (free != rest) {

            lines.add(new Line(
                    Row.STOP,
                    rest - free,
                    0,
                    Reason.of(KitFormula.ON_STOP, Length.ofRoundedMm(free), Length.ofRoundedMm(rest))));
        }
        return List.copyOf(lines);
    }

    private static Reason springReason(EndModel model, EndNow now, EndKit kit) {
        if (!model.bySprings()) {
            Advertised.Range box = kit.springBox().orElseThrow();
            double parts = box.mean().mm() + kit.own().off().value() - model.springLine(model.at);
            if (kit.boxWhole() && parts != 0) {
                return Reason.of(KitFormula.BOX_LESS_PARTS, box.least(), box.most(), Length.ofRoundedMm(parts));
            }
            return kit.own().count() == 0
                    ? Reason.of(KitFormula.BOX, box.least(), box.most())
                    : Reason.of(
                            KitFormula.OWN_BOX,
                            box.least(),
                            box.most(),
                            BigDecimal.valueOf(kit.own().count()),
                            Length.ofRoundedMm(kit.own().off().value()));
        }
        if (model.weighed()) {
            Advertised.Range box = kit.springBox().orElseThrow();
            return Reason.of(
                    KitFormula.SPRINGS_AND_BOX, Length.ofRoundedMm(model.byFigures(model.at)), box.least(), box.most());
        }
        double is = kit.spring().or(now::spring).orElseThrow().spring().free();
        double was = now.spring().map(s -> s.spring().free()).orElse(is);
        return Reason.of(
                KitFormula.SPRING_BY_DATA,
                Length.ofRoundedMm(was),
                Length.ofRoundedMm(is),
                BigDecimal.valueOf(now.ratio().value()).setScale(2, RoundingMode.HALF_UP));
    }

    /** @param off one standard deviation of what a seat moves the wheel by, as a part of it */
    private static Line line(Part part, double ratio, double off) {
        double by = part.atWheel() ? 1 : ratio;
        double drop = part.move() / by;
        double standard = Math.hypot(part.standard() / by, part.atWheel() ? 0 : drop * off);
        return new Line(part.row(), drop, standard, part.reason());
    }

    private static double standard(EndModel model, double[] p, boolean spring) {
        double square = 0;
        for (int i = 0; i < p.length; i++) {
            if (model.standard[i] == 0) {
                continue;
            }
            double was = p[i];
            p[i] = was + model.standard[i];
            double up = spring ? model.springLine(p) : model.gasLine(p);
            p[i] = was - model.standard[i];
            double down = spring ? model.springLine(p) : model.gasLine(p);
            p[i] = was;
            square += Math.pow((up - down) / 2, 2);
        }
        return Math.sqrt(square);
    }
}
