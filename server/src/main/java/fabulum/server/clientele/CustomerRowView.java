package fabulum.server.clientele;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A customer in the place of all customers.
 *
 * @param numbers they have now, the preferred one first, as people at home write them
 * @param lists ids of the lists they are on
 * @param heardAt when they last wrote, as far as the reader may see it
 */
public record CustomerRowView(
    long id,
    String name,
    @Nullable String kind,
    @Nullable Long siteId,
    @Nullable String email,
    List<String> numbers,
    List<RowDetail> details,
    List<Long> lists,
    @Nullable Instant heardAt) {

  /** What an extra field says. */
  public record RowDetail(long kindId, String words) {}
}
