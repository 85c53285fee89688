package fabulum.server.writing;

import java.time.Instant;

/**
 * Words begun in any conversation.
 *
 * @param words how they begin; empty where there are only attachments
 * @param attached how many attachments are to go with them
 */
public record BegunDraft(long conversationId, Paper paper, String words, Instant at, int attached) {
  BegunDraft with(int more) {
    return new BegunDraft(conversationId, paper, words, at, more);
  }
}
