package fabulum.server.templates;

import java.util.Set;

/**
 * A template as a person wants it.
 *
 * @param title 1 to 80 characters
 * @param shortName empty for none
 * @param words with placeholders, as {@code docs/templates.md} has them
 * @param folder empty for none
 * @param language ISO 639-1, such as {@code es}; empty for any
 * @param guarded whether only leads may change it
 * @param lines on which it is offered; with {@code sites} and {@code teams} empty too, everywhere
 * @param sites on whose lines it is offered
 * @param teams on whose lines it is offered
 * @param files of the shelf that go with it
 */
public record TemplateDraft(
    String title,
    String shortName,
    String words,
    String folder,
    String language,
    boolean guarded,
    boolean retired,
    Set<Long> lines,
    Set<Long> sites,
    Set<Long> teams,
    Set<Long> files) {
  public TemplateDraft {
    lines = Set.copyOf(lines);
    sites = Set.copyOf(sites);
    teams = Set.copyOf(teams);
    files = Set.copyOf(files);
  }

  /** The same with other files. */
  TemplateDraft with(Set<Long> others) {
    return new TemplateDraft(
        title, shortName, words, folder, language, guarded, retired, lines, sites, teams, others);
  }
}
