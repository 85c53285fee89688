package fabulum.server.writing;

/** The time of something that is to be done has come. Told within the transaction. */
public record ToDoDue(ToDo toDo) {}
