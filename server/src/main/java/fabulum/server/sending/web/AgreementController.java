package fabulum.server.sending.web;

import fabulum.core.agreement.TextKind;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.sending.AgreementNotes;
import fabulum.server.sending.AgreementView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
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

/** What customers allow us to text. */
@RestController
@RequestMapping("/api/conversations/{id}/agreement")
class AgreementController {
  private final AgreementNotes agreements;

  AgreementController(AgreementNotes agreements) {
    this.agreements = agreements;
  }

  /**
   * What a customer said to a member of staff.
   *
   * @param given whether they agreed, or want no more texts
   * @param kinds to which kinds of text
   * @param lastDay the last day, on the line of the conversation, on which an agreement holds;
   *     empty for no end
   * @param words what they said, in a few words
   */
  record AgreementRequest(
      boolean given,
      @NotEmpty(message = "Say which kind of text it is about.") Set<TextKind> kinds,
      @Nullable LocalDate lastDay,
      @Nullable @Size(max = 400, message = "Use at most 400 characters.") String words) {}

  /** Says what the customer of a conversation allows, and since when. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @GetMapping
  AgreementView read(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return agreements.of(new ConversationId(id), me.id());
  }

  /**
   * What a number is.
   *
   * @param wrong whether it belongs to someone else than we thought
   */
  record NumberRequest(boolean wrong) {}

  /**
   * Marks the number of a conversation as wrong for its customer, so that nothing is sent there, or
   * as right.
   */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping("/number")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void markNumber(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody NumberRequest wanted) {
    agreements.markNumber(new ConversationId(id), wanted.wrong(), me.id());
  }

  /** Notes what the customer of a conversation said about our texts. It stays in the history. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody AgreementRequest said) {
    agreements.note(
        new ConversationId(id),
        new AgreementNotes.Said(said.given(), said.kinds(), said.lastDay(), said.words()),
        me.id());
  }
}
