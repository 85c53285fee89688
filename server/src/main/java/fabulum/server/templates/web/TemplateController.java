package fabulum.server.templates.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.templates.Placeholders;
import fabulum.server.templates.Placeholders.PlaceholderView;
import fabulum.server.templates.TemplateDraft;
import fabulum.server.templates.TemplateId;
import fabulum.server.templates.TemplateSamples;
import fabulum.server.templates.TemplateUsage;
import fabulum.server.templates.TemplateView;
import fabulum.server.templates.Templates;
import fabulum.server.templates.VersionView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The templates' book. */
@RestController
@RequestMapping("/api/templates")
class TemplateController {
  private static final String TOO_LONG = "That is too long.";

  private final Templates templates;
  private final TemplateSamples samples;
  private final TemplateUsage usage;
  private final Placeholders placeholders;

  TemplateController(
      Templates templates,
      TemplateSamples samples,
      TemplateUsage usage,
      Placeholders placeholders) {
    this.templates = templates;
    this.samples = samples;
    this.usage = usage;
    this.placeholders = placeholders;
  }

  /**
   * A template as I want it.
   *
   * @param shortName what is typed for it, with Tab behind it; empty for none
   * @param words with placeholders
   * @param folder empty for none
   * @param language ISO 639-1; empty for any
   * @param guarded whether only leads may change it
   * @param lines on which it is offered; with {@code sites} and {@code teams} empty too, everywhere
   * @param sites on whose lines it is offered
   * @param teams on whose lines it is offered
   * @param files of the shelf that go with it
   */
  record TemplateRequest(
      @NotNull(message = "Give it a title.") @Size(max = 400, message = TOO_LONG) String title,
      @Nullable @Size(max = 400, message = TOO_LONG) String shortName,
      @NotNull(message = "Write something first.") @Size(max = 20_000, message = TOO_LONG)
          String words,
      @Nullable @Size(max = 400, message = TOO_LONG) String folder,
      @Nullable @Size(max = 40, message = TOO_LONG) String language,
      boolean guarded,
      boolean retired,
      @Nullable Set<Long> lines,
      @Nullable Set<Long> sites,
      @Nullable Set<Long> teams,
      @Nullable Set<Long> files) {
    TemplateDraft draft() {
      return new TemplateDraft(
          title,
          shortName == null ? "" : shortName,
          words,
          folder == null ? "" : folder,
          language == null ? "" : language,
          guarded,
          retired,
          lines == null ? Set.of() : lines,
          sites == null ? Set.of() : sites,
          teams == null ? Set.of() : teams,
          files == null ? Set.of() : files);
    }
  }

  /** All templates that I see, also retired ones. */
  @GetMapping
  List<TemplateView> templates(@AuthenticationPrincipal SignedIn me) {
    return templates.list(me.id());
  }

  /** The placeholders that can stand in a template. */
  @GetMapping("/placeholders")
  List<PlaceholderView> placeholders() {
    return placeholders.list();
  }

  /** One of the templates that I see. */
  @GetMapping("/{id}")
  TemplateView template(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return templates.get(new TemplateId(id), me.id());
  }

  /** Writes a new template. */
  @PostMapping
  TemplateView addTemplate(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody TemplateRequest wanted) {
    return templates.get(templates.add(wanted.draft(), me.id()), me.id());
  }

  /** Changes a template, retires it or brings it back; earlier versions are kept. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping("/{id}")
  TemplateView changeTemplate(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam long seen,
      @Valid @RequestBody TemplateRequest wanted) {
    templates.change(new TemplateId(id), wanted.draft(), seen, me.id());
    return templates.get(new TemplateId(id), me.id());
  }

  /** How a template read in each version, the latest first. */
  @GetMapping("/{id}/versions")
  List<VersionView> versions(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return templates.listVersions(new TemplateId(id), me.id());
  }

  /** Lets a template read as it did in an earlier version. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping("/{id}/versions/{version}/bring-back")
  TemplateView bringBackVersion(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @PathVariable long version,
      @RequestParam long seen) {
    templates.bringBack(new TemplateId(id), version, seen, me.id());
    return templates.get(new TemplateId(id), me.id());
  }

  /** Whether a template is one of my favourites. */
  record FavouriteRequest(boolean favourite) {}

  /** Puts a template among my favourites, or takes it out. */
  @PutMapping("/{id}/favourite")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setFavourite(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody FavouriteRequest wanted) {
    templates.setFavourite(new TemplateId(id), wanted.favourite(), me.id());
  }

  /** How a template is used, as far as I see the conversations. */
  @GetMapping("/{id}/usage")
  TemplateUsage.Usage usage(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return usage.of(new TemplateId(id), me.id());
  }

  /** What became of a template since a version of it was put into a text. */
  @GetMapping("/{id}/since/{version}")
  TemplateSamples.Since since(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long version) {
    return samples.since(new TemplateId(id), version, me.id());
  }

  /** Words of a template. */
  record SampleRequest(
      @NotNull(message = "Words are needed.") @Size(max = 20_000, message = TOO_LONG)
          String words) {}

  /** How words of a template look for customers, and what is wrong with them. */
  @PostMapping("/sample")
  TemplateSamples.Sample sample(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody SampleRequest wanted) {
    return samples.sample(wanted.words(), me.id());
  }
}
