package abbex.app.api;

import abbex.app.words.Bundles;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** A request that is answered with problem details (RFC 9457): what was read and what to send. */
final class ApiProblem extends RuntimeException {
    private final int status;
    private final String key;
    private final Map<String, String> named = new HashMap<>();
    private final Map<String, Object> members = new LinkedHashMap<>();
    private Optional<String> worded = Optional.empty();

    private ApiProblem(int status, String key) {
        super(key, null, false, false);
        this.status = status;
        this.key = key;
    }

    /**
     * A problem that has a title and a detail in the bundle.
     *
     * @param named name and text of each argument by turns
     */
    static ApiProblem of(int status, String key, Object... named) {
        ApiProblem problem = new ApiProblem(status, key);
        for (int i = 0; i < named.length; i += 2) {
            problem.named.put((String) named[i], String.valueOf(named[i + 1]));
        }
        return problem;
    }

    /** 400: a field cannot be read; the detail is in the bundle. */
    static ApiProblem field(String field, String read, String key, String right) {
        ApiProblem problem = new ApiProblem(400, key);
        problem.members.put("field", field);
        problem.members.put("read", read.length() > 200 ? read.substring(0, 200) : read);
        problem.members.put("right", right);
        return problem;
    }

    /** 400: a field cannot be read, for a reason that has its words already. */
    static ApiProblem worded(String field, String read, String detail, String right) {
        ApiProblem problem = field(field, read, "api.field", right);
        problem.worded = Optional.of(detail);
        return problem;
    }

    int status() {
        return status;
    }

    Map<String, Object> body(Bundles words) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("type", "about:blank");
        body.put("title", words.pattern(members.isEmpty() ? key + ".title" : "api.field.title"));
        body.put("status", status);
        body.put("detail", worded.orElseGet(() -> words.say(members.isEmpty() ? key + ".detail" : key, named::get)));
        body.putAll(members);
        return body;
    }
}
