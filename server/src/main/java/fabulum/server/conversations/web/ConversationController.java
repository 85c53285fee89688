package fabulum.server.conversations.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ActResponse;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Moment;
import fabulum.server.conversations.Shown;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.topics.TopicId;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finishing, setting aside, topics. */
@RestController
@RequestMapping("/api/conversations/{id}")
class ConversationController {
  private final Acts acts;

  ConversationController(Acts acts) {
    this.acts = acts;
  }

  /**
   * Putting out of sight.
   *
   * @param shown what the page shows: when there is something new since, it is refused and says so;
   *     empty to do it whatever stands there
   */
  record PutAwayRequest(@Nullable Shown shown) {}

  /**
   * Until when.
   *
   * @param at for {@link Moment.Kind#AT}
   * @param shown as for {@link PutAwayRequest}
   */
  record MomentRequest(
      @NotNull(message = "Choose a time.") Moment.Kind kind,
      @Nullable Instant at,
      @Nullable Shown shown) {}

  /** Marks a conversation done, and keeps how much working time passed since it was opened. */
  @Problems({Kind.NEW_MEANWHILE})
  @PostMapping("/done")
  ActResponse finish(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody(required = false) @Nullable PutAwayRequest wanted) {
    return ActResponse.of(acts.finish(new ConversationId(id), shown(wanted), me.id()));
  }

  /** Opens a conversation again that is done. */
  @PostMapping("/reopen")
  ActResponse reopen(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return ActResponse.of(acts.reopen(new ConversationId(id), me.id()));
  }

  /** The moments until which a conversation can be set aside, by its line's calendar. */
  @GetMapping("/moments")
  Moment.Offer moments(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return acts.moments(new ConversationId(id), me.id());
  }

  /**
   * What is understood of a time as people type it, such as "Thu 14:30", "in 3 h" or "Friday at
   * opening", by the clocks and opening hours of the line.
   */
  @GetMapping("/moments/read")
  Moment.TypedTime readMoment(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String words) {
    return acts.readMoment(new ConversationId(id), words, me.id());
  }

  /**
   * Sets a conversation aside until a moment, or until the customer writes, whichever comes first.
   */
  @Problems({Kind.NOT_OPEN, Kind.NEW_MEANWHILE})
  @PostMapping("/set-aside")
  ActResponse setAside(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody MomentRequest until) {
    Moment moment = new Moment(until.kind(), until.at());
    return ActResponse.of(acts.setAside(new ConversationId(id), moment, until.shown(), me.id()));
  }

  /** Takes up a conversation again that is set aside. */
  @PostMapping("/take-up")
  ActResponse takeUp(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return ActResponse.of(acts.takeUp(new ConversationId(id), me.id()));
  }

  /** Says that what the customer wrote last needs no answer: it is their turn. */
  @Problems({Kind.NEW_MEANWHILE})
  @PostMapping("/no-answer-needed")
  ActResponse needsNoAnswer(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody(required = false) @Nullable PutAwayRequest wanted) {
    return ActResponse.of(acts.needsNoAnswer(new ConversationId(id), shown(wanted), me.id()));
  }

  /** Leaves a text that was not delivered as it is. */
  @PostMapping("/texts/{text}/leave")
  ActResponse leave(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long text) {
    return ActResponse.of(acts.leave(new ConversationId(id), new EntryId(text), me.id()));
  }

  /** Gives a conversation a topic; the shortest promise of its topics holds. */
  @PutMapping("/topics/{topic}")
  ActResponse addTopic(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long topic) {
    return ActResponse.of(acts.addTopic(new ConversationId(id), new TopicId(topic), me.id()));
  }

  /** Takes a topic off a conversation. */
  @DeleteMapping("/topics/{topic}")
  ActResponse removeTopic(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long topic) {
    return ActResponse.of(acts.removeTopic(new ConversationId(id), new TopicId(topic), me.id()));
  }

  private static @Nullable Shown shown(@Nullable PutAwayRequest wanted) {
    return wanted == null ? null : wanted.shown();
  }
}
