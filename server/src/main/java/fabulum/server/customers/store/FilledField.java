package fabulum.server.customers.store;

/** Fields that are taken over where the customer who stays has none. */
public enum FilledField {
  EMAIL("email"),
  SITE("site_id"),
  KIND("kind"),
  LANGUAGE("language");

  private final String column;

  FilledField(String column) {
    this.column = column;
  }

  /** As the table names it. */
  public String column() {
    return column;
  }
}
