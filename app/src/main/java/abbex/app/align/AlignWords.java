package abbex.app.align;

import abbex.app.arrive.Job;
import abbex.app.arrive.StayValues;
import abbex.app.drawing.AxlesDrawing;
import abbex.app.form.Form;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.alignment.AlignFinding;
import abbex.core.alignment.Alignment;
import abbex.core.alignment.AxleToe;
import abbex.core.alignment.WheelAngles;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The alignment in words and numbers. */
@Service
class AlignWords {
    private final Words words;
    private final Alignments alignments;

    AlignWords(Words words, Alignments alignments) {
        this.words = words;
        this.alignments = alignments;
    }

    static String degrees(double value) {
        return String.format(Locale.ROOT, "%.2f°", value + 0.0)
                .replace("-0.00", "0.00")
                .replace('-', '−');
    }

    /** In or out before it, by which nobody mistakes a sign. */
    static String toe(double value, Words words) {
        String number = String.format(Locale.ROOT, "%.2f°", Math.abs(value));
        return number.equals("0.00°") ? number : words.say(value < 0 ? "toe.OUT" : "toe.IN") + " " + number;
    }

    static String both(Optional<String> was, Optional<String> is) {
        return was.isEmpty() || was.equals(is) ? is.orElse("") : was.get() + " → " + is.orElse("–");
    }

    AlignPage page(Job job, StayValues.Told told, Form form) {
        Reader reader = form.reader();
        Alignment alignment = alignments.of(job);
        List<AlignPage.Wheel> wheels = new ArrayList<>();
        List<AxlesDrawing.Wheel> drawn = new ArrayList<>();
        for (Corner corner : Corner.WALK) {
            wheels.add(new AlignPage.Wheel(
                    corner.code(),
                    Words.capital(words.word(corner, reader)),
                    corner.end().name(),
                    AlignForm.angles(corner.end()).stream()
                            .map(name -> row(name, corner, told, form))
                            .toList(),
                    alignment
                            .camberMoved(corner)
                            .map(by -> words.say("align.moved", reader, "by", degrees(by)))
                            .orElse("")));
            WheelAngles now = alignment.now().get(corner);
            drawn.add(new AxlesDrawing.Wheel(
                    number(now.toe()),
                    number(now.camber()),
                    now.camber().map(AlignWords::degrees).orElse("–"),
                    now.toe().map(t -> toe(t, words)).orElse("–")));
        }
        return new AlignPage(
                wheels,
                AxlesDrawing.of(drawn, number(Alignment.thrust(alignment.now()))),
                axles(alignment, reader),
                words.findings(alignments.findings(job), reader),
                alignments.hold(job, reader),
                Alignment.thrust(alignment.now())
                        .map(by -> words.say(
                                by > 0 ? "align.thrust.right" : by < 0 ? "align.thrust.left" : "align.thrust.none",
                                reader,
                                "by",
                                degrees(Math.abs(by))))
                        .orElse(""));
    }

    private static OptionalDouble number(Optional<Double> value) {
        return value.map(OptionalDouble::of).orElseGet(OptionalDouble::empty);
    }

    private AlignPage.Row row(String name, Corner corner, StayValues.Told told, Form form) {
        String label = Words.capital(words.say("align." + name));
        return new AlignPage.Row(
                label,
                AlignForm.WHEN.stream()
                        .map(when -> {
                            String field = AlignForm.field(name, when, corner);
                            String said = words.say("align." + when.toLowerCase(Locale.ROOT));
                            return new AlignPage.Field(
                                    field,
                                    corner.code() + " " + label + " " + said,
                                    form.text(field, told.text(field)));
                        })
                        .toList());
    }

    private List<AlignPage.Axle> axles(Alignment alignment, Reader reader) {
        return Stream.of(End.values())
                .flatMap(end -> Alignment.both(alignment.now(), end).stream()
                        .map(both -> new AlignPage.Axle(
                                Words.capital(words.word(end, reader)),
                                words.say("align.total", reader, "toe", toe(both.total(), words)),
                                scrub(both, reader))))
                .toList();
    }

    private String scrub(AxleToe both, Reader reader) {
        double worst =
                Math.max(both.left().scrubMetresPerKilometre(), both.right().scrubMetresPerKilometre());
        return words.say("align.scrub", reader, "by", new AlignFinding.Scrub(worst));
    }
}
