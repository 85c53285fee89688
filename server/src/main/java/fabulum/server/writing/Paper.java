package fabulum.server.writing;

/** What is written on: a reply goes to the customer, a note never does. */
public enum Paper {
  REPLY,
  NOTE
}
