package fabulum.server.templates.store;

import org.jspecify.annotations.Nullable;

/**
 * An answer of a person.
 *
 * @param templateId from which it was made; null where it was typed
 */
public record AnswerRow(
    long id,
    long conversationId,
    long lineId,
    long speakerId,
    String words,
    @Nullable Long templateId) {}
