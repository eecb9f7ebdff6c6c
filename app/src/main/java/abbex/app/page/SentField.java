package abbex.app.page;

import abbex.app.store.SentOnce;
import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/** Every form that sends something carries an id of its own, beside the token against forged requests. */
@Component
class SentField implements BeanPostProcessor {
    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof RequestDataValueProcessor of ? new WithId(of) : bean;
    }

    private record WithId(RequestDataValueProcessor of) implements RequestDataValueProcessor {
        private static final String POSTS = WithId.class.getName() + ".posts";

        @Override
        public String processAction(HttpServletRequest request, String action, String method) {
            request.setAttribute(POSTS, "post".equalsIgnoreCase(method));
            return of.processAction(request, action, method);
        }

        @Override
        public String processFormFieldValue(
                HttpServletRequest request, @Nullable String name, String value, String type) {
            return of.processFormFieldValue(request, name, value, type);
        }

        @Override
        public @Nullable Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
            Map<String, String> token = of.getExtraHiddenFields(request);
            if (!Boolean.TRUE.equals(request.getAttribute(POSTS))) {
                return token;
            }
            Map<String, String> fields = new LinkedHashMap<>(token == null ? Map.of() : token);
            fields.put(SentOnce.FIELD, UUID.randomUUID().toString());
            return fields;
        }

        @Override
        public String processUrl(HttpServletRequest request, String url) {
            return of.processUrl(request, url);
        }
    }
}
