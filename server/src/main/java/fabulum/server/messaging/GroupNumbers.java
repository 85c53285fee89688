package fabulum.server.messaging;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** The numbers of a group in the network's protocol; see {@code docs/network-api.md}. */
public final class GroupNumbers {
  private GroupNumbers() {}

  /** Those that were given; none for a text to us alone. */
  public static List<String> of(@Nullable List<@Nullable String> given) {
    return given == null ? List.of() : given.stream().filter(Objects::nonNull).toList();
  }
}
