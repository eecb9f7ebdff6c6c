package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.kit.KitField;
import abbex.app.kit.KitValues;
import abbex.app.kit.Kits;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.vehicle.End;
import abbex.core.workcard.CardStep;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What an adjuster is set to, as the plan has it, beside the step that sets it. */
@Component
class CardSettings {
    /** In the order in which they are set, with the word that each is said by. */
    private static final List<Map.Entry<KitField, String>> SET = List.of(
            Map.entry(KitField.BODY, "fit.set.body"),
            Map.entry(KitField.PERCH_SEAT, "fit.set.seat"),
            Map.entry(KitField.PERCH, "fit.set.perch"),
            Map.entry(KitField.TURNS, "fit.set.turns"),
            Map.entry(KitField.JACK_TURNS, "fit.set.bolt"),
            Map.entry(KitField.NEW_STACK, "fit.set.stack"),
            Map.entry(KitField.PRELOAD, "fit.set.preload"),
            Map.entry(KitField.CLICKS, "fit.set.clicks"));

    private final Kits kits;
    private final Words words;

    CardSettings(Kits kits, Words words) {
        this.kits = kits;
        this.words = words;
    }

    /** A line each, as it was typed; none where the step sets nothing or the plan tells nothing. */
    List<String> of(Job job, CardStep step, Reader reader) {
        boolean sets = !step.step().locks().isEmpty() || step.step().when().contains("coilover");
        if (!sets) {
            return List.of();
        }
        KitValues values = kits.of(job).chosen().values();
        return step.end().stream()
                .flatMap(end -> SET.stream()
                        .filter(one -> tells(values, end, one.getKey()))
                        .flatMap(one -> said(values, end, one, reader)))
                .toList();
    }

    /** A perch that moves by nothing is set by nobody. */
    private static boolean tells(KitValues values, End end, KitField field) {
        return values.at(end, field)
                .filter(told -> told.value() != 0 || field == KitField.CLICKS || field == KitField.PRELOAD)
                .isPresent();
    }

    private Stream<String> said(KitValues values, End end, Map.Entry<KitField, String> one, Reader reader) {
        String text = words.say(one.getValue(), reader, "by", values.raw(end, one.getKey()));
        boolean range = one.getKey() == KitField.PERCH_SEAT
                && values.at(end, KitField.PERCH_SEAT_LEAST).isPresent()
                && values.at(end, KitField.PERCH_SEAT_MOST).isPresent();
        return Stream.of(
                range
                        ? words.say(
                                "fit.set.range",
                                reader,
                                "set",
                                text,
                                "least",
                                values.raw(end, KitField.PERCH_SEAT_LEAST),
                                "most",
                                values.raw(end, KitField.PERCH_SEAT_MOST))
                        : text);
    }
}
