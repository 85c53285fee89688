package fabulum.core.conversation;

/** Why a conversation is back from being set aside. */
public enum Back {
  /** The time it was set aside for has come. */
  ITS_TIME,
  CUSTOMER_WROTE,
  /** A text of ours was not delivered. */
  NOT_DELIVERED,
  /** A colleague took it up again. */
  TAKEN_UP,
  /** Something is to be done today. */
  TO_DO
}
