package abbex.app.people;

import abbex.app.store.StaticFiles;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
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
import org.springframework.security.web.authentication.logout.HeaderWriterLogoutHandler;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.session.jdbc.MySqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.web.http.CookieSerializer;

/** Who may come in, and what a browser may do with our pages. */
@Configuration
class SecuritySettings {
    private static final String CONTENT =
            "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    PasswordEncoder passwordEncoder(@Value("${abbex.hash.rounds}") int rounds) {
        return new Hashing(rounds);
    }

    /** Two first requests of a fresh session write the same attribute at once; the second one's write is no error. */
    @Bean
    MySqlJdbcIndexedSessionRepositoryCustomizer attributesWrittenTwice() {
        return new MySqlJdbcIndexedSessionRepositoryCustomizer();
    }

    @Bean
    CookieSerializer sessionCookie() {
        return new SessionCookie();
    }

    @Bean
    UserDetailsService signInBy(People people) {
        return name -> people.forSignIn(name)
                .map(found -> new SignedIn(found.person(), found.hash()))
                .orElseThrow(() -> new UsernameNotFoundException("nobody of that name"));
    }

    @Bean
    Door door(UserDetailsService signInBy, PasswordEncoder encoder, SecondFactor second) {
        return new Door(signInBy, encoder, second);
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
        // Only pages are gone back to after signing in: what a script asks for is none. Kept by whoever asked.
        CookieRequestCache pagesOnly = new CookieRequestCache();
        pagesOnly.setRequestMatcher(request -> request.getMethod().equals("GET") && !byScript(request));
        return http.csrf(c -> c.csrfTokenRepository(new CsrfTokens()))
                .requestCache(c -> c.requestCache(pagesOnly))
                .authorizeHttpRequests(a -> a.requestMatchers(StaticFiles.patterns())
                        .permitAll()
                        .requestMatchers("/sign-in", "/no-network", "/error", "/calendar/*")
                        .permitAll()
                        .requestMatchers("/people/**", "/audit", "/keys/**", "/rules/**", "/gaps/set", "/day/hours")
                        .hasRole("LEAD")
                        .anyRequest()
                        .authenticated())
                .addFilterBefore(new SessionLimits(Clock.systemUTC()), SecurityContextHolderFilter.class)
                .addFilterBefore(new Misses.Lock(misses), UsernamePasswordAuthenticationFilter.class)
                .formLogin(f -> f.loginPage("/sign-in")
                        .authenticationDetailsSource(Door.Typed::new)
                        .successHandler(cameIn(misses, people, audit, pagesOnly))
                        .failureHandler(missed(misses, people, audit)))
                // What waits unsent on the device is the person's and stays; pages that were kept go.
                .logout(l -> l.logoutUrl("/sign-out")
                        .addLogoutHandler(new HeaderWriterLogoutHandler(
                                new ClearSiteDataHeaderWriter(ClearSiteDataHeaderWriter.Directive.CACHE)))
                        .logoutSuccessUrl("/sign-in?out"))
                .exceptionHandling(e -> e.authenticationEntryPoint(entry).accessDeniedHandler(denied(entry)))
                .headers(h -> h.crossOriginOpenerPolicy(
                                o -> o.policy(CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .contentSecurityPolicy(c -> c.policyDirectives(CONTENT))
                        .referrerPolicy(r -> r.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    private static AuthenticationSuccessHandler cameIn(Misses misses, People people, Audit audit, RequestCache asked) {
        SavedRequestAwareAuthenticationSuccessHandler onward = new SavedRequestAwareAuthenticationSuccessHandler();
        onward.setRequestCache(asked);
        return (request, response, who) -> {
            misses.forget(SignInName.of(who.getName()), request.getRemoteAddr());
            if (who.getPrincipal() instanceof SignedIn signedIn) {
                people.byId(signedIn.id()).ifPresent(person -> audit.add(person, Audit.What.SIGNED_IN, ""));
            }
            onward.onAuthenticationSuccess(request, response, who);
        };
    }

    /** Written down for the shop whose name it was; of a name that nobody has there is nobody to tell. */
    private static AuthenticationFailureHandler missed(Misses misses, People people, Audit audit) {
        return (request, response, why) -> {
            String typed = request.getParameter("username");
            String name = SignInName.of(typed == null ? "" : typed);
            String from = request.getRemoteAddr();
            people.forSignIn(name).ifPresent(tried -> {
                audit.add(tried.person(), Audit.What.SIGN_IN_FAILED, from);
                if (misses.locked(name, from)) {
                    audit.add(tried.person(), Audit.What.SIGN_IN_LOCKED, from);
                }
            });
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
