package abbex.app.page;

import abbex.core.parts.PartFinding;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Words for what is found about parts. */
@Component
public class PartWording extends Wording {
    public PartWording() {
        of(
                PartFinding.Lines.class,
                (lines, words, reader) -> words.say(
                        lines.count() == 1 ? "parts.lines.one" : "parts.lines", reader, "count", lines.count()));
        of(
                PartFinding.Unlike.class,
                (unlike, words, reader) -> words.say(
                        "parts.unlike",
                        reader,
                        "part",
                        unlike.own() ? unlike.kind() : words.say("part." + unlike.kind(), reader),
                        "features",
                        unlike.features().stream()
                                .map(feature -> words.say("parts.feature." + feature, reader))
                                .collect(Collectors.joining(", "))));
    }
}
