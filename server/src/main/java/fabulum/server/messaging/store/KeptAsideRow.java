package fabulum.server.messaging.store;

import java.time.Instant;

/** A row of kept_aside. */
public record KeptAsideRow(long id, Instant at, String body, String why) {
  @Override
  public String toString() {
    return "KeptAsideRow[" + id + "]";
  }
}
