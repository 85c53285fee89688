package fabulum.server.schedule;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A page of what is planned.
 *
 * @param held what did not go, on the first page only, the longest due first
 * @param waiting the soonest first
 * @param next where the next page begins; null when this is the last
 */
public record PlannedPage(
    List<PlannedView> held, List<PlannedView> waiting, @Nullable String next) {
  public PlannedPage {
    held = List.copyOf(held);
    waiting = List.copyOf(waiting);
  }
}
