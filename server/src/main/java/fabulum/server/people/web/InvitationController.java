package fabulum.server.people.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.people.Joining;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.web.SessionDesk.SessionResponse;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Coming in by a link that was mailed. */
@RestController
@RequestMapping("/api/invitations/{secret}")
class InvitationController {
  private final Joining joining;
  private final SessionDesk desk;

  InvitationController(Joining joining, SessionDesk desk) {
    this.joining = joining;
    this.desk = desk;
  }

  /** What someone chooses who accepts an invitation. */
  record AcceptRequest(
      @NotNull(message = "A name is needed.") String name,
      @NotNull(message = "Initials are needed.") String initials,
      @Valid @NotNull(message = "Choose a mark.") MarkMessage mark,
      @NotEmpty(message = "A password is needed.") @Size(max = 200) String password) {}

  /** Who is invited by a link. */
  @Problems({Kind.ENDED})
  @GetMapping
  StaffView whom(@PathVariable String secret) {
    return joining.whom(secret);
  }

  /** Accepts an invitation: sets name, mark and password, and signs in. */
  @Problems({Kind.ENDED})
  @PostMapping
  SessionResponse accept(
      @PathVariable String secret,
      @Valid @RequestBody AcceptRequest wanted,
      HttpServletRequest request,
      HttpServletResponse response) {
    People.Profile profile =
        new People.Profile(wanted.name(), wanted.initials(), wanted.mark().mark());
    SignedIn signedIn =
        joining.accept(secret, new Joining.Accept(profile, wanted.password()), desk.from(request));
    return desk.letIn(signedIn, request, response);
  }
}
