package fabulum.server.feed;

/**
 * A change was found in the feed that this process has not heard of when it was committed: another
 * process made it, or hearing of it failed. May be told twice.
 */
public record ChangeFound(Change change) {}
