package fabulum.server.conversations.store;

import fabulum.core.delivery.DeliveryState;
import fabulum.core.parts.PartCounter;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of entry. The id of a row not yet inserted is 0. */
public record EntryRow(
    long id,
    long conversationId,
    Instant at,
    EntryKind kind,
    @Nullable String words,
    @Nullable EventKind event,
    @Nullable Long speakerId,
    boolean automatic,
    @Nullable String networkId,
    @Nullable String reference,
    @Nullable DeliveryState delivery,
    @Nullable String failureCode,
    @Nullable String failureReason,
    @Nullable Integer parts,
    @Nullable Long workingSeconds,
    boolean firstAnswer,
    @Nullable Long aboutStaff,
    @Nullable Long aboutTeam,
    @Nullable Long fromStaff,
    @Nullable Instant editedAt,
    boolean withdrawn) {

  /** A text from the customer. */
  public static EntryRow received(long conversation, Instant at, String words, String networkId) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.IN,
        words,
        null,
        null,
        false,
        networkId,
        null,
        null,
        null,
        null,
        null,
        null,
        false,
        null,
        null,
        null,
        null,
        false);
  }

  /** The wait that an answer ends: how long it was, and whether it is the first since it opened. */
  public record WaitEnded(long workingSeconds, boolean first) {}

  /** A text of ours that waits to go. */
  public static EntryRow answer(
      long conversation,
      Instant at,
      String words,
      long by,
      String reference,
      @Nullable WaitEnded wait) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.OUT,
        words,
        null,
        by,
        false,
        null,
        reference,
        DeliveryState.WAITING,
        null,
        null,
        PartCounter.count(words).count(),
        wait == null ? null : wait.workingSeconds(),
        wait != null && wait.first(),
        null,
        null,
        null,
        null,
        false);
  }

  /** A note. */
  public static EntryRow note(
      long conversation, Instant at, String words, long by, String reference) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.NOTE,
        words,
        null,
        by,
        false,
        null,
        reference,
        null,
        null,
        null,
        null,
        null,
        false,
        null,
        null,
        null,
        null,
        false);
  }

  /**
   * An event.
   *
   * @param by who did it; null for the program
   * @param words what more there is to say of it
   * @param workingSeconds the working time that it ended
   */
  public static EntryRow event(
      long conversation,
      Instant at,
      EventKind event,
      @Nullable Long by,
      @Nullable String words,
      @Nullable Long workingSeconds) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.EVENT,
        words,
        event,
        by,
        by == null,
        null,
        null,
        null,
        null,
        null,
        null,
        workingSeconds,
        false,
        null,
        null,
        null,
        null,
        false);
  }

  /** The same event, about a colleague or a team, and whose it was before. */
  public EntryRow about(@Nullable Long from, @Nullable Long staff, @Nullable Long team) {
    return new EntryRow(
        id,
        conversationId,
        at,
        kind,
        words,
        event,
        speakerId,
        automatic,
        networkId,
        reference,
        delivery,
        failureCode,
        failureReason,
        parts,
        workingSeconds,
        firstAnswer,
        staff,
        team,
        from,
        editedAt,
        withdrawn);
  }
}
