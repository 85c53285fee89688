package fabulum.server.inbox.store;

/** By which column a list is sorted within its group, and which way. */
public enum SortRow {
  BY_PLACE("sort_at", true),
  BY_PLACE_LAST_FIRST("sort_at", false),
  BY_LAST_TEXT("last_at", false),
  BY_OPENING("opened_at", true);

  private final String column;
  private final boolean ascending;

  SortRow(String column, boolean ascending) {
    this.column = column;
    this.ascending = ascending;
  }

  /** The column; it is part of the statement, so it can only be one of these. */
  public String getColumn() {
    return column;
  }

  /** Whether the smallest comes first. */
  public boolean isAscending() {
    return ascending;
  }
}
