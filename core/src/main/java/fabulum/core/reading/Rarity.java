package fabulum.core.reading;

/** How many customers on file share a word. */
public interface Rarity {
  /** Customers, or persons of firms, who have this word in their name. */
  int named(String plain);

  /** Customers who have this detail, or a detail with this word. */
  int detailed(String plain);

  /** Customers in whose matters this word stands lately. */
  int speakingOf(String stem);

  /** Customers with a number of this area. */
  int inArea(String area);

  /** 1 for what only one customer has, less the more share it. */
  static double of(int customers) {
    return 1 / (1 + 0.6 * Math.log(Math.max(1, customers)));
  }
}
