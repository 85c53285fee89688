package fabulum.server.conversations;

/** What stands in a script. */
public enum EntryKind {
  /** A text from the customer. */
  IN,
  /** A text of ours. */
  OUT,
  /** Words for the team only. */
  NOTE,
  /** Something that happened. */
  EVENT
}
