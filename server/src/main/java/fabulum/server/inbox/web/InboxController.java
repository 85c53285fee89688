package fabulum.server.inbox.web;

import fabulum.core.conversation.Group;
import fabulum.core.sentence.Sentence;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.DossierView;
import fabulum.server.inbox.Dossiers;
import fabulum.server.inbox.Elsewhere;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.InboxCounts;
import fabulum.server.inbox.InboxPage;
import fabulum.server.inbox.InboxQuery;
import fabulum.server.inbox.ListOrder;
import fabulum.server.inbox.ScriptPage;
import fabulum.server.inbox.Scripts;
import fabulum.server.inbox.Sentences;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reading the inbox. */
@RestController
@RequestMapping("/api/conversations")
class InboxController {
  private final Inbox inbox;
  private final Scripts scripts;
  private final Dossiers dossiers;
  private final Elsewhere elsewhere;

  InboxController(Inbox inbox, Scripts scripts, Dossiers dossiers, Elsewhere elsewhere) {
    this.elsewhere = elsewhere;
    this.inbox = inbox;
    this.scripts = scripts;
    this.dossiers = dossiers;
  }

  /** One stretch of the list: the conversations of a group that a sentence means, in an order. */
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

  /** Which of some conversations a list shows, where they stand in it, and how they are now. */
  @GetMapping("/among")
  InboxPage among(
      @AuthenticationPrincipal SignedIn me,
      @RequestParam Group group,
      @RequestParam(required = false) @Nullable ListOrder order,
      @RequestParam(defaultValue = "") String sentence,
      @RequestParam List<Long> ids) {
    if (ids.size() > Inbox.LONGEST_PAGE) {
      throw Problem.fields(
          List.of(new FieldProblem("ids", "At most 100 can be asked about at once.")));
    }
    ListOrder chosen = order == null ? ListOrder.usual(group) : order;
    InboxQuery query = new InboxQuery(group, chosen, Sentences.read(sentence), me.id());
    return inbox.among(query, ids.stream().map(ConversationId::new).toList());
  }

  /** How many conversations a sentence means in each group. */
  @GetMapping("/counts")
  InboxCounts counts(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return inbox.counts(Sentences.read(sentence), me.id());
  }

  /**
   * Everything on our turn that a sentence means, for the time ribbon; at most 500, the most urgent
   * first.
   */
  @GetMapping("/ribbon")
  List<ConversationView> ribbon(
      @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "") String sentence) {
    return inbox.ribbon(Sentences.read(sentence), me.id());
  }

  /**
   * Up to 8 conversations whose customer, number or details contain the words, the newest first.
   */
  @GetMapping("/jump")
  List<ConversationView> jump(@AuthenticationPrincipal SignedIn me, @RequestParam String words) {
    return inbox.jump(words, me.id());
  }

  /** What a person needs to know before answering, and what they have begun to write. */
  @GetMapping("/{id}")
  DossierView dossier(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return dossiers.of(new ConversationId(id), me.id());
  }

  /**
   * The other conversations with the same customer or number, on all lines a person sees; the one
   * with the newest text first, at most 100.
   */
  @GetMapping("/{id}/elsewhere")
  List<ConversationView> elsewhere(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return elsewhere.of(new ConversationId(id), me.id());
  }

  /**
   * One stretch of the script, the newest unless said otherwise.
   *
   * @param to the id of an entry: all from the newest down to it and a little before
   */
  @GetMapping("/{id}/script")
  ScriptPage script(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String before,
      @RequestParam(required = false) @Nullable Long to,
      @RequestParam(defaultValue = "50") int limit) {
    if (to != null && (before == null || before.isEmpty())) {
      return scripts.pageTo(new ConversationId(id), new EntryId(to), me.id());
    }
    return scripts.page(new ConversationId(id), before, bounded(limit), me.id());
  }

  private static int bounded(int limit) {
    return Math.max(1, Math.min(limit, Inbox.LONGEST_PAGE));
  }
}
