package abbex.app.api;

import abbex.app.people.Misses;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.web.filter.OncePerRequestFilter;

/** Other programs sign in with each request: no session, no cookie, no token; every refusal is problem details. */
@Configuration
class ApiSecurity {
    @Bean
    @Order(1)
    SecurityFilterChain api(HttpSecurity http, Misses misses) throws Exception {
        return http.securityMatcher("/api/**")
                .authorizeHttpRequests(a -> a.anyRequest().authenticated())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(AbstractHttpConfigurer::disable)
                .csrf(AbstractHttpConfigurer::disable)
                .addFilterBefore(new Lock(misses), BasicAuthenticationFilter.class)
                .httpBasic(b -> b.authenticationEntryPoint((request, response, why) -> {
                    name(request).ifPresent(name -> misses.missed(name, request.getRemoteAddr()));
                    refuse(response);
                }))
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, why) -> refuse(response))
                        .accessDeniedHandler((request, response, why) -> refuse(response)))
                .build();
    }

    private static final class Lock extends OncePerRequestFilter {
        private final Misses misses;

        Lock(Misses misses) {
            this.misses = misses;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Optional<String> name = name(request);
            if (name.isPresent() && misses.locked(name.get(), request.getRemoteAddr())) {
                refuse(response);
                return;
            }
            chain.doFilter(request, response);
        }
    }

    private static Optional<String> name(HttpServletRequest request) {
        String header = request.getHeader("Authorization");
        if (header == null || !header.regionMatches(true, 0, "Basic ", 0, 6)) {
            return Optional.empty();
        }
        try {
            String pair =
                    new String(Base64.getDecoder().decode(header.substring(6).strip()), StandardCharsets.UTF_8);
            return pair.contains(":") ? Optional.of(pair.substring(0, pair.indexOf(':'))) : Optional.empty();
        } catch (IllegalArgumentException notBase64) {
            return Optional.empty();
        }
    }

    private static void refuse(HttpServletResponse response) throws IOException {
        response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
        response.setHeader("WWW-Authenticate", "Basic realm=\"Abbex\", charset=\"UTF-8\"");
        response.setContentType("application/problem+json");
        response.getOutputStream()
                .write(("{\"type\":\"about:blank\",\"title\":\"Sign in first\",\"status\":401,\"detail\":"
                                + "\"Name and password of a person of the shop are needed, by HTTP Basic.\"}\n")
                        .getBytes(StandardCharsets.UTF_8));
    }
}
