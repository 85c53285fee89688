package fabulum.core.template;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All placeholders of a business: those that everybody has, its own details and its own links. */
public final class Catalog implements Known {
  /** Values that every business has, by what they are of. */
  private static final Map<ValueFrom, List<String>> EVERYWHERE =
      Map.of(
          ValueFrom.CUSTOMER, List.of("first name", "name", "e-mail", "site"),
          ValueFrom.STAFF, List.of("first name", "name"),
          ValueFrom.LINE, List.of("name", "number"),
          ValueFrom.SITE, List.of("name"),
          ValueFrom.APPOINTMENT, List.of("what", "when", "day", "time", "place"),
          ValueFrom.JOB, List.of("what", "number", "standing", "place"),
          ValueFrom.HOURS, List.of("today", "tomorrow"),
          ValueFrom.LINK, List.of());

  private final List<Placeholder> all;

  /**
   * Takes what is the business's own.
   *
   * @param details names of the customers' details
   * @param links names of its links
   */
  public Catalog(Collection<String> details, Collection<String> links) {
    List<Placeholder> listed = new ArrayList<>();
    for (ValueFrom whose : ValueFrom.values()) {
      EVERYWHERE.getOrDefault(whose, List.of()).forEach(name -> listed.add(plain(whose, name)));
      if (whose == ValueFrom.CUSTOMER) {
        details.stream()
            .filter(Placeholder::isName)
            .forEach(name -> listed.add(plain(whose, name)));
      } else if (whose == ValueFrom.LINK) {
        links.stream().filter(Placeholder::isName).forEach(name -> listed.add(plain(whose, name)));
      }
    }
    this.all = List.copyOf(listed);
  }

  private static Placeholder plain(ValueFrom whose, String name) {
    return new Placeholder(whose, name, Optional.empty());
  }

  /** All of them, without fallbacks, grouped by what they are of. */
  public List<Placeholder> list() {
    return all;
  }

  @Override
  public Optional<String> find(ValueFrom whose, String name) {
    return all.stream()
        .filter(one -> one.whose() == whose && one.name().equalsIgnoreCase(name))
        .map(Placeholder::name)
        .findFirst();
  }
}
