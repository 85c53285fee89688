package fabulum.core.delivery;

import java.util.Collection;
import java.util.Comparator;

/**
 * How far a text of ours has come. States only move forward, whatever order reports come in. {@code
 * NOT_DELIVERED} ends it, except that a later proof of arrival is believed over an earlier failure.
 */
public enum DeliveryState {
  WAITING(0),
  SENT(1),
  NOT_DELIVERED(2),
  DELIVERED(3),
  READ(4);

  private final int rank;

  DeliveryState(int rank) {
    this.rank = rank;
  }

  /** The state after a report of {@code reported}: the one further on. */
  public DeliveryState after(DeliveryState reported) {
    return reported.rank > rank ? reported : this;
  }

  /**
   * How far a text to several numbers has come: not delivered when it did not reach one of them,
   * else as far as with the number where it is least far.
   *
   * @param each the state for each number; at least one
   */
  public static DeliveryState overall(Collection<DeliveryState> each) {
    return each.contains(NOT_DELIVERED)
        ? NOT_DELIVERED
        : each.stream().min(Comparator.comparing(state -> state.rank)).orElseThrow();
  }
}
