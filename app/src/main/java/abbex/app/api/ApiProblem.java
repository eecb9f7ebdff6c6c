package abbex.app.api;

import java.util.LinkedHashMap;
import java.util.Map;

/** A request that is answered with problem details (RFC 9457): what was read and what would be right. */
final class ApiProblem extends RuntimeException {
    private final int status;
    private final Map<String, Object> body = new LinkedHashMap<>();

    private ApiProblem(int status, String title, String detail) {
        super(detail, null, false, false);
        this.status = status;
        body.put("type", "about:blank");
        body.put("title", title);
        body.put("status", status);
        body.put("detail", detail);
    }

    static ApiProblem of(int status, String title, String detail) {
        return new ApiProblem(status, title, detail);
    }

    /** 400: a field cannot be read. */
    static ApiProblem field(String field, String read, String detail, String right) {
        ApiProblem problem = new ApiProblem(400, "A field cannot be read", detail);
        problem.body.put("field", field);
        problem.body.put("read", read.length() > 200 ? read.substring(0, 200) : read);
        problem.body.put("right", right);
        return problem;
    }

    int status() {
        return status;
    }

    Map<String, Object> body() {
        return body;
    }
}
