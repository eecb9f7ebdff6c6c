package abbex.app.api;

import abbex.app.people.ApiKeys;
import abbex.app.people.Misses;
import abbex.app.words.Bundles;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;

/** Other programs sign in with each request: no session, no cookie, no token; every refusal is problem details. */
@Configuration
class ApiSecurity {
    @Bean
    @Order(1)
    SecurityFilterChain api(
            HttpSecurity http,
            Misses misses,
            ApiKeys keys,
            @Value("${abbex.api.per-minute}") int perMinute,
            Bundles words)
            throws Exception {
        return http.securityMatcher("/api/**")
                .authorizeHttpRequests(a -> a.requestMatchers("/api/v1/openapi.json")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(AbstractHttpConfigurer::disable)
                .csrf(AbstractHttpConfigurer::disable)
                .addFilterBefore(new ApiDoor.Lock(misses, words), BasicAuthenticationFilter.class)
                .addFilterBefore(new ApiDoor.ByKey(keys, words), BasicAuthenticationFilter.class)
                .addFilterBefore(new ApiDoor.Pace(perMinute, words), AuthorizationFilter.class)
                .httpBasic(b -> b.authenticationEntryPoint((request, response, why) -> {
                    ApiDoor.refuse(response, words);
                }))
                .exceptionHandling(
                        e -> e.authenticationEntryPoint((request, response, why) -> ApiDoor.refuse(response, words))
                                .accessDeniedHandler((request, response, why) -> ApiDoor.refuse(response, words)))
                .build();
    }
}
