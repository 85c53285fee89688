package fabulum.server.imports;

/** What becomes of a row. */
public enum Fate {
  /** A new customer. */
  NEW,
  /** A customer on file, of whom nothing changes. */
  SAME,
  /** A customer on file, of whom something changes. */
  CHANGED,
  /** Perhaps a customer on file; a person must say. Left out until then. */
  ASKED,
  /** It cannot be read. */
  REFUSED
}
