package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.truck.Shackle;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.List;
import java.util.Optional;

/**
 * A leaf pack on another shackle, or on the same one hung elsewhere: the pack turns about its fixed eye as a stiff body.
 *
 * @param was before, in side view
 * @param is after; empty where spring and hanger do not meet
 * @param fixed from the fixed eye to the axle, mm
 * @param moved of the axle towards the frame, mm, with one standard deviation
 * @param turned the pinion's nose up by so many degrees
 * @param gap by how much they do not meet, mm
 */
public record Shackled(
        Shackle was,
        Optional<Shackle> is,
        double fixed,
        Length shackleWas,
        Length shackleIs,
        Told moved,
        Told turned,
        double gap)
        implements Part {
    /** A lean by an angle gauge, degrees, and lengths by tape, mm. */
    private static final double GAUGED = 1.5;

    private static final double TAPED = 1.5;

    /** Old shackle and new one by calliper, together, mm. */
    private static final double BOTH = 1;

    /** A pack whose levers nobody measured, mm (common practice). */
    private static final Told LEVER = Told.typical(650, 40);

    /**
     * A shackle as it was measured.
     *
     * @param fixed from the fixed eye to the axle, mm
     * @param shackled from the axle to the shackle's eye, mm
     * @param length between its bolts, mm
     * @param lean from the perpendicular to the spring, degrees, its eye away from the fixed one positive
     * @param hangs true where its eye is under the hanger
     */
    public record Measures(
            Optional<Double> fixed, Optional<Double> shackled, double length, double lean, boolean hangs) {
        Told first() {
            return fixed.map(mm -> Told.measured(mm, TAPED)).orElse(LEVER);
        }

        Told second() {
            return shackled.map(mm -> Told.measured(mm, TAPED)).orElse(LEVER);
        }

        /** Its hanger where length and lean put it, the spring's chord along x. */
        static Shackle at(double chord, double length, double lean, boolean hangs) {
            double radians = Math.toRadians(lean);
            double up = (hangs ? 1 : -1) * length * Math.cos(radians);
            return new Shackle(chord, chord - length * Math.sin(radians), up, length, hangs);
        }
    }

    /**
     * What goes in.
     *
     * @param length of the shackle, mm
     * @param flipped its eye on the other side of the hanger
     * @param up of the hanger on the frame, mm
     * @param back of the hanger, away from the fixed eye, mm
     */
    public record Change(double length, boolean flipped, double up, double back) {}

    public static Shackled of(Measures measures, Change change) {
        Told fixed = measures.first();
        Told shackled = measures.second();
        double chord = fixed.value() + shackled.value();
        Shackle was = Measures.at(chord, measures.length(), measures.lean(), measures.hangs());
        Shackle is = changed(was, change);
        Length before = Length.ofRoundedMm(measures.length());
        Length after = Length.ofRoundedMm(change.length());
        if (is.gap() > 0) {
            Told none = Told.measured(0, 0);
            return new Shackled(was, Optional.empty(), fixed.value(), before, after, none, none, is.gap());
        }
        Told[] all = {
            fixed, shackled, Told.measured(measures.length(), BOTH), Told.measured(measures.lean(), GAUGED),
        };
        return new Shackled(
                was,
                Optional.of(is),
                fixed.value(),
                before,
                after,
                Carried.told(p -> move(p, measures, change).up(), all),
                Carried.told(p -> -move(p, measures, change).turn(), all),
                0);
    }

    private static Shackle changed(Shackle was, Change change) {
        boolean hangs = was.hangs() != change.flipped();
        return new Shackle(
                was.chord(),
                Math.max(1, was.hangerX() + change.back()),
                was.hangerZ() + change.up(),
                change.length(),
                hangs);
    }

    private static Shackle.Move move(double[] p, Measures measures, Change change) {
        Shackle was = Measures.at(p[0] + p[1], p[2], p[3], measures.hangs());
        Shackle is = changed(was, change);
        return is.gap() > 0 ? new Shackle.Move(0, 0, 0) : was.to(is, p[0], 0);
    }

    /** How it leans after; empty where nothing meets. */
    public Optional<Shackle.At> at() {
        return is.map(Shackle::at);
    }

    @Override
    public double move() {
        return moved.value();
    }

    @Override
    public double standard() {
        return moved.standard();
    }

    @Override
    public Told nose() {
        return turned;
    }

    @Override
    public boolean atWheel() {
        return true;
    }

    @Override
    public Row row() {
        return Row.LEAF;
    }

    @Override
    public List<KitFinding> troubles(End end) {
        if (is.isEmpty()) {
            return List.of(new KitFinding.ShackleWillNotClose(end, Length.ofRoundedMm(gap)));
        }
        return at().filter(Shackle.At::turnsOver)
                .<List<KitFinding>>map(
                        at -> List.of(new KitFinding.ShackleTurnsOver(end, Angle.ofDegrees(Math.abs(at.lean())))))
                .orElse(List.of());
    }

    @Override
    public Reason reason() {
        return Reason.of(KitFormula.SHACKLE, shackleWas, shackleIs, Angle.ofDegrees(turned.value()));
    }
}
