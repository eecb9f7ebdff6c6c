package abbex.app.store;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.apache.catalina.connector.ClientAbortException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.filter.OncePerRequestFilter;

/** Gives each request a number: the problem page shows it, and it finds the line in the log. No personal data. */
@Configuration
class ProblemNumber {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemNumber.class);
    private static final String NAME = "problemNumber";

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> numbered() {
        FilterRegistrationBean<OncePerRequestFilter> filter = new FilterRegistrationBean<>(new Numbered());
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return filter;
    }

    private static final class Numbered extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            String number = UUID.randomUUID().toString().substring(0, 8);
            request.setAttribute(NAME, number);
            MDC.put(NAME, number);
            try {
                chain.doFilter(request, response);
            } catch (InvalidParameterException e) {
                unread(request, response, number, e, e.getErrorCode());
            } catch (ClientAbortException e) {
                unread(request, response, number, e, HttpServletResponse.SC_BAD_REQUEST);
            } catch (ServletException | IOException | RuntimeException e) {
                LOG.error("problem {}: {} {}", number, request.getMethod(), request.getServletPath(), e);
                throw e;
            } finally {
                MDC.remove(NAME);
            }
        }

        /** Whoever asked left in the middle, or sent what is no form: no fault of ours, and strangers fill no log. */
        private static void unread(
                HttpServletRequest request, HttpServletResponse response, String number, Exception why, int status)
                throws IOException {
            LOG.debug("problem {}: {} {}", number, request.getMethod(), request.getServletPath(), why);
            if (!response.isCommitted()) {
                response.sendError(status);
            }
        }
    }
}
