package abbex.app.store;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.ContentCachingResponseWrapper;

/** An answer that leaves nothing before it is sent: no byte of it is on its way while the act may still fail. */
final class HeldAnswer extends ContentCachingResponseWrapper {
    private int error;
    private @Nullable String why;

    HeldAnswer(HttpServletResponse response) {
        super(response);
    }

    @Override
    public void sendRedirect(String location) {
        sendRedirect(location, SC_FOUND, true);
    }

    @Override
    public void sendRedirect(String location, boolean clear) {
        sendRedirect(location, SC_FOUND, clear);
    }

    @Override
    public void sendRedirect(String location, int status) {
        sendRedirect(location, status, true);
    }

    @Override
    public void sendRedirect(String location, int status, boolean clear) {
        if (clear) {
            resetBuffer();
        }
        setStatus(status);
        setHeader("Location", location);
    }

    @Override
    public void sendError(int status) {
        error = status;
    }

    @Override
    public void sendError(int status, String message) {
        error = status;
        why = message;
    }

    /** Whether what was asked for was not done. */
    boolean refused() {
        return error != 0 || getStatus() >= 400;
    }

    SentAnswers.Answer answer() {
        List<String> headers = new ArrayList<>();
        for (String name : getHeaderNames()) {
            for (String value : getHeaders(name)) {
                if (SentAnswers.tells(name, value)) {
                    headers.addAll(List.of(name, value));
                }
            }
        }
        return new SentAnswers.Answer(
                getStatus(), Objects.requireNonNullElse(getContentType(), ""), headers, getContentAsByteArray());
    }

    void send() throws IOException {
        HttpServletResponse response = (HttpServletResponse) getResponse();
        if (error != 0 && why != null) {
            response.sendError(error, why);
        } else if (error != 0) {
            response.sendError(error);
        } else {
            copyBodyToResponse();
        }
    }
}
