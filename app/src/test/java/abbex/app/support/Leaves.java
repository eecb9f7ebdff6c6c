package abbex.app.support;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Hands a vehicle over as somebody who answers all that is asked: the customer was told of what is looked at again. */
public final class Leaves {
    private static final Pattern ASKED = Pattern.compile("name=\"(answer-[^\"]+)\"\\s+value=\"(\\w+)\"");

    private Leaves() {}

    /** Whoever hands it over; a lead accepts what stops it, for a reason. */
    public static HttpResponse<String> handOver(Visitor by, String job) {
        String page = by.get("/jobs/" + job + "/hand-over").body();
        Set<String> told = new LinkedHashSet<>();
        Set<String> all = new LinkedHashSet<>();
        Matcher asked = ASKED.matcher(page);
        while (asked.find()) {
            all.add(asked.group(1));
            if (asked.group(2).equals("TOLD")) {
                told.add(asked.group(1));
            }
        }
        List<String> form = new ArrayList<>();
        for (String field : all) {
            form.addAll(List.of(field, told.contains(field) ? "TOLD" : "ACCEPTED"));
            form.addAll(List.of(field + "_why", told.contains(field) ? "" : "goes so, on a trailer"));
        }
        return by.post("/jobs/" + job + "/hand-over", form.toArray(String[]::new));
    }
}
