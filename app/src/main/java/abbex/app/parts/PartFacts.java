package abbex.app.parts;

import abbex.app.form.Form;
import abbex.core.parts.BillLine;
import java.math.BigDecimal;
import java.util.Optional;

/** The number of a part and what it costs, as typed at its line. */
final class PartFacts {
    private static final int LONGEST = 80;

    private PartFacts() {}

    /** @param mark of the line in the page */
    static BillLine.Facts read(Form form, String mark) {
        return new BillLine.Facts(
                form.line("number" + mark, LONGEST), amount(form, "price" + mark), amount(form, "freight" + mark));
    }

    /** An amount of money to the cent; empty when nothing or nothing that can be taken was typed. */
    private static Optional<BigDecimal> amount(Form form, String field) {
        String text = form.text(field).replace(',', '.');
        if (text.matches("\\d{1,7}([.]\\d{1,2})?")) {
            return Optional.of(new BigDecimal(text).setScale(2));
        }
        if (!text.isEmpty()) {
            form.problem(field, "problem.parts.amount", "read", form.text(field));
        }
        return Optional.empty();
    }
}
