package abbex.app.workcard;

import abbex.app.form.Form;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.torque.Plausible;
import abbex.core.torque.ScrewThread;
import abbex.core.torque.Tightening;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.TorqueUnit;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Words and lines for fasteners: at their step, and in the torque log. */
@Component
class BoltViews {
    private final Words words;

    BoltViews(Words words) {
        this.words = words;
    }

    CardPage.FastenerRow row(Cards.Current current, CardStep step, Step.Fastener f, Reader reader) {
        String key = step.fastener(f);
        Tightening is = current.state().tightening(key);
        return new CardPage.FastenerRow(
                key,
                Cards.specKey(step, f),
                f.name(),
                f.thread(),
                f.once(),
                f.locker(),
                spec(current, step, f, is),
                is.spec().filter(s -> s.angle() > 0).isPresent(),
                is.spec().map(this::source).orElse(""),
                is.spec().filter(s -> s.source().verified()).isPresent(),
                is.reading()
                        .map(r -> Numerals.html(torque(r.newtonMetres(), reader)))
                        .orElse(""),
                is.state().name(),
                words.say("tight." + is.state()),
                bears(f, reader));
    }

    /** What a wrench is set to for a fastener with what is at its end; empty where that does not fit. */
    String setting(Cards.Current current, Form form) {
        Optional<TorqueSpec> spec =
                current.state().tightening(form.text("item")).spec();
        if (spec.isEmpty()) {
            form.problem("arm", "problem.fit.figure");
        }
        return spec.flatMap(s -> CrowFoot.of(s, form))
                .map(s -> {
                    String least = torque(s[0].newtonMetres(), form.reader());
                    String most = torque(s[1].newtonMetres(), form.reader());
                    return least.equals(most)
                            ? words.say("fit.setting", form.reader(), "torque", least)
                            : words.say("fit.settings", form.reader(), "least", least, "most", most);
                })
                .orElse("");
    }

    private String bears(Step.Fastener fastener, Reader reader) {
        return ScrewThread.read(fastener.thread())
                .map(thread -> Plausible.range(thread, Optional.empty()))
                .map(range -> words.say(
                        "fit.bears",
                        reader,
                        "thread",
                        fastener.thread(),
                        "least",
                        torque(range.least().newtonMetres(), reader),
                        "most",
                        torque(range.most().newtonMetres(), reader)))
                .orElse("");
    }

    List<CardPage.LogRow> log(Cards.Current current, Reader reader) {
        List<CardPage.LogRow> log = new ArrayList<>();
        for (CardStep step : current.card().steps()) {
            for (Step.Fastener fastener : current.state().fasteners(step)) {
                Tightening is = current.state().tightening(step.fastener(fastener));
                if (is.spec().isPresent() || is.reading().isPresent()) {
                    log.add(new CardPage.LogRow(
                            fastener.name(),
                            step.end().isEmpty() ? "" : words.word(step.place(), reader),
                            spec(current, step, fastener, is),
                            is.spec().map(this::source).orElse(""),
                            is.reading()
                                    .map(r -> torque(r.newtonMetres(), reader))
                                    .orElse(""),
                            mark(is.state()),
                            words.say("tight." + is.state())));
                }
            }
        }
        return log;
    }

    private static String mark(Tightening.State state) {
        return switch (state) {
            case DONE -> "clear";
            case REOPENED, OFF -> "look";
            default -> "open";
        };
    }

    private static final double SMALL = 20;

    private static String torque(double newtonMetres, Reader reader) {
        TorqueUnit unit = reader.unit().metric() ? TorqueUnit.NEWTON_METRE : TorqueUnit.POUND_FOOT;
        double figure = unit.fromNewtonMetres(newtonMetres);
        // A small bolt is told in tenths.
        return String.format(Locale.ROOT, figure < SMALL ? "%.1f %s" : "%.0f %s", figure, unit.symbol());
    }

    private String source(TorqueSpec spec) {
        String from = words.say("source." + spec.source());
        return spec.reference().isEmpty() ? from : from + " " + spec.reference();
    }

    /** As it was said, unit and all; what it comes to in the reader's unit stands beside it. */
    private static String spec(Cards.Current current, CardStep step, Step.Fastener fastener, Tightening is) {
        return is.spec()
                .flatMap(spec -> current.specs().getOrDefault(Cards.specKey(step, fastener), List.of()).stream()
                        .filter(said -> said.spec().equals(spec))
                        .reduce((one, other) -> other))
                .map(Specs.Said::raw)
                .orElse("");
    }
}
