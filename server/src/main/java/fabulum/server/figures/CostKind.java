package fabulum.server.figures;

/** Kinds of texts that cost something. */
public enum CostKind {
  /** Sent by a person to one. */
  BY_HAND,
  /** Sent by a person to several at once. */
  SEVERAL,
  /** Sent by the program. */
  AUTOMATIC,
  RECEIVED
}
