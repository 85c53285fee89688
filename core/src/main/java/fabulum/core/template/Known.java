package fabulum.core.template;

import java.util.Optional;

/** Which placeholders there are. */
@FunctionalInterface
public interface Known {
  /**
   * How a value is called.
   *
   * @param name in any case
   * @return the name as it is kept; empty when nobody knows such a value
   */
  Optional<String> find(ValueFrom whose, String name);
}
