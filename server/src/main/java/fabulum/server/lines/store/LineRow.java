package fabulum.server.lines.store;

/** A row of line with the name of its site. */
public record LineRow(
    long id,
    String name,
    String site,
    String number,
    String region,
    String zone,
    boolean inUse,
    int promiseMinutes) {}
