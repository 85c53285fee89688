package fabulum.server.history.web;

import fabulum.core.sentence.HistorySentence;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.history.History;
import fabulum.server.history.HistoryPage;
import fabulum.server.inbox.Place;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Looking for what was said. */
@RestController
class HistoryController {
  private static final int LONGEST_PAGE = 100;

  private final History history;

  HistoryController(History history) {
    this.history = history;
  }

  /**
   * One stretch of all texts, notes and events that a sentence means, the newest first.
   *
   * @param from where it begins, as the stretch before said; empty for at the newest
   */
  @Problems({Kind.CANNOT_SEARCH})
  @GetMapping("/api/history")
  HistoryPage history(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam(defaultValue = "") String sentence,
      @RequestParam(required = false) @Nullable String from,
      @RequestParam(defaultValue = "50") int limit) {
    Place place = from == null || from.isEmpty() ? null : Place.read(from);
    return history.page(read(sentence), place, Math.max(1, Math.min(limit, LONGEST_PAGE)), me.id());
  }

  /** Entries of one script that have some words, the newest first; at most 1,000. */
  @Problems({Kind.CANNOT_SEARCH})
  @GetMapping("/api/conversations/{id}/find")
  HistoryPage within(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @RequestParam String words) {
    if (words.length() > HistorySentence.LONGEST_MENTION) {
      throw Problem.fields(
          List.of(new FieldProblem("words", "Words have at most 300 characters.")));
    }
    return history.within(new ConversationId(id), words, me.id());
  }

  private static HistorySentence read(String sentence) {
    return Problem.reading("sentence", () -> HistorySentence.read(sentence));
  }
}
