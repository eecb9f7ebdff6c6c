package abbex.app.people;

import abbex.app.store.StaticFiles;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.session.jdbc.MySqlJdbcIndexedSessionRepositoryCustomizer;

/** Who may come in, and what a browser may do with our pages. */
@Configuration
class SecuritySettings {
    private static final String CONTENT =
            "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder();
    }

    /** Two first requests of a fresh session write the same attribute at once; the second one's write is no error. */
    @Bean
    MySqlJdbcIndexedSessionRepositoryCustomizer attributesWrittenTwice() {
        return new MySqlJdbcIndexedSessionRepositoryCustomizer();
    }

    @Bean
    UserDetailsService signInBy(People people) {
        return name -> people.forSignIn(name)
                .map(found -> new SignedIn(found.person(), found.hash()))
                .orElseThrow(() -> new UsernameNotFoundException("nobody of that name"));
    }

    @Bean
    SecurityFilterChain pages(HttpSecurity http, Misses misses, People people, Audit audit) throws Exception {
        AuthenticationEntryPoint toSignIn = new LoginUrlAuthenticationEntryPoint("/sign-in");
        AuthenticationEntryPoint entry = (request, response, why) -> {
            if (byScript(request)) {
                response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
            } else {
                toSignIn.commence(request, response, why);
            }
        };
        // Only pages are gone back to after signing in: what a script asks for is none.
        HttpSessionRequestCache pagesOnly = new HttpSessionRequestCache();
        pagesOnly.setRequestMatcher(request -> request.getMethod().equals("GET") && !byScript(request));
        return http.requestCache(c -> c.requestCache(pagesOnly))
                .authorizeHttpRequests(a -> a.requestMatchers(StaticFiles.patterns())
                        .permitAll()
                        .requestMatchers("/sign-in", "/no-network", "/error")
                        .permitAll()
                        .requestMatchers("/people/**", "/audit", "/keys/**", "/rules/**", "/gaps/set")
                        .hasRole("LEAD")
                        .anyRequest()
                        .authenticated())
                .addFilterBefore(new Misses.Lock(misses), UsernamePasswordAuthenticationFilter.class)
                .formLogin(f -> f.loginPage("/sign-in")
                        .successHandler(cameIn(misses, people, audit))
                        .failureHandler(missed(misses)))
                .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .exceptionHandling(e -> e.authenticationEntryPoint(entry).accessDeniedHandler(denied(entry)))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT))
                        .referrerPolicy(r -> r.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    private static AuthenticationSuccessHandler cameIn(Misses misses, People people, Audit audit) {
        AuthenticationSuccessHandler onward = new SavedRequestAwareAuthenticationSuccessHandler();
        return (request, response, who) -> {
            misses.forget(who.getName(), request.getRemoteAddr());
            if (who.getPrincipal() instanceof SignedIn signedIn) {
                people.byId(signedIn.id()).ifPresent(person -> audit.add(person, Audit.What.SIGNED_IN, ""));
            }
            onward.onAuthenticationSuccess(request, response, who);
        };
    }

    private static AuthenticationFailureHandler missed(Misses misses) {
        return (request, response, why) -> {
            String name = request.getParameter("username");
            misses.missed(name == null ? "" : name, request.getRemoteAddr());
            response.sendRedirect(request.getContextPath() + "/sign-in?error");
        };
    }

    /** A session that ended between two acts has no token either: that person signs in again and goes on. */
    private static AccessDeniedHandler denied(AuthenticationEntryPoint entry) {
        AccessDeniedHandlerImpl refuse = new AccessDeniedHandlerImpl();
        return (HttpServletRequest request, HttpServletResponse response, AccessDeniedException why) -> {
            Authentication who = SecurityContextHolder.getContext().getAuthentication();
            if (who == null || who instanceof AnonymousAuthenticationToken) {
                if (byScript(request)) {
                    response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
                } else {
                    response.sendRedirect(request.getContextPath() + "/sign-in?ended");
                }
            } else {
                refuse.handle(request, response, why);
            }
        };
    }

    /** A fragment, or a page fetched to be kept for later: nobody is looking at the answer. */
    private static boolean byScript(HttpServletRequest request) {
        String mode = request.getHeader("Sec-Fetch-Mode");
        return "true".equals(request.getHeader("HX-Request")) || mode != null && !mode.equals("navigate");
    }
}
