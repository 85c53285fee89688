package fabulum.server.writing;

import fabulum.core.sending.SendQuestion.Sent;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.Said;
import fabulum.server.people.People;
import fabulum.server.platform.Problem;
import fabulum.server.writing.store.WritingMapper;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What must not be sent: what was sent already, and what crossed a colleague's answer. */
@Component
public class References {
  private final Bookkeeping books;
  private final WritingMapper texts;
  private final People people;
  private final Attachments attachments;

  References(Bookkeeping books, WritingMapper texts, People people, Attachments attachments) {
    this.attachments = attachments;
    this.books = books;
    this.texts = texts;
    this.people = people;
  }

  /**
   * Whether an entry with this reference is here already, or was and was taken back. With other
   * words, or elsewhere, it is not the same one again, and is refused.
   */
  public boolean isKnown(Conversation row, Said said) {
    return isKnown(row, said.words(), said.reference().value(), said.attachments());
  }

  /** The same of a note. */
  public boolean isKnown(Conversation row, String words, String reference) {
    return isKnown(row, words, reference, List.of());
  }

  private boolean isKnown(Conversation row, String words, String reference, List<Long> attached) {
    Entry known = books.findByReference(reference).orElse(null);
    if (known != null && known.event() == EventKind.TAKEN_BACK) {
      return true;
    }
    if (known != null
        && (known.conversationId() != row.id()
            || !words.equals(known.typedWords())
            || !attachments.wentWith(known.id(), attached))) {
      throw Problem.conflict(
          Problem.Kind.SENT_WITH_OTHER_WORDS,
          "An earlier try did go out, with other words; the script shows them."
              + " These words are kept: send them again if you still want to.");
    }
    return known != null;
  }

  /**
   * Refuses what crossed an answer of a colleague.
   *
   * @param seen the newest entry that the writer saw; null to send it whatever stands there
   */
  public void requireNobodyAnswered(Conversation row, @Nullable Long seen, StaffId by) {
    findAnswerAfter(row, seen, by)
        .ifPresent(other -> {
          throw Problem.conflict(
              Problem.Kind.ANSWERED_MEANWHILE,
              name(other)
                  + " answered since you began to write: "
                  + Conversation.quoted(other.words())
                  + " Nothing was sent; your words are kept.");
        });
  }

  /**
   * The answer of a colleague that a writer has not seen.
   *
   * @param seen the newest entry that they saw; null for whatever stands there
   */
  public Optional<Sent> findAnswer(Conversation row, @Nullable Long seen, StaffId by) {
    return findAnswerAfter(row, seen, by).map(other -> new Sent(other.at(), name(other)));
  }

  private Optional<Entry> findAnswerAfter(Conversation row, @Nullable Long seen, StaffId by) {
    return seen == null ? Optional.empty() : texts.findAnswerAfter(row.id(), seen, by.value());
  }

  private String name(Entry answer) {
    return answer.speakerId() == null
        ? "A colleague"
        : people.get(new StaffId(answer.speakerId())).name();
  }
}
