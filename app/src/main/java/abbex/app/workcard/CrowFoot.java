package abbex.app.workcard;

import abbex.app.form.Form;
import abbex.core.torque.Lever;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.units.Torque;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a wrench is set to with a crow-foot or an extension at its end. */
final class CrowFoot {
    /** No wrench is longer (ours). */
    private static final Length LONGEST = Length.ofMm(2000);

    private static final double HALF_TURN = 180;

    private CrowFoot() {}

    /** The least setting and the greatest, by what was entered; empty where it does not fit, which the form tells. */
    static Optional<Torque[]> of(TorqueSpec spec, Form form) {
        Optional<TapeReading> arm = form.needed("arm", TapeText.Allowed.ZERO_OR_MORE, LONGEST);
        Optional<TapeReading> reach = form.needed("reach", TapeText.Allowed.ZERO_OR_MORE, LONGEST);
        OptionalDouble turn = form.text("turn").isEmpty() ? OptionalDouble.of(0) : form.number("turn", 0, HALF_TURN);
        if (arm.isEmpty() || reach.isEmpty() || turn.isEmpty()) {
            return Optional.empty();
        }
        double length = arm.get().value().mm();
        double extension = reach.get().value().mm();
        if (extension >= length) {
            form.problem("reach", "problem.fit.reach", "read", form.text("reach"), "arm", form.text("arm"));
            return Optional.empty();
        }
        return Optional.of(new Torque[] {
            Lever.setting(spec.least(), length, extension, turn.getAsDouble()),
            Lever.setting(spec.most(), length, extension, turn.getAsDouble())
        });
    }
}
