package abbex.app.page;

import abbex.core.parts.PartFinding;
import org.springframework.stereotype.Component;

/** Words for what is found about parts. */
@Component
public class PartWording extends Wording {
    public PartWording() {
        of(
                PartFinding.Lines.class,
                (lines, words, reader) -> words.say(
                        lines.count() == 1 ? "parts.lines.one" : "parts.lines", reader, "count", lines.count()));
    }
}
