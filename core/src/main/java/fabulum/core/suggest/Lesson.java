package fabulum.core.suggest;

/**
 * A question that was answered.
 *
 * @param id of the answer
 * @param template that answered it; 0 where none did
 */
public record Lesson(long id, long template, String asked) {}
