package fabulum.server.sentences.web;

import fabulum.core.conversation.Group;
import fabulum.server.accounts.SignedIn;
import fabulum.server.inbox.ListOrder;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.sentences.SavedIn;
import fabulum.server.sentences.SavedSentences;
import fabulum.server.sentences.SavedSentences.NewSentence;
import fabulum.server.sentences.SentenceView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
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

/** Saved sentences. */
@RestController
@RequestMapping("/api/sentences")
class SentenceController {
  private final SavedSentences sentences;

  SentenceController(SavedSentences sentences) {
    this.sentences = sentences;
  }

  /**
   * A sentence to be saved.
   *
   * @param said as addresses carry it
   * @param place where it is shown; empty for the inbox
   * @param group in the inbox; empty for a sentence of History
   * @param order in the inbox; empty for a sentence of History
   * @param teamId for that team; empty for the signed-in person
   */
  record SaveRequest(
      @NotNull(message = "Give it a name.") String name,
      @NotNull(message = "Which sentence?") String said,
      @Nullable SavedIn place,
      @Nullable Group group,
      @Nullable ListOrder order,
      @Nullable Long teamId) {}

  /** What was saved. */
  record SaveResponse(long id) {}

  /** My saved sentences and my teams', each with how many conversations it means now. */
  @GetMapping
  List<SentenceView> list(@AuthenticationPrincipal SignedIn me) {
    return sentences.list(me.id());
  }

  /** Saves a sentence under a name, for me or for a team. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping
  SaveResponse save(@AuthenticationPrincipal SignedIn me, @Valid @RequestBody SaveRequest wanted) {
    NewSentence sentence =
        new NewSentence(
            wanted.name(),
            wanted.said(),
            wanted.place() == null ? SavedIn.INBOX : wanted.place(),
            wanted.group(),
            wanted.order(),
            wanted.teamId());
    return new SaveResponse(sentences.save(sentence, me.id()));
  }

  /** Whether I want a report by mail. */
  record MailRequest(@NotNull(message = "Yes or no?") Boolean mailed) {}

  /** Sends me the report of a saved sentence of mine by mail each Monday, or no more. */
  @PutMapping("/{id}/mail")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void mail(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody MailRequest wanted) {
    sentences.mail(id, wanted.mailed(), me.id());
  }

  /** Removes a saved sentence. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    sentences.drop(id, me.id());
  }
}
