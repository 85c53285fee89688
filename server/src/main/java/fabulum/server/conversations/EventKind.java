package fabulum.server.conversations;

/** What happened, where an entry is an event. */
public enum EventKind {
  TAKEN,
  LET_GO,
  DONE,
  DONE_UNANSWERED,
  REOPENED
}
