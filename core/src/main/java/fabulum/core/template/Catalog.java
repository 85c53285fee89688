package fabulum.core.template;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All placeholders of a business: those that everybody has, its own details and its own links. */
public final class Catalog implements Known {
  /** Values that every business has, by what they are of. */
  private static final Map<Whose, List<String>> EVERYWHERE =
      Map.of(
          Whose.CUSTOMER, List.of("first name", "name", "e-mail", "site"),
          Whose.STAFF, List.of("first name", "name"),
          Whose.LINE, List.of("name", "number"),
          Whose.SITE, List.of("name"),
          Whose.APPOINTMENT, List.of("what", "when", "day", "time", "place"),
          Whose.JOB, List.of("what", "number", "standing", "place"),
          Whose.HOURS, List.of("today", "tomorrow"),
          Whose.LINK, List.of());

  private final List<Placeholder> all;

  /**
   * Takes what is the business's own.
   *
   * @param details names of the customers' details
   * @param links names of its links
   */
  public Catalog(Collection<String> details, Collection<String> links) {
    List<Placeholder> listed = new ArrayList<>();
    for (Whose whose : Whose.values()) {
      EVERYWHERE.getOrDefault(whose, List.of()).forEach(name -> listed.add(plain(whose, name)));
      if (whose == Whose.CUSTOMER) {
        details.stream()
            .filter(Placeholder::isName)
            .forEach(name -> listed.add(plain(whose, name)));
      } else if (whose == Whose.LINK) {
        links.stream().filter(Placeholder::isName).forEach(name -> listed.add(plain(whose, name)));
      }
    }
    this.all = List.copyOf(listed);
  }

  private static Placeholder plain(Whose whose, String name) {
    return new Placeholder(whose, name, Optional.empty());
  }

  /** All of them, without fallbacks, grouped by what they are of. */
  public List<Placeholder> list() {
    return all;
  }

  @Override
  public Optional<String> find(Whose whose, String name) {
    return all.stream()
        .filter(one -> one.whose() == whose && one.name().equalsIgnoreCase(name))
        .map(Placeholder::name)
        .findFirst();
  }
}
