package fabulum.server.setup;

/** Lines, sites or topics are set up otherwise than before. */
public record SetUpChanged() {}
