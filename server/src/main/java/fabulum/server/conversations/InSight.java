package fabulum.server.conversations;

import fabulum.core.access.Act;
import fabulum.core.access.Sight;
import fabulum.server.access.Guest;
import fabulum.server.access.Guests;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.lines.Sights;
import fabulum.server.platform.Problem;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Conversations as far as someone sees them: what they do not see is not there for them. Whether
 * they may act is asked only of what they see.
 */
@Component
public class InSight {
  private final Bookkeeping books;
  private final Sights sights;
  private final Permits permits;
  private final Undelivered undelivered;
  private final EntryMapper entries;
  private final Guests guests;

  InSight(
      Bookkeeping books,
      Sights sights,
      Permits permits,
      Undelivered undelivered,
      EntryMapper entries,
      Guests guests) {
    this.guests = guests;
    this.books = books;
    this.sights = sights;
    this.permits = permits;
    this.undelivered = undelivered;
    this.entries = entries;
  }

  /** The conversation, as far as someone sees it. */
  public Conversation row(ConversationId id, StaffId asking) {
    return seen(books.row(id), asking);
  }

  /** Which of these someone sees, in no promised order. */
  public List<Conversation> list(List<ConversationId> ids, StaffId asking) {
    Sight sight = sights.of(asking);
    return books.list(ids).stream().filter(row -> sight.sees(row.spot())).toList();
  }

  /** Holds the row for an act of a person who may work, and was not only brought in. */
  public Conversation lock(ConversationId id, StaffId by) {
    Conversation row = lockToNote(id, by);
    if (!isTheirs(row, by)) {
      throw Problem.notAllowed(
          "You were brought into this conversation to read it and write notes. Nothing was changed.");
    }
    return row;
  }

  /** Holds the row for a note; who was brought in writes notes as well. */
  public Conversation lockToNote(ConversationId id, StaffId by) {
    Conversation row = seen(books.lock(id), by);
    permits.require(by, Act.WORK);
    return row;
  }

  /** Holds the row for a text to the customer; who was brought in may be allowed that or not. */
  public Conversation lockToAnswer(ConversationId id, StaffId by) {
    Conversation row = lockToNote(id, by);
    if (!isTheirs(row, by) && !guests.find(row.id(), by).map(Guest::mayAnswer).orElse(false)) {
      throw Problem.notAllowed(
          "You were brought in to write notes. Who brought you in can let you answer. Nothing was sent.");
    }
    return row;
  }

  /** Whether somebody sees it because of where it is, and not only because they were brought in. */
  public boolean isTheirs(Conversation row, StaffId who) {
    return sights.of(who).isTheirs(row.spot());
  }

  /**
   * Holds the row for an act that puts it out of sight. Refused when the customer wrote, or a text
   * of ours was not delivered, and the page did not show that yet.
   *
   * @param shown what the page showed; null to act whatever stands there
   */
  Conversation lockToPutAway(ConversationId id, @Nullable Shown shown, StaffId by) {
    Conversation row = lock(id, by);
    if (shown != null) {
      entries
          .findFirstReceivedAfter(row.id(), shown.newest())
          .ifPresent(text -> {
            throw newMeanwhile("The customer has just written: " + quoted(text));
          });
      undelivered.listOf(row).stream()
          .filter(text -> !shown.lost().contains(text.id()))
          .findFirst()
          .ifPresent(text -> {
            throw newMeanwhile("This text was not delivered: " + quoted(text));
          });
    }
    return row;
  }

  private static String quoted(Entry text) {
    return Conversation.quoted(text.words());
  }

  private static Problem newMeanwhile(String what) {
    return Problem.conflict(
        Problem.Kind.NEW_MEANWHILE, what + " It stays as it was; please look at it first.");
  }

  /**
   * Holds the row for a person who takes back what they did to it; they may not see it any more.
   */
  public Conversation lockForUndo(ConversationId id, StaffId by) {
    permits.require(by, Act.WORK);
    return books.lock(id);
  }

  /** A conversation with one number, for what is said of that number. */
  public static Conversation requireOneNumber(Conversation row) {
    if (row.isGroup()) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "A group has several numbers. Open the conversation of one of them; nothing was changed.");
    }
    return row;
  }

  private Conversation seen(Conversation row, StaffId asking) {
    if (!sights.of(asking).sees(row.spot())) {
      throw Problem.notFound("conversation");
    }
    return row;
  }
}
