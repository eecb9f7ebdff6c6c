package abbex.app.page;

import abbex.app.store.SentOnce;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ResponseCookie;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;

/**
 * Tells a page that what it sent is stored: a cookie with the id under which it was sent, set only with an answer that the
 * handler finished and that is no refusal. Until the page has seen it, the device keeps the text.
 */
final class StoredMark implements HandlerInterceptor {
    /** The field that a script adds to what it keeps until then. */
    static final String KEEPS = "_keeps";

    private static final Duration LONG_ENOUGH = Duration.ofMinutes(5);

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView answer) {
        String sent = request.getParameter(SentOnce.FIELD);
        if (sent == null
                || request.getParameter(KEEPS) == null
                || !sent.matches("[0-9a-f-]{8,36}")
                || !request.getMethod().equals("POST")) {
            return;
        }
        HttpStatusCode status = answer == null ? null : answer.getStatus();
        boolean refused = status != null && status.isError() || response.getStatus() >= 400;
        if (!refused) {
            response.addHeader(
                    HttpHeaders.SET_COOKIE,
                    ResponseCookie.from("abbex-stored-" + sent, "1")
                            .path("/")
                            .maxAge(LONG_ENOUGH)
                            .sameSite("Lax")
                            .secure(request.isSecure())
                            .build()
                            .toString());
        }
    }
}
