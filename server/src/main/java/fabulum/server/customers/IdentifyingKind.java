package fabulum.server.customers;

/** What a person said of who writes from a number, whose it is, and who is who. */
public enum IdentifyingKind {
  /** It is a customer who is on file; the number becomes theirs. */
  CUSTOMER,
  /** It is a new customer. */
  NEW_CUSTOMER,
  /** Of several holders, this one. */
  ONE_OF_SEVERAL,
  /** The texts are not for us. */
  NOT_FOR_US,
  /** A number was added to a customer on their page. */
  ADDED,
  /** A number is no longer a customer's. */
  GIVEN_UP,
  /** Two customers are one. */
  JOINED,
  /** Customers out of a file. */
  IMPORTED,
  /** A code that came from a number proved that it is theirs. */
  PROVED
}
