package fabulum.server.people.web;

import fabulum.server.people.People;
import fabulum.server.people.SignIn;
import fabulum.server.people.SignedIn;
import fabulum.server.people.StaffView;
import fabulum.server.platform.ClockSettings;
import fabulum.server.platform.PageSettings;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.ProblemDocument;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Coming in and going out. */
@RestController
@RequestMapping("/api/session")
class SessionController {
  private final People people;
  private final SecurityContextRepository contexts;
  private final Clock clock;
  private final ClockSettings clockSettings;
  private final PageSettings page;

  SessionController(
      People people,
      SecurityContextRepository contexts,
      Clock clock,
      ClockSettings clockSettings,
      PageSettings page) {
    this.people = people;
    this.contexts = contexts;
    this.clock = clock;
    this.clockSettings = clockSettings;
    this.page = page;
  }

  record SignInRequest(
      @NotBlank(message = "Who are you?")
          @Size(max = 60, message = "A name has at most 60 characters.")
          String name,
      @NotEmpty(message = "A password is needed.")
          @Size(max = 200, message = "No password is this long.")
          String password) {}

  record PasswordRequest(
      @NotEmpty(message = "Your present password is needed.") @Size(max = 200) String old,
      @NotEmpty(message = "A new password is needed.") @Size(max = 200) String wanted) {}

  /**
   * The session.
   *
   * @param now the server's time when it answered
   * @param clockRuns false while the server's clock stands still for a demonstration
   * @param handsets where the stand-in's handsets are, if there are any
   */
  record SessionResponse(
      StaffView staff,
      boolean mustChangePassword,
      Instant now,
      boolean clockRuns,
      @Nullable String handsets) {}

  @PostMapping
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = SessionResponse.class)))
  ResponseEntity<?> signIn(
      @Valid @RequestBody SignInRequest wanted,
      HttpServletRequest request,
      HttpServletResponse response) {
    SignIn result = people.signIn(wanted.name(), wanted.password(), request.getRemoteAddr());
    if (result instanceof SignIn.Welcome welcome) {
      SignedIn signedIn = SignedIn.of(welcome);
      if (request.getSession(false) != null) {
        request.changeSessionId();
      }
      remember(signedIn, request, response);
      return ResponseEntity.ok(session(signedIn));
    }
    if (result instanceof SignIn.SlowDown slowDown) {
      long seconds = slowDown.pause().toSeconds() + 1;
      return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
          .header(HttpHeaders.RETRY_AFTER, Long.toString(seconds))
          .body(
              ProblemDocument.of(
                  Kind.TOO_MANY_TRIES,
                  "That was tried too often. Try again in " + seconds + " s."));
    }
    return ProblemDocument.of(Kind.WRONG_PASSWORD, "That name and password do not go together.")
        .answer();
  }

  @GetMapping
  SessionResponse current(@AuthenticationPrincipal SignedIn signedIn) {
    return session(signedIn);
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
    SecurityContextHolder.clearContext();
  }

  @PutMapping("/password")
  SessionResponse changePassword(
      @AuthenticationPrincipal SignedIn signedIn,
      @Valid @RequestBody PasswordRequest wanted,
      HttpServletRequest request,
      HttpServletResponse response) {
    people.changePassword(signedIn.id(), wanted.old(), wanted.wanted());
    SignedIn changed =
        new SignedIn(
            signedIn.staffId(), signedIn.name(), signedIn.initials(), signedIn.role(), false);
    remember(changed, request, response);
    return session(changed);
  }

  private void remember(
      SignedIn signedIn, HttpServletRequest request, HttpServletResponse response) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    List<SimpleGrantedAuthority> roles =
        List.of(new SimpleGrantedAuthority("ROLE_" + signedIn.role()));
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(signedIn, null, roles));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
  }

  private SessionResponse session(SignedIn signedIn) {
    boolean runs = clockSettings.at() == null || clockSettings.runs();
    return new SessionResponse(
        new StaffView(signedIn.staffId(), signedIn.name(), signedIn.initials(), signedIn.role()),
        signedIn.mustChangePassword(),
        clock.instant(),
        runs,
        page.handsets());
  }
}
