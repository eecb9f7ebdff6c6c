package abbex.app.plan;

import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.kit.Cause;
import abbex.core.kit.Causes;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Words for why a vehicle stands other than planned. */
@Component
class CauseWords {
    private final Words words;

    CauseWords(Words words) {
        this.words = words;
    }

    /** Beyond that a cause is likely, below this it is hardly worth a look. */
    private static final double LIKELY = 0.5;

    private static final double UNLIKELY = 0.05;

    private static final int MOST_CAUSES = 3;

    PlanPage.WhyView of(Causes.Ranked ranked, Reader reader) {
        if (ranked.asPlanned()) {
            return new PlanPage.WhyView(true, List.of(), "");
        }
        List<PlanPage.CauseView> causes = ranked.groups().stream()
                .limit(MOST_CAUSES)
                .filter(group -> group.share() >= UNLIKELY)
                .map(group -> new PlanPage.CauseView(
                        words.say(group.share() > LIKELY ? "cause.likely" : "cause.possible"),
                        Numerals.html(Words.capital(group.causes().stream()
                                .map(cause -> cause(cause, reader))
                                .distinct()
                                .collect(Collectors.joining(", " + words.say("or") + " ")))),
                        Numerals.html(words.say(
                                group.size() > 0 ? "cause.higher" : "cause.lower",
                                reader,
                                "by",
                                Length.ofRoundedMm(Math.abs(group.size())))),
                        evidence(group.evidence(), reader)))
                .toList();
        Cause.Kind cheapest = ranked.groups().stream()
                .limit(2)
                .flatMap(group -> group.causes().stream())
                .map(Cause::kind)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        return new PlanPage.WhyView(false, causes, words.say("check." + cheapest));
    }

    /** What speaks for it and what against. */
    private String evidence(Causes.Evidence evidence, Reader reader) {
        List<String> said = new ArrayList<>();
        if (evidence.explained() > 0) {
            said.add(words.say("cause.for", reader, "heights", Integer.toString(evidence.explained())));
        }
        evidence.left()
                .ifPresent(left -> said.add(words.say(
                        left.off() > 0 ? "cause.against.high" : "cause.against.low",
                        reader,
                        "spot",
                        left.spot(),
                        "by",
                        Length.ofRoundedMm(Math.abs(left.off())))));
        return Numerals.html(String.join(" ", said));
    }

    /** The likeliest of it in a line, safe for a page; that it stands as planned where it does. */
    String first(Causes.Ranked ranked, Reader reader) {
        PlanPage.WhyView why = of(ranked, reader);
        return why.asPlanned() || why.causes().isEmpty()
                ? Numerals.html(words.say("plan.why.asplanned"))
                : Numerals.html(why.causes().get(0).likely()) + " "
                        + why.causes().get(0).names() + ", "
                        + why.causes().get(0).size();
    }

    private String cause(Cause cause, Reader reader) {
        return words.say("cause." + cause.kind(), reader, "place", cause.place());
    }
}
