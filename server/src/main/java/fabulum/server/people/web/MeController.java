package fabulum.server.people.web;

import fabulum.server.accounts.SignInView;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.people.Attendances;
import fabulum.server.people.People;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the signed-in person sets for themselves. */
@RestController
@RequestMapping("/api/me")
class MeController {
  private final People people;
  private final Attendances attendances;
  private final SignIns signIns;

  MeController(People people, Attendances attendances, SignIns signIns) {
    this.people = people;
    this.attendances = attendances;
    this.signIns = signIns;
  }

  /** Name, initials and mark. */
  record ProfileRequest(
      @NotNull(message = "A name is needed.") String name,
      @NotNull(message = "Initials are needed.") String initials,
      @Valid @NotNull(message = "Choose a mark.") MarkMessage mark) {

    People.Profile profile() {
      return new People.Profile(name, initials, mark.mark());
    }
  }

  /** Changes my name, initials and mark. */
  @PutMapping("/profile")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setProfile(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody ProfileRequest wanted) {
    people.setProfile(me.id(), wanted.profile());
  }

  /** How an inbox looks: group, order and sentence, as its address has them. */
  record InboxRequest(
      @NotNull(message = "Say how the inbox looks.")
          @Size(max = 1000, message = "This is too long to be kept.")
          String address) {}

  /** Keeps how my inbox looks, for when I come back to it. */
  @PutMapping("/inbox")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepInbox(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody InboxRequest wanted) {
    people.keepInbox(me.id(), wanted.address());
  }

  /** Staying where an act was done. */
  record StayRequest(boolean on) {}

  /** Whether I stay in a conversation that an act has moved on; else the next one opens. */
  @PutMapping("/stay")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setStays(@AuthenticationPrincipal SignedIn me, @RequestBody StayRequest wanted) {
    people.setStays(me.id(), wanted.on());
  }

  /**
   * How my texts are sent.
   *
   * @param pauseSeconds how long they wait before they leave, and can be taken back
   * @param looksFirst whether I look at each text before it is sent
   * @param enterSends whether Enter sends a text, else it makes a new line; empty for as before
   */
  record SendingRequest(
      @Min(value = 0, message = "0 to 20 seconds.") @Max(value = 20, message = "0 to 20 seconds.")
          int pauseSeconds,
      boolean looksFirst,
      @Nullable Boolean enterSends) {

    People.Sending sending(boolean enterSendsBefore) {
      boolean enter = enterSends == null ? enterSendsBefore : enterSends;
      return new People.Sending(Duration.ofSeconds(pauseSeconds), looksFirst, enter);
    }
  }

  /** Changes how my texts are sent. */
  @PutMapping("/sending")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setSending(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody SendingRequest wanted) {
    boolean before = people.pageChoices(me.id()).enterSends();
    people.setSending(me.id(), wanted.sending(before));
  }

  /** Single-letter keys. */
  record LetterKeysRequest(boolean on) {}

  /** Whether single letters are keys. */
  @PutMapping("/letter-keys")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setLetterKeys(@AuthenticationPrincipal SignedIn me, @RequestBody LetterKeysRequest wanted) {
    people.setLetterKeys(me.id(), wanted.on());
  }

  /** Being in, or away. */
  record InRequest(boolean in) {}

  /** Says that I am in, or away, whatever my timetable says. */
  @PutMapping("/in")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setIn(@AuthenticationPrincipal SignedIn me, @RequestBody InRequest wanted) {
    attendances.setByHand(me.id(), wanted.in());
  }

  /** My availability: timetable, absences and cover. */
  @GetMapping("/plan")
  PlanMessage plan(@AuthenticationPrincipal SignedIn me) {
    return PlanMessage.of(attendances.plan(me.id()));
  }

  /** Changes my availability. */
  @PutMapping("/plan")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setPlan(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody PlanMessage wanted) {
    attendances.setPlan(me.id(), wanted.plan());
  }

  /**
   * Where the person is signed in.
   *
   * @param here which of them is this one
   */
  record SignInsResponse(List<SignInView> signIns, long here) {}

  /** My sign-ins: where I am signed in, and tries under my name in the last 90 days. */
  @GetMapping("/sign-ins")
  SignInsResponse signIns(@AuthenticationPrincipal SignedIn me) {
    return new SignInsResponse(signIns.list(me.id()), me.signInId());
  }

  /** How many sign-ins were ended. */
  record EndedResponse(int ended) {}

  /** Ends all other sign-ins. */
  @DeleteMapping("/sign-ins")
  EndedResponse endOthers(@AuthenticationPrincipal SignedIn me) {
    return new EndedResponse(signIns.endAllBut(me.id(), me.signInId()));
  }
}
