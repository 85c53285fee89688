package fabulum.server.people;

/** Someone came in, left, planned otherwise, or is called or marked otherwise. */
public record ColleaguesChanged() {}
