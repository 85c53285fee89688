package fabulum.core.conversation;

/** The way texts of a conversation travel. */
public enum Channel {
  /** Texts by the phone network. */
  TEXT
}
