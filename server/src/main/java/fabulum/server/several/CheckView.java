package fabulum.server.several;

import java.util.List;

/**
 * What an act on several would come to.
 *
 * @param will how many it would be done to
 * @param parts billed parts in all, for a text
 */
public record CheckView(int will, int parts, List<Skipped> skipped) {
  public CheckView {
    skipped = List.copyOf(skipped);
  }
}
