package fabulum.server.templates;

import java.util.Set;

/**
 * A template as it stands.
 *
 * @param shortName what is typed for it, with Tab behind it; empty for none
 * @param words with placeholders, as {@code docs/templates.md} has them
 * @param folder empty for none
 * @param language ISO 639-1; empty for any
 * @param guarded whether only leads may change it
 * @param retired whether it is kept, but offered nowhere
 * @param lines on which it is offered; with {@code sites} and {@code teams} empty too, everywhere
 * @param sites on whose lines it is offered
 * @param teams on whose lines it is offered
 * @param files of the shelf that go with it
 * @param favourite of the person who asks
 * @param mayChange whether the person who asks may change it
 */
public record TemplateView(
    long id,
    String title,
    String shortName,
    String words,
    String folder,
    String language,
    boolean guarded,
    boolean retired,
    long version,
    Set<Long> lines,
    Set<Long> sites,
    Set<Long> teams,
    Set<Long> files,
    boolean favourite,
    boolean mayChange) {
  public TemplateView {
    lines = Set.copyOf(lines);
    sites = Set.copyOf(sites);
    teams = Set.copyOf(teams);
    files = Set.copyOf(files);
  }
}
