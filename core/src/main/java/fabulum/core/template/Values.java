package fabulum.core.template;

import java.util.Optional;

/** What is known where a text is written. */
@FunctionalInterface
public interface Values {
  /** A value; empty, or blank, when it is not known. */
  Optional<String> find(ValueFrom whose, String name);
}
