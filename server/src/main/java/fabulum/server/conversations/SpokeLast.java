package fabulum.server.conversations;

/** Who spoke last. */
public enum SpokeLast {
  CUSTOMER,
  US,
  PROGRAM
}
