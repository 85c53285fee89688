package fabulum.server.people.web;

import fabulum.server.accounts.Accounts;
import fabulum.server.accounts.SignIn;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.people.web.SessionDesk.SessionResponse;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.ProblemDocument;
import fabulum.server.platform.web.Problems;
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
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
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
  private final Accounts accounts;
  private final SignIns signIns;
  private final SessionDesk desk;

  SessionController(Accounts accounts, SignIns signIns, SessionDesk desk) {
    this.accounts = accounts;
    this.signIns = signIns;
    this.desk = desk;
  }

  /** A name and a password. */
  record SignInRequest(
      @NotBlank(message = "Enter your name.")
          @Size(max = 60, message = "A name has at most 60 characters.")
          String name,
      @NotEmpty(message = "Enter your password.")
          @Size(max = 200, message = "A password has at most 200 characters.")
          String password) {}

  /** A change of password. */
  record PasswordRequest(
      @NotEmpty(message = "Enter your current password.") @Size(max = 200) String old,
      @NotEmpty(message = "Enter a new password.") @Size(max = 200) String wanted) {}

  /** Signs in, and sets the session cookie. */
  @Problems({Kind.WRONG_PASSWORD, Kind.TOO_MANY_TRIES})
  @PostMapping
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = SessionResponse.class)))
  ResponseEntity<?> signIn(
      @Valid @RequestBody SignInRequest wanted,
      HttpServletRequest request,
      HttpServletResponse response) {
    SignIn result = accounts.signIn(wanted.name(), wanted.password(), desk.from(request));
    if (result instanceof SignIn.Welcome welcome) {
      return ResponseEntity.ok(desk.letIn(welcome.signedIn(), request, response));
    }
    if (result instanceof SignIn.SlowDown slowDown) {
      long seconds = slowDown.pause().toSeconds() + 1;
      return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
          .header(HttpHeaders.RETRY_AFTER, Long.toString(seconds))
          .body(
              ProblemDocument.of(
                  Kind.TOO_MANY_TRIES, "Too many tries. Try again in " + seconds + " s."));
    }
    return ProblemDocument.of(Kind.WRONG_PASSWORD, "Wrong name or password.").answer();
  }

  /** Who is signed in, what they may do, and how their page is. */
  @GetMapping
  SessionResponse current(@AuthenticationPrincipal SignedIn signedIn) {
    return desk.session(signedIn);
  }

  /** Signs out; the session ends at once, also its live stream. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(@AuthenticationPrincipal SignedIn signedIn, HttpServletRequest request) {
    signIns.end(signedIn.signInId());
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
    SecurityContextHolder.clearContext();
  }

  /** Changes my password and ends my other sign-ins. */
  @Problems({Kind.TOO_MANY_TRIES})
  @PutMapping("/password")
  SessionResponse changePassword(
      @AuthenticationPrincipal SignedIn signedIn,
      @Valid @RequestBody PasswordRequest wanted,
      HttpServletRequest request,
      HttpServletResponse response) {
    accounts.changePassword(signedIn, wanted.old(), wanted.wanted(), desk.from(request));
    SignedIn changed = new SignedIn(signedIn.staffId(), signedIn.signInId(), false);
    desk.remember(changed, request, response);
    return desk.session(changed);
  }
}
