package fabulum.server.templates.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem;
import fabulum.server.templates.OfferedTemplate;
import fabulum.server.templates.OfferedTemplates;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Templates offered in a conversation, filled for it. */
@RestController
@RequestMapping("/api/conversations/{id}/templates")
class OfferedController {
  private final OfferedTemplates offered;

  OfferedController(OfferedTemplates offered) {
    this.offered = offered;
  }

  /** Templates for a conversation, filled; with words those that have them, the best first. */
  @GetMapping
  OfferedTemplates.Page offered(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "0") int from) {
    return offered.find(new ConversationId(id), words, from, me.id());
  }

  /** What is typed for each template of a conversation, with Tab behind it. */
  @GetMapping("/short-names")
  List<String> shortNames(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return offered.listShortNames(new ConversationId(id), me.id());
  }

  /** The template that a short name stands for, filled. */
  @GetMapping("/named/{shortName}")
  OfferedTemplate named(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable String shortName) {
    return offered
        .named(new ConversationId(id), shortName, me.id())
        .orElseThrow(() -> Problem.notFound("template"));
  }
}
