package abbex.app.arrive;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import java.util.List;
import java.util.Locale;

/** What was typed of a known vehicle otherwise than it is known, in the words of the form. */
final class KnownWords {
    private final Words words;
    private final Reader reader;

    KnownWords(Words words, Reader reader) {
        this.words = words;
        this.reader = reader;
    }

    /** A line: what the field is called, what is known, what was typed. */
    record Line(String label, String known, String typed) {}

    List<Line> lines(KnownAgain again) {
        return again.differs().stream()
                .map(d -> new Line(label(d.field()), text(d.field(), d.known()), text(d.field(), d.typed())))
                .toList();
    }

    private String label(String field) {
        return switch (field) {
            case "outline" -> words.say("arrive.outline.short");
            case "name" -> words.say("arrive.vehicle");
            case "frameFront" -> words.say("arrive.frame-front");
            case "frameRear" -> words.say("arrive.frame-rear");
            case "headAngle" -> words.say("arrive.head-angle");
            case "dualRear" -> words.say("arrive.rear-wheels");
            case "archFront", "archRear" -> words.say("arrive.suspension", reader, "end", end(field, "arch"));
            case "tyreFront", "tyreRear" -> words.say("arrive.tyre", reader, "end", end(field, "tyre"));
            default -> words.say("measure." + field);
        };
    }

    private String end(String field, String before) {
        return words.say("wheel." + field.substring(before.length()).toLowerCase(Locale.ROOT));
    }

    private String text(String field, String value) {
        if (field.equals("dualRear")) {
            return words.say(value.isEmpty() ? "arrive.single" : "arrive.dual");
        }
        if (value.isEmpty()) {
            return "–";
        }
        return switch (field) {
            case "outline" -> words.say("outline." + value);
            case "archFront", "archRear" -> words.say("architecture." + value);
            default -> value;
        };
    }
}
