package fabulum.server.platform;

/**
 * One page of a log, whose entries are numbered as they are added.
 *
 * @param from the id of the last entry of the page before; 0 for the first page
 * @param order in which the entries come
 * @param limit how many there are at most
 */
public record LogPage(long from, Order order, int limit) {
  /** How entries follow each other. */
  public enum Order {
    NEWEST,
    OLDEST
  }

  /** The first page, the newest first. */
  public static LogPage newest(int limit) {
    return new LogPage(0, Order.NEWEST, limit);
  }

  /** Whether older entries come first. */
  public boolean isOldestFirst() {
    return order == Order.OLDEST;
  }
}
