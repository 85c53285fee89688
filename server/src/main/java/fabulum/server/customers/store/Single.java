package fabulum.server.customers.store;

/** Tables of which a customer has one row for each thing. */
public enum Single {
  DETAIL("detail", "kind_id"),
  ON_LIST("on_list", "list_id");

  private final String table;
  private final String thing;

  Single(String table, String thing) {
    this.table = table;
    this.thing = thing;
  }

  /** Its name. */
  public String table() {
    return table;
  }

  /** The column that names the thing. */
  public String thing() {
    return thing;
  }
}
