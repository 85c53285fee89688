package fabulum.server.people.web;

import fabulum.core.access.Act;
import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.people.Attendances;
import fabulum.server.people.Everybody;
import fabulum.server.people.Invitations;
import fabulum.server.people.PeopleSetUp;
import fabulum.server.people.PersonSetup;
import fabulum.server.people.PersonView;
import fabulum.server.platform.PageSettings;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What leads decide of people and teams. */
@RestController
@RequestMapping("/api/setup")
class PeopleSetUpController {
  private final PeopleSetUp setUp;
  private final Everybody everybody;
  private final Invitations invitations;
  private final Attendances attendances;
  private final Permits permits;
  private final PageSettings page;

  PeopleSetUpController(
      PeopleSetUp setUp,
      Everybody everybody,
      Invitations invitations,
      Attendances attendances,
      Permits permits,
      PageSettings page) {
    this.setUp = setUp;
    this.everybody = everybody;
    this.invitations = invitations;
    this.attendances = attendances;
    this.permits = permits;
    this.page = page;
  }

  /**
   * A person's role, permissions and teams.
   *
   * @param secondLook whether their texts wait for a colleague's yes; empty for as before
   */
  record PersonRequest(
      @NotNull(message = "Choose a role.") Role role,
      @Nullable Set<Permission> permissions,
      @Nullable Set<Long> teams,
      @Nullable Integer limit,
      @Nullable Boolean secondLook) {

    PersonSetup setup() {
      return new PersonSetup(
          role,
          permissions == null ? Set.of() : permissions,
          teams == null ? Set.of() : teams,
          limit,
          secondLook);
    }
  }

  /** Who is invited, and with what rights. */
  record InviteRequest(
      @NotNull(message = "A name is needed.") String name,
      @NotNull(message = "An e-mail address is needed.") String email,
      @Valid @NotNull(message = "Say what they may.") PersonRequest setup) {}

  /** What was made. */
  record MadeResponse(long id) {}

  /**
   * A person who was asked in.
   *
   * @param link to be brought to them by hand, where no mail server is set up
   */
  record InvitedResponse(long id, @Nullable String link) {
    static InvitedResponse of(Invitations.Invited invited) {
      return new InvitedResponse(invited.id().value(), invited.link());
    }
  }

  /** A team. */
  record TeamRequest(@NotNull(message = "A name is needed.") String name) {}

  /** Everybody with role, permissions and teams; for leads. */
  @GetMapping("/people")
  List<PersonView> people(@AuthenticationPrincipal SignedIn me) {
    return everybody.list(me.id());
  }

  /** Invites a colleague by mail; for leads. */
  @PostMapping("/people")
  InvitedResponse invite(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody InviteRequest wanted) {
    Invitations.Invite invite =
        new Invitations.Invite(wanted.name(), wanted.email(), wanted.setup().setup());
    return InvitedResponse.of(invitations.invite(invite, me.id(), address()));
  }

  /** Where the application is found: as set, else where this request found it. */
  private String address() {
    return page.address() == null
        ? ServletUriComponentsBuilder.fromCurrentContextPath().toUriString()
        : page.address();
  }

  /** Invites someone again; the link before stops working. */
  @Problems({Kind.ENDED, Kind.CHANGED_MEANWHILE})
  @PostMapping("/people/{id}/invitation")
  InvitedResponse inviteAgain(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return InvitedResponse.of(invitations.again(new StaffId(id), me.id(), address()));
  }

  /** Changes a person's role, permissions, teams and limit; for leads. */
  @Problems({Kind.LAST_LEAD, Kind.CHANGED_MEANWHILE})
  @PutMapping("/people/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PersonRequest wanted) {
    setUp.change(new StaffId(id), wanted.setup(), me.id());
  }

  /** Reactivates a person who had left; for leads. */
  @PostMapping("/people/{id}/on")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void switchOn(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    setUp.switchOn(new StaffId(id), me.id());
  }

  /** A person's availability; for leads. */
  @GetMapping("/people/{id}/plan")
  PlanMessage plan(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    permits.require(me.id(), Act.LEAD);
    return PlanMessage.of(attendances.plan(new StaffId(id)));
  }

  /** Changes a person's availability; for leads. */
  @PutMapping("/people/{id}/plan")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setPlan(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody PlanMessage wanted) {
    permits.require(me.id(), Act.LEAD);
    attendances.setPlan(new StaffId(id), wanted.plan());
  }

  /** Adds a team; for leads. */
  @PostMapping("/teams")
  MadeResponse addTeam(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody TeamRequest wanted) {
    return new MadeResponse(setUp.addTeam(wanted.name(), me.id()).value());
  }

  /** Gives a team another name; for leads. */
  @PutMapping("/teams/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void renameTeam(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody TeamRequest wanted) {
    setUp.renameTeam(new TeamId(id), wanted.name(), me.id());
  }
}
