package fabulum.server.writing;

/** What one writes on: a reply goes to the customer, a note never does. */
public enum Paper {
  REPLY,
  NOTE
}
