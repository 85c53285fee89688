package fabulum.server.conversations;

import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.people.People;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What must not be sent: what was sent already, and what crossed a colleague's answer. */
@Component
class References {
  private final EntryMapper entries;
  private final People people;

  References(EntryMapper entries, People people) {
    this.entries = entries;
    this.people = people;
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

  /**
   * Refuses what crossed an answer of a colleague.
   *
   * @param seen the newest entry that the writer saw; null to send it whatever stands there
   */
  void requireNobodyAnswered(ConversationRow row, @Nullable Long seen, StaffId by) {
    if (seen == null) {
      return;
    }
    entries
        .findAnswerAfter(row.id(), seen, by.value())
        .ifPresent(other -> {
          String who =
              other.speakerId() == null
                  ? "A colleague"
                  : people.get(new StaffId(other.speakerId())).name();
          throw Problem.conflict(
              Problem.Kind.ANSWERED_MEANWHILE,
              who
                  + " answered since you began to write: “"
                  + ConversationRow.beginning(String.valueOf(other.words()))
                  + "” Nothing was sent; your words are kept.");
        });
  }
}
