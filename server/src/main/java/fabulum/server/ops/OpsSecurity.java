package fabulum.server.ops;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;

/**
 * Whether the process is alive is for everybody; everything else needs the key, as {@code
 * Authorization: Bearer KEY} (RFC 6750).
 */
@Configuration(proxyBeanMethods = false)
class OpsSecurity {
  private static final String SCHEME = "Bearer ";

  @Bean
  @Order(0)
  SecurityFilterChain operation(HttpSecurity http, OpsSettings settings) {
    return http.securityMatcher("/ops", "/ops/**")
        .authorizeHttpRequests(requests ->
            requests
                .requestMatchers("/ops/health/alive")
                .permitAll()
                .anyRequest()
                .access((who, request) ->
                    new AuthorizationDecision(
                        fits(
                            request.getRequest().getHeader(HttpHeaders.AUTHORIZATION),
                            settings.key()))))
        .exceptionHandling(refusals ->
            refusals
                .authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED))
                .accessDeniedHandler((request, response, why) -> response.setStatus(401)))
        .sessionManagement(
            session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .csrf(csrf -> csrf.disable())
        .requestCache(cache -> cache.disable())
        .build();
  }

  private static boolean fits(@Nullable String header, String key) {
    return !key.isEmpty()
        && header != null
        && header.startsWith(SCHEME)
        && MessageDigest.isEqual(
            header.substring(SCHEME.length()).getBytes(StandardCharsets.UTF_8),
            key.getBytes(StandardCharsets.UTF_8));
  }
}
