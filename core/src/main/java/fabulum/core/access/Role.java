package fabulum.core.access;

/** What someone is in the front office. */
public enum Role {
  /** Sets up lines and people, and moves anybody's work. */
  LEAD,
  /** Works with customers. */
  STAFF,
  /** Reads, and changes nothing. */
  VIEWER
}
