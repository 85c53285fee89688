package fabulum.server.customers.store;

/** Tables whose rows belong to one customer and may be several. */
public enum Owned {
  HOLDING("holding"),
  SAID("writer_said"),
  CONTACT("contact"),
  NOTE("customer_note"),
  APPOINTMENT("appointment"),
  JOB("job");

  private final String table;

  Owned(String table) {
    this.table = table;
  }

  /** Its name. */
  public String table() {
    return table;
  }
}
