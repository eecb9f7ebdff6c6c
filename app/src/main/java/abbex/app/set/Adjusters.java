package abbex.app.set;

import abbex.app.arrive.StayValues;
import abbex.app.kit.BagText;
import abbex.app.kit.StackSizes;
import abbex.app.kit.TurnsText;
import abbex.core.kit.Stacks;
import abbex.core.kit.Told;
import abbex.core.setting.Adjuster;
import abbex.core.setting.How;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** What there is to turn at a corner, from what was told of its end, or of its right side where that differs. */
final class Adjusters {
    /** Turns that are taken to be left each way while nobody has said (ours). */
    private static final double USUAL_TURNS = 10;

    /** How far what it does may be off: a rod's lever is seldom known, and of a bag only what somebody guesses (ours). */
    private static final double THREAD_WIDTH = 0.08;

    private static final double ROD_WIDTH = 0.2;
    private static final double BAG_WIDTH = 0.35;

    /** Air is let in by what the gauge that was typed shows. */
    private static final Pressure PSI = Pressure.ofPsi(1);

    private static final Pressure TENTH_BAR = Pressure.ofBar(0.1);
    /** The rise that is asked for is that of so much more. */
    static final Pressure MORE = Pressure.ofPsi(10);

    /** A helper bag goes no lower without rubbing and no higher by its maker (common practice, from memory). */
    private static final Pressure LEAST = Pressure.ofPsi(5);

    private static final Pressure MOST = Pressure.ofPsi(100);

    private final StayValues.Told told;
    private final PerEnd<Told> ratios;

    /**
     * @param ratios how far a spring's seat moves for a millimetre of its wheel, as the plan has it
     */
    Adjusters(StayValues.Told told, PerEnd<Told> ratios) {
        this.told = told;
        this.ratios = ratios;
    }

    /** Rise at the wheel for a rise at the seat: the other way round. */
    private double rise(Corner corner) {
        return 1 / number(text("ratio", corner), ratios.get(corner.end()).value());
    }

    /** What is there, after what was done there. */
    Adjuster at(Corner corner, List<How> done) {
        return switch (SetForm.kind(told, corner.end())) {
            case NONE -> Adjuster.fixed();
            case THREAD, BOLT, LINK -> thread(corner, done);
            case BAG -> bag(corner, done);
            case STACK ->
                Adjuster.stack(
                        StackSizes.read(text("sizes", corner)).orElse(List.of()), there(corner, done), rise(corner));
        };
    }

    double width(Corner corner) {
        return switch (SetForm.kind(told, corner.end())) {
            case NONE, THREAD, BOLT, STACK ->
                text("ratio", corner).isEmpty() ? Math.max(THREAD_WIDTH, typical(corner.end())) : THREAD_WIDTH;
            case LINK -> ROD_WIDTH;
            case BAG -> BAG_WIDTH;
        };
    }

    private double typical(End end) {
        return ratios.get(end).standard() / ratios.get(end).value();
    }

    private String text(String name, Corner corner) {
        return SetForm.text(told, name, corner);
    }

    private Adjuster thread(Corner corner, List<How> done) {
        int per = (int) number(text("parts", corner), 4);
        int net = done.stream()
                .mapToInt(h -> h instanceof How.Turns t ? t.parts() * per / t.perTurn() : 0)
                .sum();
        Length pitch = SetForm.mm(text("pitch", corner));
        int down = left(text("down", corner), per, net);
        int up = left(text("up", corner), per, -net);
        return SetForm.kind(told, corner.end()) == SetForm.Kind.LINK
                ? Adjuster.rod(pitch, per, down, up, rise(corner))
                : Adjuster.thread(pitch, per, down, up, rise(corner));
    }

    private static int left(String turns, int perTurn, int net) {
        double all = TurnsText.read(turns).orElse(USUAL_TURNS);
        return Math.max(0, (int) Math.floor(all * perTurn + 1e-9) + net);
    }

    private Adjuster bag(Corner corner, List<How> done) {
        String raw = text("air", corner);
        Pressure now = pressure(raw, LEAST);
        for (How how : done) {
            if (how instanceof How.Air air) {
                now = air.to();
            }
        }
        return Adjuster.air(
                now,
                pressure(text("airLeast", corner), LEAST),
                pressure(text("airMost", corner), MOST),
                raw.toLowerCase(Locale.ROOT).matches(".*(bar|kpa)") ? TENTH_BAR : PSI,
                SetForm.mm(text("lift", corner)).mm() / MORE.kPa());
    }

    private static Pressure pressure(String raw, Pressure usual) {
        return new Pressure(BagText.pressure(raw, false).orElse(usual.kPa()));
    }

    private static double number(String text, double usual) {
        return text.isEmpty() ? usual : Double.parseDouble(text.replace('−', '-'));
    }

    /** What is in a bag after all that was let in and out; empty where that was never told. */
    static Optional<Pressure> air(StayValues.Told told, Corner corner, List<How> done) {
        OptionalDouble kPa = BagText.pressure(SetForm.text(told, "air", corner), false);
        Optional<Pressure> air = kPa.isPresent() ? Optional.of(new Pressure(kPa.getAsDouble())) : Optional.empty();
        for (How how : done) {
            if (how instanceof How.Air let) {
                air = Optional.of(let.to());
            }
        }
        return air;
    }

    private List<Length> there(Corner corner, List<How> done) {
        return stack(told, corner, done);
    }

    /** What lies in a stack after all that was put in and taken out. */
    static List<Length> stack(StayValues.Told told, Corner corner, List<How> done) {
        List<Length> there = new ArrayList<>();
        for (Stacks.Size size :
                StackSizes.read(SetForm.text(told, "there", corner)).orElse(List.of())) {
            for (int n = 0; n < size.pieces(); n++) {
                there.add(size.thickness());
            }
        }
        for (How how : done) {
            if (how instanceof How.Swap swap) {
                swap.out().forEach(there::remove);
                there.addAll(swap.in());
            }
        }
        return there;
    }
}
