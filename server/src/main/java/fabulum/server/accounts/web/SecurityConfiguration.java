package fabulum.server.accounts.web;

import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.ProblemDocument;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import tools.jackson.databind.json.JsonMapper;

/**
 * The rules of the front door: nothing under /api for strangers, nothing for foreign pages, no
 * inline scripts.
 */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {
  private static final String CONTENT_POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; font-src 'self'; img-src 'self' data:; media-src 'self' blob:;"
          + " connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

  @Bean
  PasswordEncoder passwordEncoder() {
    return new BCryptPasswordEncoder();
  }

  /** Requests are measured as a whole; a measure of each filter costs more than the filters. */
  @Bean
  SecurityObservationSettings noObservations() {
    return SecurityObservationSettings.noObservations();
  }

  @Bean
  SecurityContextRepository securityContextRepository() {
    return new HttpSessionSecurityContextRepository();
  }

  @Bean
  SecurityFilterChain rules(HttpSecurity http, JsonMapper json, SignIns signIns) {
    return http.authorizeHttpRequests(requests ->
            requests
                // A browser that was let in to listen is not asked again when the stream ends.
                .dispatcherTypeMatchers(DispatcherType.ASYNC)
                .permitAll()
                .requestMatchers(HttpMethod.POST, "/api/session")
                .permitAll()
                .requestMatchers("/api/invitations/**")
                .permitAll()
                .requestMatchers("/api/session", "/api/session/**")
                .access((who, request) -> new AuthorizationDecision(isIn(who.get(), signIns)))
                .requestMatchers("/api", "/api/**")
                .access((who, request) -> new AuthorizationDecision(mayWork(who.get(), signIns)))
                .anyRequest()
                .permitAll())
        .csrf(
            csrf -> csrf.spa().csrfTokenRepository(tokens()).ignoringRequestMatchers("/webhook/**"))
        .exceptionHandling(refusals ->
            refusals
                .authenticationEntryPoint(
                    (request, response, why) -> notSignedIn().write(response, json))
                .accessDeniedHandler(denied(json, signIns)))
        .headers(headers ->
            headers
                .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                .cacheControl(cache -> cache.disable())
                .addHeaderWriter(SecurityConfiguration::keepNothing))
        .requestCache(cache -> cache.disable())
        .logout(logout -> logout.disable())
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .build();
  }

  /** The page's script reads this token, so it is the one cookie that is not for HTTP only. */
  private static CookieCsrfTokenRepository tokens() {
    CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
    tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
    return tokens;
  }

  /** What the API says is for one person at one moment: nothing on the way keeps it. */
  private static void keepNothing(HttpServletRequest request, HttpServletResponse response) {
    String path = request.getRequestURI();
    if (path.equals("/api") || path.startsWith("/api/")) {
      response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    }
  }

  private static boolean isIn(@Nullable Authentication who, SignIns signIns) {
    return who != null
        && who.getPrincipal() instanceof SignedIn signedIn
        && signIns.isLive(signedIn.signInId());
  }

  private static boolean mayWork(@Nullable Authentication who, SignIns signIns) {
    return who != null
        && isIn(who, signIns)
        && who.getPrincipal() instanceof SignedIn signedIn
        && !signedIn.mustChangePassword();
  }

  private static AccessDeniedHandler denied(JsonMapper json, SignIns signIns) {
    return (request, response, why) -> refusal(request, signIns).write(response, json);
  }

  private static ProblemDocument refusal(HttpServletRequest request, SignIns signIns) {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    boolean open =
        request.getMethod().equals("POST")
            && (request.getRequestURI().equals("/api/session")
                || request.getRequestURI().startsWith("/api/invitations/"));
    if (!isIn(who, signIns)) {
      return open ? stalePage() : notSignedIn();
    }
    return mayWork(who, signIns)
        ? stalePage()
        : ProblemDocument.of(
            Kind.PASSWORD_CHANGE_NEEDED,
            "Your password was for one use. Choose your own to continue.");
  }

  private static ProblemDocument notSignedIn() {
    return ProblemDocument.of(Kind.NOT_SIGNED_IN, "Sign in first. What you were writing is kept.");
  }

  private static ProblemDocument stalePage() {
    return ProblemDocument.of(
        Kind.STALE_PAGE, "This page is out of date. Load it again; what you were writing is kept.");
  }
}
