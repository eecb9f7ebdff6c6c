package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardFinding;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;

/** Work that was found while it was open: offered with its price, accepted or refused, and what that comes to. */
@Service
public class Offers {
    /** A price with one number in it, whatever stands round it. */
    private static final Pattern PRICE = Pattern.compile("(\\D*?)(\\d{1,3}(?:,\\d{3})+|\\d+)([.]\\d{1,2})?(\\D*)");

    private final Cards cards;
    private final Words words;

    Offers(Cards cards, Words words) {
        this.cards = cards;
        this.words = words;
    }

    /** An offer. */
    public record Row(String work, String price, String answer) {}

    /** All of them. @param sum what was accepted and what was refused; empty where prices are not numbers */
    public record All(List<Row> rows, String sum) {}

    public All of(Job job, Reader reader) {
        List<CardEvent.Found> found =
                cards.begun(job).map(state -> state.found()).orElse(List.of());
        List<Row> rows = found.stream()
                .map(f -> new Row(f.text(), f.price(), words.say("offered." + f.answer())))
                .toList();
        Optional<BigDecimal> accepted = sum(found, CardFinding.Answer.ACCEPTED);
        Optional<BigDecimal> refused = sum(found, CardFinding.Answer.REFUSED);
        boolean told = found.size() > 1 && accepted.isPresent() && refused.isPresent();
        return new All(
                rows,
                told
                        ? words.say(
                                "offered.sum",
                                reader,
                                "accepted",
                                accepted.get().toPlainString(),
                                "refused",
                                refused.get().toPlainString())
                        : "");
    }

    /** Empty where one of the prices is no number. */
    private static Optional<BigDecimal> sum(List<CardEvent.Found> found, CardFinding.Answer answer) {
        List<BigDecimal> prices = new ArrayList<>();
        for (CardEvent.Found one : found) {
            if (one.answer() == answer) {
                Matcher price = PRICE.matcher(one.price());
                if (!price.matches()) {
                    return Optional.empty();
                }
                prices.add(new BigDecimal(
                        price.group(2).replace(",", "") + (price.group(3) == null ? "" : price.group(3))));
            }
        }
        return Optional.of(prices.stream().reduce(BigDecimal.ZERO, BigDecimal::add));
    }
}
