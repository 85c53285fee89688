package fabulum.server.conversations.web;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.people.SignedIn;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What one does with a conversation. */
@RestController
@RequestMapping("/api/conversations/{id}")
class ConversationController {
  private final Conversations conversations;

  ConversationController(Conversations conversations) {
    this.conversations = conversations;
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

  @PostMapping("/notes")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody NoteRequest note) {
    conversations.note(new ConversationId(id), note.words(), note.reference(), me.id());
  }

  @PostMapping("/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    conversations.take(new ConversationId(id), me.id());
  }

  @PostMapping("/let-go")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void letGo(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    conversations.letGo(new ConversationId(id), me.id());
  }

  @PostMapping("/done")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void finish(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    conversations.finish(new ConversationId(id), me.id());
  }

  @PostMapping("/reopen")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void reopen(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    conversations.reopen(new ConversationId(id), me.id());
  }
}
