package abbex.app.store;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What a request has read, so that it reads it once: one snapshot for the whole page. It lives as long as a request that asks
 * for a page; where something is written, and where there is no request, everything is read when it is asked for.
 */
@Component
public class Reads {
    private static final String NAME = Reads.class.getName();

    /**
     * The answer of a reading.
     *
     * @param question the reader's class and all that it asks by, shop first
     * @param read reads it; what it answers is never changed by those who get it
     */
    public <T> T once(List<?> question, Supplier<T> read) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (!(request instanceof ServletRequestAttributes servlet)
                || !servlet.getRequest().getMethod().equals("GET")) {
            return read.get();
        }
        @SuppressWarnings("unchecked")
        Map<Object, Object> known = (Map<Object, Object>) request.getAttribute(NAME, RequestAttributes.SCOPE_REQUEST);
        if (known == null) {
            known = new HashMap<>();
            request.setAttribute(NAME, known, RequestAttributes.SCOPE_REQUEST);
        }
        @SuppressWarnings("unchecked")
        T answer = (T) known.get(question);
        if (answer == null) {
            answer = read.get();
            known.put(question, answer);
        }
        return answer;
    }
}
