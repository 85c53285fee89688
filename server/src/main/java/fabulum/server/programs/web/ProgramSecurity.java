package fabulum.server.programs.web;

import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.ProblemDocument;
import fabulum.server.programs.Program;
import fabulum.server.programs.ProgramUse;
import fabulum.server.programs.ProgramUse.Came;
import fabulum.server.programs.Programs;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * The door for other programs: a key with every request (RFC 6750), nothing kept between two of
 * them. Who is signed in as a person is nobody here.
 */
@Configuration(proxyBeanMethods = false)
class ProgramSecurity {
  private static final String BEARER = "Bearer ";

  @Bean
  @Order(1)
  SecurityFilterChain programRules(
      HttpSecurity http, JsonMapper json, Programs programs, ProgramUse use) {
    return http.securityMatcher("/api/outside/**")
        .authorizeHttpRequests(requests -> requests.anyRequest().authenticated())
        .sessionManagement(
            sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .csrf(csrf -> csrf.disable())
        .requestCache(cache -> cache.disable())
        .logout(logout -> logout.disable())
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .addFilterBefore(new KeyFilter(json, programs, use), AuthorizationFilter.class)
        .build();
  }

  /** Reads the key and lets its program in. */
  private static final class KeyFilter extends OncePerRequestFilter {
    private final JsonMapper json;
    private final Programs programs;
    private final ProgramUse use;

    KeyFilter(JsonMapper json, Programs programs, ProgramUse use) {
      this.json = json;
      this.programs = programs;
      this.use = use;
    }

    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
      Optional<Program> program =
          Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
              .filter(header -> header.regionMatches(true, 0, BEARER, 0, BEARER.length()))
              .flatMap(header -> programs.find(header.substring(BEARER.length()).strip()));
      if (program.isEmpty()) {
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
        ProblemDocument.of(
                Kind.NOT_SIGNED_IN,
                "A key that holds is needed, as a bearer token. Nothing was changed.")
            .write(response, json);
        return;
      }
      if (!use.mayGo(program.get())) {
        response.setHeader(HttpHeaders.RETRY_AFTER, "60");
        use.count(program.get(), Came.REFUSED);
        ProblemDocument.of(
                Kind.TOO_MANY_TRIES, "Too many requests within a minute. Nothing was changed.")
            .write(response, json);
        return;
      }
      SecurityContextHolder.getContext()
          .setAuthentication(
              UsernamePasswordAuthenticationToken.authenticated(program.get(), null, List.of()));
      chain.doFilter(request, response);
      use.count(program.get(), came(request, response));
    }

    private static Came came(HttpServletRequest request, HttpServletResponse response) {
      if (response.getStatus() >= 400) {
        return Came.REFUSED;
      }
      return request.getMethod().equals("GET") ? Came.READ : Came.CHANGED;
    }
  }
}
