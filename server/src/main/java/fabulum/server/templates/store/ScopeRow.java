package fabulum.server.templates.store;

/** Where a template is offered, and which files of the shelf go with it. */
public record ScopeRow(long templateId, Kind kind, long targetId) {
  /** What {@code targetId} is the id of. */
  public enum Kind {
    LINE,
    SITE,
    TEAM,
    /** A file of the shelf. */
    FILE
  }
}
