package fabulum.server.people.web;

import fabulum.core.access.Act;
import fabulum.core.attendance.Presence;
import fabulum.server.access.Permits;
import fabulum.server.accounts.KnownBrowsers;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.feed.Positions;
import fabulum.server.people.Attendances;
import fabulum.server.people.People;
import fabulum.server.people.People.PageChoices;
import fabulum.server.people.StaffView;
import fabulum.server.platform.ClockSettings;
import fabulum.server.platform.PageSettings;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/** Lets someone in, and says what the session is. */
@Component
class SessionDesk {
  private static final String BROWSER = "fabulum-browser";
  private static final Duration BROWSER_KNOWN = Duration.ofDays(400);

  private final People people;
  private final KnownBrowsers browsers;
  private final Permits permits;
  private final Attendances attendances;
  private final SecurityContextRepository contexts;
  private final Clock clock;
  private final ClockSettings clockSettings;
  private final PageSettings page;
  private final Positions positions;

  SessionDesk(
      People people,
      KnownBrowsers browsers,
      Permits permits,
      Attendances attendances,
      SecurityContextRepository contexts,
      Clock clock,
      ClockSettings clockSettings,
      PageSettings page,
      Positions positions) {
    this.people = people;
    this.browsers = browsers;
    this.permits = permits;
    this.attendances = attendances;
    this.contexts = contexts;
    this.clock = clock;
    this.clockSettings = clockSettings;
    this.page = page;
    this.positions = positions;
  }

  /**
   * The session.
   *
   * @param may what the person may do, whatever the conversation
   * @param leads names of those who can allow more
   * @param in whether the person is in, and not away
   * @param why that is so
   * @param until when that will change by itself
   * @param page what one chose for the page
   * @param now the server's time when it answered
   * @param clockRuns false while the server's clock stands still for a demonstration
   * @param handsets where the stand-in's handsets are, if there are any
   * @param live where the live stream stands, at most 46 characters: begun <em>after</em> it, the
   *     stream tells what has changed since this answer
   */
  record SessionResponse(
      StaffView staff,
      Set<Act> may,
      List<String> leads,
      boolean in,
      Presence.Why why,
      @Nullable Instant until,
      boolean mustChangePassword,
      PageChoices page,
      Instant now,
      boolean clockRuns,
      @Nullable String handsets,
      String live) {}

  SignIns.From from(HttpServletRequest request) {
    String agent = request.getHeader("User-Agent");
    String browser =
        Stream.ofNullable(WebUtils.getCookie(request, BROWSER))
            .flatMap(cookie -> browsers.read(cookie.getValue()).stream())
            .findFirst()
            .orElse(null);
    return new SignIns.From(request.getRemoteAddr(), agent == null ? "" : agent, browser);
  }

  SessionResponse letIn(
      SignedIn signedIn, HttpServletRequest request, HttpServletResponse response) {
    if (request.getSession(false) != null) {
      request.changeSessionId();
    }
    remember(signedIn, request, response);
    knowBrowser(request, response);
    return session(signedIn);
  }

  /** From now on this browser is told from strangers. */
  private void knowBrowser(HttpServletRequest request, HttpServletResponse response) {
    if (from(request).browser() == null) {
      ResponseCookie cookie =
          ResponseCookie.from(BROWSER, browsers.issue())
              .path("/api")
              .httpOnly(true)
              .secure(request.isSecure())
              .sameSite("Strict")
              .maxAge(BROWSER_KNOWN)
              .build();
      response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }
  }

  void remember(SignedIn signedIn, HttpServletRequest request, HttpServletResponse response) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(signedIn, null, List.of()));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
  }

  SessionResponse session(SignedIn signedIn) {
    // Before anything is read: what changes meanwhile is told again rather than missed.
    String live = positions.now().text();
    boolean runs = clockSettings.at() == null || clockSettings.runs();
    Presence presence = attendances.presence(signedIn.id());
    return new SessionResponse(
        people.get(signedIn.id()),
        permits.of(signedIn.id()).acts(),
        permits.leads(),
        presence.in(),
        presence.why(),
        presence.until().orElse(null),
        signedIn.mustChangePassword(),
        people.pageChoices(signedIn.id()),
        clock.instant(),
        runs,
        page.handsets(),
        live);
  }
}
