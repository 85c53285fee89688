package fabulum.core.conversation;

/** Where a conversation stands in the inbox. */
public enum Group {
  /** Open, and the customer waits for us. */
  OUR_TURN,
  /** Open, and we wait for the customer. */
  THEIR_TURN,
  /** Out of sight until a time, or until the customer writes. */
  SET_ASIDE,
  DONE,
  /** Opened in order to write, and nothing has been said yet; in no list. */
  BLANK
}
