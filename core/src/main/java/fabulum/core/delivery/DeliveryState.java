package fabulum.core.delivery;

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
}
