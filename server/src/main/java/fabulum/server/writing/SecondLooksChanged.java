package fabulum.server.writing;

/** A text began to wait for a second look, or does not wait any more. */
public record SecondLooksChanged() {}
