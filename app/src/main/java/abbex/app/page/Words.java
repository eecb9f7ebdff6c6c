package abbex.app.page;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.figure.Reason;
import abbex.core.figure.Severity;
import abbex.core.ground.Lamps;
import abbex.core.heights.Advertised;
import abbex.core.heights.Asked;
import abbex.core.heights.Height;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.heights.Slip;
import abbex.core.heights.Spot;
import abbex.core.heights.Stage;
import abbex.core.heights.StandIn;
import abbex.core.heights.Taken;
import abbex.core.heights.Way;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.units.TapeParse;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.InnerWheel;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Whole;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** Words for people, formed from the core's data with the one message file. */
@Component
public class Words {
    /**
     * A finding as it is shown.
     *
     * @param mark clear, look, stop, open or note: the shape beside it
     * @param word the severity in a word
     * @param place the core's code of the place
     */
    public record Said(String mark, String word, String title, String text, String place) {
        public String titleHtml() {
            return Numerals.html(title);
        }

        public String textHtml() {
            return Numerals.html(text);
        }
    }

    private final MessageSource messages;

    Words(MessageSource messages) {
        this.messages = messages;
    }

    public String say(String key) {
        return messages.getMessage(key, null, Locale.ENGLISH);
    }

    public String say(String key, Reader reader, Object... values) {
        Object[] words = Arrays.stream(values).map(v -> word(v, reader)).toArray();
        return messages.getMessage(key, words, Locale.ENGLISH);
    }

    public Said finding(Finding finding, Reader reader) {
        String key = "finding." + finding.code().name();
        Object[] values = finding.values().toArray();
        boolean open = finding.code().open();
        String mark = open && finding.severity() == Severity.NOTE
                ? "open"
                : finding.severity().name().toLowerCase(Locale.ROOT);
        return new Said(
                mark,
                say("severity."
                        + (mark.equals("open") ? "OPEN" : finding.severity().name())),
                capital(say(key + ".title", reader, values)),
                capital(say(key + ".text", reader, values)),
                finding.place().code());
    }

    public List<Said> findings(Collection<Finding> findings, Reader reader) {
        return findings.stream().map(f -> finding(f, reader)).toList();
    }

    /** A refused reading as a sentence: what was read and what would be right. */
    public String refusal(TapeParse.Refused refused, Reader reader) {
        return say("refusal." + refused.why().name(), reader, refused.values().toArray());
    }

    /** How a figure came about, a sentence a line. */
    public List<String> reason(Reason reason, Reader reader) {
        List<String> lines = new ArrayList<>();
        Object[] inputs = reason.inputs().toArray();
        String formula = reason.formula().name();
        if (formula.equals("RAKE")) {
            inputs = new Object[] {reason.inputs()};
        }
        lines.add(say("reason." + formula, reader, inputs));
        for (Object input : reason.inputs()) {
            if (input instanceof Height height) {
                lines.add(capital(height(height, reader)));
            }
        }
        lines.add(say("reason.source", reader, reason.formula().source()));
        return lines;
    }

    private String height(Height height, Reader reader) {
        String standard = micro(height.estimate().uncertainty().standard());
        String adds = height.adds().sign() == 0
                ? ""
                : " " + say("reason.height.adds", reader, micro(height.adds().mm()));
        if (height.readings().size() > 1) {
            return say("reason.height.repeat", reader, height.spot(), readings(height, reader), standard) + adds;
        }
        Reading one = height.readings().get(0);
        return say(
                        "reason.height",
                        reader,
                        height.spot(),
                        readings(height, reader),
                        standard,
                        micro(one.tape().standardMm()),
                        micro(height.point().standard()))
                + adds;
    }

    private String readings(Height height, Reader reader) {
        return height.readings().stream()
                .map(r -> Numerals.reading(r.tape())
                        + (r.who().isEmpty() ? "" : " (" + r.who() + " " + reader.day(r.takenAt()) + ")"))
                .collect(Collectors.joining(" " + say("and") + " "));
    }

    private static String micro(double mm) {
        return BigDecimal.valueOf(mm)
                        .setScale(3, RoundingMode.HALF_UP)
                        .toPlainString()
                        .replace('-', '−') + " mm";
    }

    /** A value as it is said. */
    public String word(Object value, Reader reader) {
        if (value instanceof Length length) {
            return Numerals.text(length, reader);
        }
        if (value instanceof Estimate estimate) {
            return Numerals.text(estimate.value(), reader) + " ± " + Numerals.uncertainty(estimate.expanded(), reader);
        }
        if (value instanceof Height height) {
            return Numerals.text(height.read(), reader);
        }
        if (value instanceof Advertised.Range range) {
            return range.single()
                    ? Numerals.text(range.least(), reader)
                    : Numerals.bare(range.least(), reader) + " to " + Numerals.text(range.most(), reader);
        }
        if (value instanceof Angle angle) {
            return degrees(angle);
        }
        if (value instanceof Pressure pressure) {
            return pressure(pressure, reader);
        }
        if (value instanceof Spot spot) {
            return word(spot.place(), reader) + ", " + word(spot.way(), reader);
        }
        if (value instanceof Asked asked) {
            return say(asked.repeat() ? "asked.again" : "asked", reader, asked.spot());
        }
        if (value instanceof Taken taken) {
            return say("taken", reader, taken.spot(), taken.stage());
        }
        if (value instanceof Collection<?> many && many.equals(Corner.WALK)) {
            return say("corner.all");
        }
        if (value instanceof Collection<?> many) {
            return list(many.stream().map(v -> word(v, reader)).toList());
        }
        return named(value);
    }

    private String named(Object value) {
        if (value instanceof Corner corner) {
            return say("corner." + corner.name());
        }
        if (value instanceof End end) {
            return say("end." + end.name());
        }
        if (value instanceof Whole whole) {
            return say("whole." + whole.name());
        }
        if (value instanceof Way way) {
            return way instanceof PointMethod own && own.named() ? own.name() : say("method." + way.code());
        }
        if (value instanceof Seat || value instanceof InnerWheel) {
            return say("wheel." + ((Place) value).code());
        }
        if (value instanceof SheetState.Item item) {
            return say("item." + item.name());
        }
        if (value instanceof Slip slip) {
            return say("slip." + slip.name());
        }
        if (value instanceof Stage stage) {
            String name = say("stage." + stage.name());
            return name.substring(0, 1).toLowerCase(Locale.ENGLISH) + name.substring(1);
        }
        if (value instanceof StandIn standIn) {
            return say("standin." + standIn.name());
        }
        if (value instanceof Lamps.Code code) {
            return say("code." + code.name());
        }
        if (value instanceof LengthUnit unit) {
            return say("unit." + unit.name());
        }
        if (value instanceof Graduation graduation) {
            return graduation.toString().replace('/', '⁄');
        }
        return String.valueOf(value);
    }

    private String list(List<String> words) {
        return words.size() < 2
                ? String.join("", words)
                : String.join(", ", words.subList(0, words.size() - 1)) + " " + say("and") + " "
                        + words.get(words.size() - 1);
    }

    public static String degrees(Angle angle) {
        return String.format(Locale.ROOT, "%.2f°", angle.degrees()).replace('-', '−');
    }

    public static String pressure(Pressure pressure, Reader reader) {
        return reader.unit().metric()
                ? String.format(Locale.ROOT, "%.2f bar", pressure.kPa() / 100)
                : String.format(Locale.ROOT, "%.1f psi", pressure.psi()).replace(".0 psi", " psi");
    }

    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ENGLISH) + text.substring(1);
    }
}
