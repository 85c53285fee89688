package fabulum.server.templates.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem;
import fabulum.server.templates.OfferedTemplate;
import fabulum.server.templates.OfferedTemplates;
import fabulum.server.templates.SuggestedTemplate;
import fabulum.server.templates.Suggestions;
import fabulum.server.templates.TemplateSamples;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Templates offered in a conversation, filled for it. */
@RestController
@RequestMapping("/api/conversations/{id}")
class OfferedController {
  private final OfferedTemplates offered;
  private final TemplateSamples samples;
  private final Suggestions suggestions;

  OfferedController(OfferedTemplates offered, TemplateSamples samples, Suggestions suggestions) {
    this.offered = offered;
    this.suggestions = suggestions;
    this.samples = samples;
  }

  /** Templates for a conversation, filled; with words those that have them, the best first. */
  @GetMapping("/templates")
  OfferedTemplates.Page offered(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "0") int from) {
    return offered.find(new ConversationId(id), words, from, me.id());
  }

  /** At most three templates that probably answer what the customer asked, filled. */
  @GetMapping("/suggestions")
  List<SuggestedTemplate> suggestions(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return suggestions.list(new ConversationId(id), me.id());
  }

  /** Words that were written in a conversation. */
  record WordsToKeep(
      @NotNull(message = "Words are needed.") @Size(max = 20_000, message = "That is too long.")
          String words) {}

  /**
   * Words made into a template.
   *
   * @param words with placeholders where something known of the customer stood
   */
  record TemplateWords(String words) {}

  /** Makes words that were written in a conversation into a template's. Nothing is kept yet. */
  @PostMapping("/templates/made-from")
  TemplateWords madeFrom(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody WordsToKeep written) {
    return new TemplateWords(samples.unfilled(new ConversationId(id), written.words(), me.id()));
  }

  /** What is typed for each template of a conversation, with Tab behind it. */
  @GetMapping("/templates/short-names")
  List<String> shortNames(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return offered.listShortNames(new ConversationId(id), me.id());
  }

  /** The template that a short name stands for, filled. */
  @GetMapping("/templates/named/{shortName}")
  OfferedTemplate named(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable String shortName) {
    return offered
        .named(new ConversationId(id), shortName, me.id())
        .orElseThrow(() -> Problem.notFound("template"));
  }
}
