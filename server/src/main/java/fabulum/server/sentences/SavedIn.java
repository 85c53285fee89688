package fabulum.server.sentences;

/** Where a sentence was saved, and is shown. */
public enum SavedIn {
  INBOX,
  HISTORY,
  REPORTS
}
