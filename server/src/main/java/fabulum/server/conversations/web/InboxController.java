package fabulum.server.conversations.web;

import fabulum.core.conversation.Group;
import fabulum.core.sentence.Sentence;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.ConversationView;
import fabulum.server.conversations.DossierView;
import fabulum.server.conversations.Inbox;
import fabulum.server.conversations.InboxCounts;
import fabulum.server.conversations.InboxPage;
import fabulum.server.conversations.InboxQuery;
import fabulum.server.conversations.ListOrder;
import fabulum.server.conversations.Paper;
import fabulum.server.conversations.ScriptPage;
import fabulum.server.conversations.Sentences;
import fabulum.server.people.SignedIn;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Reading the inbox, and keeping drafts. */
@RestController
@RequestMapping("/api/conversations")
class InboxController {
  private final Inbox inbox;

  InboxController(Inbox inbox) {
    this.inbox = inbox;
  }

  /**
   * Words begun.
   *
   * @param seen the newest entry that stood there when they were begun
   * @param reference under which they will be sent
   * @param again the text that was not delivered and that they replace
   */
  record DraftRequest(
      @NotNull(message = "Words are needed; empty ones throw the draft away.")
          @Size(max = 4000, message = "A draft has at most 4000 characters.")
          String words,
      @Nullable Long seen,
      @Nullable
          @Pattern(
              regexp = "[A-Za-z0-9-]{8,64}",
              message = "A reference has 8 to 64 letters, digits and hyphens.")
          String reference,
      @Nullable Long again) {

    Inbox.Draft on(Paper paper) {
      return new Inbox.Draft(paper, words, seen, reference, again);
    }
  }

  @GetMapping
  InboxPage page(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam Group group,
      @RequestParam(required = false) @Nullable ListOrder order,
      @RequestParam(defaultValue = "") String sentence,
      @RequestParam(required = false) @Nullable String from,
      @RequestParam(defaultValue = "50") int limit) {
    ListOrder chosen = order == null ? ListOrder.usual(group) : order;
    Sentence said = Sentences.read(sentence);
    return inbox.page(new InboxQuery(group, chosen, said, me.id()), from, bounded(limit));
  }

  @GetMapping("/counts")
  InboxCounts counts(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return inbox.counts(Sentences.read(sentence), me.id());
  }

  @GetMapping("/ribbon")
  List<ConversationView> ribbon(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return inbox.ribbon(Sentences.read(sentence), me.id());
  }

  @GetMapping("/jump")
  List<ConversationView> jump(@AuthenticationPrincipal SignedIn me, @RequestParam String words) {
    return inbox.jump(words, me.id());
  }

  @GetMapping("/{id}")
  DossierView dossier(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return inbox.dossier(new ConversationId(id), me.id());
  }

  @GetMapping("/{id}/script")
  ScriptPage script(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String before,
      @RequestParam(defaultValue = "50") int limit) {
    return inbox.script(new ConversationId(id), before, bounded(limit), me.id());
  }

  @PutMapping("/{id}/drafts/{paper}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepDraft(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable Paper paper,
      @Valid @RequestBody DraftRequest draft) {
    inbox.keepDraft(new ConversationId(id), draft.on(paper), me.id());
  }

  private static int bounded(int limit) {
    return Math.max(1, Math.min(limit, Inbox.LONGEST_PAGE));
  }
}
