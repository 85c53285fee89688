package fabulum.server.people;

/** Somebody came in, left, planned otherwise, or is called or marked otherwise. */
public record ColleaguesChanged() {}
