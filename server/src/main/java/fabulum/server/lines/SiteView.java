package fabulum.server.lines;

/** A place of business. */
public record SiteView(long id, String name) {}
