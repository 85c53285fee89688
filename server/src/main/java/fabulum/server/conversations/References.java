package fabulum.server.conversations;

import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.platform.Problem;
import org.springframework.stereotype.Component;

/** References name one entry for good. */
@Component
class References {
  private final EntryMapper entries;

  References(EntryMapper entries) {
    this.entries = entries;
  }

  /**
   * Whether an entry with this reference is here already. With other words, or elsewhere, it is not
   * the same one again, and is refused.
   */
  boolean isKnown(ConversationRow row, String words, String reference) {
    EntryRow known = entries.findByReference(reference);
    if (known != null && (known.conversationId() != row.id() || !words.equals(known.words()))) {
      throw Problem.conflict(
          Problem.Kind.SENT_WITH_OTHER_WORDS,
          "An earlier try did get through, with other words; the script shows them."
              + " These words are kept: send them again if they are still wanted.");
    }
    return known != null;
  }
}
