package abbex.app.api;

import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.figure.Finding;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Findings as the published interface answers them. */
final class FindingsAnswer {
    private FindingsAnswer() {}

    static List<Map<String, Object>> of(List<Finding> findings, Words words, Reader reader) {
        return findings.stream().map(finding -> one(finding, words, reader)).toList();
    }

    private static Map<String, Object> one(Finding finding, Words words, Reader reader) {
        Words.Said said = words.finding(finding, reader);
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("code", finding.code());
        one.put("severity", finding.severity().name().toLowerCase(Locale.ROOT));
        one.put("place", finding.place().code());
        one.put("text", said.title() + ". " + said.text());
        return one;
    }
}
