package fabulum.core.conversation;

/** Who is to speak next. */
public enum Turn {
  /** The customer spoke last and has no answer from a person. */
  OURS,
  /** We spoke last. */
  THEIRS
}
