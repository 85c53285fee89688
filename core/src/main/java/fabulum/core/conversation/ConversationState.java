package fabulum.core.conversation;

import fabulum.core.conversation.Standing.Aside;
import fabulum.core.conversation.Standing.Blank;
import fabulum.core.conversation.Standing.Done;
import fabulum.core.conversation.Standing.Open;
import java.time.Instant;
import java.util.Optional;

/**
 * Whose turn it is, how the conversation stands, and since when. All transitions are methods here
 * and nowhere else.
 *
 * @param turn who is to speak next
 * @param since done: when it was finished; else on our turn the first customer text that no person
 *     has answered, and on theirs our last answer
 */
public record ConversationState(Turn turn, Instant since, Standing standing) {

  public ConversationState {
    if (standing instanceof Done done && done.unanswered() && turn != Turn.OURS) {
      throw new IllegalArgumentException(
          "Only a conversation done on our turn is finished without an answer");
    }
  }

  /** A conversation begun by the customer's first text. */
  public static ConversationState begunByCustomer(Instant at) {
    return new ConversationState(Turn.OURS, at, Standing.OPEN);
  }

  /**
   * A conversation that begins with a text of long ago: nobody waits for an answer to it any more.
   */
  public static ConversationState begunByHistory(Instant at) {
    return new ConversationState(Turn.THEIRS, at, new Done(false));
  }

  /** A conversation begun by us. */
  public static ConversationState begunByUs(Instant at) {
    return new ConversationState(Turn.THEIRS, at, Standing.OPEN);
  }

  /** A conversation opened by us in order to write. */
  public static ConversationState blank(Instant at) {
    return new ConversationState(Turn.THEIRS, at, new Blank());
  }

  /** The group of the inbox it belongs to. */
  public Group group() {
    if (standing instanceof Open) {
      return turn == Turn.OURS ? Group.OUR_TURN : Group.THEIR_TURN;
    }
    return standing instanceof Aside
        ? Group.SET_ASIDE
        : standing instanceof Done ? Group.DONE : Group.BLANK;
  }

  /** Whether it is neither done nor blank. */
  public boolean isOpen() {
    return standing instanceof Open || standing instanceof Aside;
  }

  /**
   * Since when the customer waits for a person, also while it is set aside; empty when nobody
   * waits.
   */
  public Optional<Instant> waitingSince() {
    return isOpen() && turn == Turn.OURS ? Optional.of(since) : Optional.empty();
  }

  /** Whether it was finished while the customer waited. */
  public boolean finishedUnanswered() {
    return standing instanceof Done done && done.unanswered();
  }

  /** Until when it is set aside; empty when it is not, or until the customer writes. */
  public Optional<Instant> asideUntil() {
    return standing instanceof Aside aside ? aside.until() : Optional.empty();
  }

  /** Why it is back from being set aside, until someone acts on it. */
  public Optional<Back> back() {
    return standing instanceof Open open ? open.back() : Optional.empty();
  }

  /**
   * The customer wrote: our turn. A wait that has begun goes on from where it began; what was done
   * or set aside opens by itself.
   */
  public ConversationState customerWrote(Instant at) {
    boolean alreadyWaiting = waitingSince().filter(began -> !began.isAfter(at)).isPresent();
    Standing next = standing instanceof Open ? standing : Standing.OPEN;
    if (standing instanceof Aside) {
      next = new Open(Optional.of(Back.CUSTOMER_WROTE));
    }
    return new ConversationState(Turn.OURS, alreadyWaiting ? since : at, next);
  }

  /** A person on our side answered, or wrote unasked: their turn, however it stood. */
  public ConversationState personAnswered(Instant at) {
    return new ConversationState(Turn.THEIRS, at, Standing.OPEN);
  }

  /**
   * A text of ours was not delivered, so nobody has answered: our turn, however it stood. What was
   * done or set aside is in sight again and says why.
   *
   * @param waiting since when the customer waits for what the text said; where it answered nobody,
   *     when it failed. A wait that began earlier goes on from where it began
   */
  public ConversationState notDelivered(Instant waiting) {
    Instant began = waitingSince().filter(earlier -> earlier.isBefore(waiting)).orElse(waiting);
    Standing next = standing instanceof Open ? standing : new Open(Optional.of(Back.NOT_DELIVERED));
    return new ConversationState(Turn.OURS, began, next);
  }

  /**
   * An answer of ours was taken back before it left, so nobody has answered: the customer waits as
   * before, in sight, however it stood since.
   *
   * @param waiting since when the customer waits for the answer
   */
  public ConversationState answerTakenBack(Instant waiting) {
    Standing next = standing instanceof Open ? standing : Standing.OPEN;
    return new ConversationState(Turn.OURS, waiting, next);
  }

  /**
   * Someone has dealt with what was not delivered: the wait that is left goes on from where it
   * began, and without one it is their turn.
   *
   * @param left since when the customer still waits for something; empty for nothing
   */
  public ConversationState dealtWith(Optional<Instant> left, Instant now) {
    if (waitingSince().isEmpty()) {
      return this;
    }
    return left.map(began -> new ConversationState(Turn.OURS, began, standing))
        .orElseGet(() -> neededNoAnswer(now));
  }

  /**
   * The program answered by itself. Nobody has read what the customer wrote, so nothing changes.
   */
  public ConversationState automaticallyAnswered() {
    return this;
  }

  /** What the customer wrote last needs no answer: their turn, where it was our turn. */
  public ConversationState neededNoAnswer(Instant at) {
    return waitingSince().isPresent() ? new ConversationState(Turn.THEIRS, at, standing) : this;
  }

  /** Finished. Finishing twice changes nothing. */
  public ConversationState finished(Instant at) {
    return isOpen() ? new ConversationState(turn, at, new Done(turn == Turn.OURS)) : this;
  }

  /**
   * Opened again by a person. What was finished without an answer waits on us again; else it is
   * their turn.
   *
   * @param at now; the wait begins again, for the old one was ended knowingly
   */
  public ConversationState reopened(Instant at) {
    return standing instanceof Done ? new ConversationState(turn, at, Standing.OPEN) : this;
  }

  /**
   * Out of sight. A wait goes on meanwhile, for the customer knows nothing of it. Only what is open
   * can be set aside; setting aside again changes the time.
   *
   * @param until after now; empty for only when the customer writes
   */
  public ConversationState setAside(Optional<Instant> until) {
    return isOpen() ? new ConversationState(turn, since, new Aside(until)) : this;
  }

  /** The time it was set aside for has come, if it has. */
  public ConversationState cameBack(Instant now) {
    return asideUntil().filter(until -> !until.isAfter(now)).isPresent()
        ? new ConversationState(turn, since, new Open(Optional.of(Back.ITS_TIME)))
        : this;
  }

  /**
   * The day of something that was to be done has come: our turn, in sight, however it stood. Where
   * nobody waits for an answer, the wait begins now: so what was promised is not forgotten.
   */
  public ConversationState toDoIsDue(Instant now) {
    return new ConversationState(
        Turn.OURS, waitingSince().orElse(now), new Open(Optional.of(Back.TO_DO)));
  }

  /**
   * What was to be done is done. A wait that began with it ends, a customer's goes on.
   *
   * @param began when it was brought back
   */
  public ConversationState toDoIsDone(Instant began, Instant now) {
    return waitingSince().filter(began::equals).isPresent() ? neededNoAnswer(now) : this;
  }

  /** A colleague takes it up before its time. */
  public ConversationState takenUp() {
    return standing instanceof Aside
        ? new ConversationState(turn, since, new Open(Optional.of(Back.TAKEN_UP)))
        : this;
  }
}
