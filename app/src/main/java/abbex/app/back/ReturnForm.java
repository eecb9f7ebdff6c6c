package abbex.app.back;

import abbex.app.form.Form;
import abbex.app.settle.WatchList;
import abbex.core.settling.Odometer;
import abbex.core.settling.Watch;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;

/** The fields of the return, and what they say. */
final class ReturnForm {
    static final String PER_DAY = "perDay";
    private static final int LONGEST = 300;
    /** More is driven by nobody in a day, km (ours). */
    private static final double MOST_A_DAY = 2000;

    private ReturnForm() {}

    static String field(String key) {
        return "watch-" + key.replaceAll("[^A-Za-z0-9]+", "-");
    }

    /** What was answered; what nobody touched is left open. Problems at their fields. */
    static Map<String, WatchList.Given> watched(Form form, Collection<String> keys) {
        Map<String, WatchList.Given> given = new LinkedHashMap<>();
        for (String key : keys) {
            String field = field(key);
            String note = form.line(field + "_why", LONGEST);
            if (form.text(field).isEmpty()) {
                if (!note.isEmpty()) {
                    form.problem(field, "problem.watch.none");
                }
                continue;
            }
            Watch.Answer answer = form.choice(field, Watch.Answer.values(), Watch.Answer.GOOD);
            if (answer == Watch.Answer.SEEN && note.isEmpty()) {
                form.problem(field + "_why", "problem.watch.what");
            }
            given.put(key, new WatchList.Given(answer, note));
        }
        return given;
    }

    /** How far it is driven in a day, as it is kept: with its unit. */
    static String perDay(Form form) {
        String text = form.text(PER_DAY);
        if (text.isEmpty()) {
            return "";
        }
        boolean miles = !form.reader().unit().metric();
        return Odometer.parse(text, miles)
                .filter(read -> read.distance().km() > 0 && read.distance().km() <= MOST_A_DAY)
                .map(read -> read.said() ? text : text + (miles ? " mi" : " km"))
                .orElseGet(() -> {
                    form.problem(PER_DAY, "problem.per-day", "read", text);
                    return "";
                });
    }
}
