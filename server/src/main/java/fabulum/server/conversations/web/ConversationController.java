package fabulum.server.conversations.web;

import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.HandTo;
import fabulum.server.conversations.Moment;
import fabulum.server.conversations.NoteBefore;
import fabulum.server.conversations.Notes;
import fabulum.server.conversations.Owning;
import fabulum.server.conversations.Shown;
import fabulum.server.conversations.UndoStep;
import fabulum.server.conversations.Undoing;
import fabulum.server.people.SignedIn;
import fabulum.server.people.StaffId;
import fabulum.server.people.TeamId;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.topics.TopicId;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What one does with a conversation. */
@RestController
@RequestMapping("/api/conversations/{id}")
class ConversationController {
  private final Owning owning;
  private final Notes notes;
  private final Acts acts;
  private final Undoing undoing;

  ConversationController(Owning owning, Notes notes, Acts acts, Undoing undoing) {
    this.owning = owning;
    this.notes = notes;
    this.acts = acts;
    this.undoing = undoing;
  }

  /**
   * A note.
   *
   * @param reference made by the caller, once for this note: adding it again adds nothing
   */
  record NoteRequest(
      @NotBlank(message = "There are no words in it yet.")
          @Size(max = 1600, message = "A note has at most 1600 characters.")
          String words,
      @NotNull(message = "A reference is needed.")
          @Pattern(
              regexp = "[A-Za-z0-9-]{8,64}",
              message = "A reference has 8 to 64 letters, digits and hyphens.")
          String reference) {}

  record NoteWords(
      @NotBlank(message = "There are no words in it yet.")
          @Size(max = 1600, message = "A note has at most 1600 characters.")
          String words) {}

  @PostMapping("/notes")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NoteRequest note) {
    notes.add(new ConversationId(id), note.words(), note.reference(), me.id());
  }

  @PutMapping("/notes/{note}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void rewriteNote(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long note,
      @Valid @RequestBody NoteWords wanted) {
    notes.rewrite(new ConversationId(id), new EntryId(note), wanted.words(), me.id());
  }

  @DeleteMapping("/notes/{note}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void withdrawNote(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long note) {
    notes.withdraw(new ConversationId(id), new EntryId(note), me.id());
  }

  /** What a note said before. */
  @GetMapping("/notes/{note}/trace")
  List<NoteBefore> trace(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long note) {
    return notes.trace(new ConversationId(id), new EntryId(note), me.id());
  }

  /**
   * What came of an act.
   *
   * @param undo names it for taking it back; empty when it was so already
   */
  record ActResponse(@Nullable String undo) {}

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
      @NotNull(message = "Say until when.") Moment.Kind kind,
      @Nullable Instant at,
      @Nullable Shown shown) {}

  /**
   * Taking.
   *
   * @param shown whose it was where one looked, 0 for nobody's; empty to take it whoever has it
   */
  record TakeRequest(@Nullable Long shown) {}

  @PostMapping("/take")
  ActResponse take(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody(required = false) @Nullable TakeRequest wanted) {
    Long shown = wanted == null ? null : wanted.shown();
    return done(me, owning.take(new ConversationId(id), shown, me.id()));
  }

  /**
   * Handing over.
   *
   * @param person to whom; or
   * @param team to which team
   * @param why in a few words, kept as a note
   */
  record HandOverRequest(@Nullable Long person, @Nullable Long team, @Nullable String why) {

    HandTo to() {
      if ((person == null) == (team == null)) {
        throw Problem.fields(List.of(new FieldProblem("to", "Say to whom: a person, or a team.")));
      }
      return new HandTo(
          person == null ? null : new StaffId(person), team == null ? null : new TeamId(team));
    }
  }

  @PostMapping("/hand-over")
  ActResponse handOver(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody HandOverRequest wanted) {
    String why = wanted.why() == null ? "" : wanted.why();
    return done(me, owning.handOver(new ConversationId(id), wanted.to(), why, me.id()));
  }

  /** Colleagues and teams it can be handed to. */
  @GetMapping("/hand-to")
  Owning.Receivers receivers(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return owning.receivers(new ConversationId(id), me.id());
  }

  @PostMapping("/let-go")
  ActResponse letGo(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return done(me, owning.letGo(new ConversationId(id), me.id()));
  }

  @PostMapping("/done")
  ActResponse finish(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody(required = false) @Nullable PutAwayRequest wanted) {
    return done(me, acts.finish(new ConversationId(id), shown(wanted), me.id()));
  }

  @PostMapping("/reopen")
  ActResponse reopen(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return done(me, acts.reopen(new ConversationId(id), me.id()));
  }

  @GetMapping("/moments")
  Moment.Offer moments(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return acts.moments(new ConversationId(id), me.id());
  }

  @PostMapping("/set-aside")
  ActResponse setAside(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody MomentRequest until) {
    Moment moment = new Moment(until.kind(), until.at());
    return done(me, acts.setAside(new ConversationId(id), moment, until.shown(), me.id()));
  }

  @PostMapping("/take-up")
  ActResponse takeUp(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return done(me, acts.takeUp(new ConversationId(id), me.id()));
  }

  @PostMapping("/no-answer-needed")
  ActResponse needsNoAnswer(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody(required = false) @Nullable PutAwayRequest wanted) {
    return done(me, acts.needsNoAnswer(new ConversationId(id), shown(wanted), me.id()));
  }

  /** Leaves a text that was not delivered as it is. */
  @PostMapping("/texts/{text}/leave")
  ActResponse leave(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long text) {
    return done(me, acts.leave(new ConversationId(id), new EntryId(text), me.id()));
  }

  @PutMapping("/topics/{topic}")
  ActResponse addTopic(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long topic) {
    return done(me, acts.addTopic(new ConversationId(id), new TopicId(topic), me.id()));
  }

  @DeleteMapping("/topics/{topic}")
  ActResponse removeTopic(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long topic) {
    return done(me, acts.removeTopic(new ConversationId(id), new TopicId(topic), me.id()));
  }

  private static @Nullable Shown shown(@Nullable PutAwayRequest wanted) {
    return wanted == null ? null : wanted.shown();
  }

  private ActResponse done(SignedIn me, Optional<UndoStep> step) {
    return new ActResponse(undoing.keep(me.id(), step));
  }
}
