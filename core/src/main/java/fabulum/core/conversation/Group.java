package fabulum.core.conversation;

/** Where a conversation stands in the inbox: whose turn it is while open, or done. */
public enum Group {
  OUR_TURN,
  THEIR_TURN,
  DONE
}
