package fabulum.core.assignment;

/** How a line gives out what nobody owns. */
public enum Way {
  /** It does not; people take. */
  NOBODY,
  IN_TURN,
  LEAST_WAITING,
  /**
   * To the colleague who last had the customer, when they are in; else to the colleague with the
   * least waiting.
   */
  LAST_OWNER
}
