package abbex.app.page;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Set;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.ResponseEntity;
import org.springframework.http.server.PathContainer;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPattern;

/** An address that only takes what is sent is asked for by a reload or out of the history: the page above it comes. */
@ControllerAdvice
class AskedAgain {
    private final RequestMappingHandlerMapping pages;

    AskedAgain(@Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping pages) {
        this.pages = pages;
    }

    @ExceptionHandler
    ResponseEntity<Void> again(HttpRequestMethodNotSupportedException not, HttpServletRequest request)
            throws HttpRequestMethodNotSupportedException {
        String path = request.getRequestURI();
        if (!request.getMethod().equals("GET") || path.startsWith("/api/") || request.getHeader("HX-Request") != null) {
            throw not;
        }
        String above = path;
        do {
            above = above.substring(0, Math.max(0, above.lastIndexOf('/')));
        } while (!above.isEmpty() && !shown(above));
        return ResponseEntity.status(303)
                .header("Location", above.isEmpty() ? "/" : above)
                .build();
    }

    /** Whether an address is a page of its own. */
    private boolean shown(String path) {
        PathContainer asked = PathContainer.parsePath(path);
        return pages.getHandlerMethods().keySet().stream()
                .filter(mapping -> {
                    Set<RequestMethod> methods = mapping.getMethodsCondition().getMethods();
                    return methods.contains(RequestMethod.GET);
                })
                .flatMap(mapping -> mapping.getPathPatternsCondition() == null
                        ? List.<PathPattern>of().stream()
                        : mapping.getPathPatternsCondition().getPatterns().stream())
                .anyMatch(pattern -> pattern.matches(asked));
    }
}
