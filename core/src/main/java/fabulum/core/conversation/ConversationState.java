package fabulum.core.conversation;

import java.time.Instant;
import java.util.Optional;

/**
 * Whose turn it is, whether the conversation is done, and since when it stands so. All transitions
 * are methods here and nowhere else.
 *
 * @param turn who is to speak next
 * @param done finished until the customer, or we, write again
 * @param since our turn: the first customer text that no person has answered; their turn: our last
 *     answer; done: when it was finished
 * @param finishedUnanswered done while it was our turn, so without an answer
 */
public record ConversationState(
    Turn turn, boolean done, Instant since, boolean finishedUnanswered) {

  public ConversationState {
    if (finishedUnanswered && !(done && turn == Turn.OURS)) {
      throw new IllegalArgumentException(
          "Only a conversation done on our turn is finished without an answer");
    }
  }

  /** A conversation begun by the customer's first text. */
  public static ConversationState begunByCustomer(Instant at) {
    return new ConversationState(Turn.OURS, false, at, false);
  }

  /** A conversation begun by us. */
  public static ConversationState begunByUs(Instant at) {
    return new ConversationState(Turn.THEIRS, false, at, false);
  }

  /** The group of the inbox it belongs to. */
  public Group group() {
    if (done) {
      return Group.DONE;
    }
    return turn == Turn.OURS ? Group.OUR_TURN : Group.THEIR_TURN;
  }

  /** Since when the customer waits for a person; empty when nobody waits. */
  public Optional<Instant> waitingSince() {
    return group() == Group.OUR_TURN ? Optional.of(since) : Optional.empty();
  }

  /**
   * The customer wrote: our turn. A wait that has begun goes on from where it began; a done
   * conversation opens by itself.
   */
  public ConversationState customerWrote(Instant at) {
    boolean alreadyWaiting = waitingSince().filter(began -> !began.isAfter(at)).isPresent();
    return alreadyWaiting ? this : new ConversationState(Turn.OURS, false, at, false);
  }

  /** A person on our side answered, or wrote unasked: their turn, also out of done. */
  public ConversationState personAnswered(Instant at) {
    return new ConversationState(Turn.THEIRS, false, at, false);
  }

  /**
   * The program answered by itself. Nobody has read what the customer wrote, so nothing changes.
   */
  public ConversationState automaticallyAnswered() {
    return this;
  }

  /** Finished. Finishing twice changes nothing. */
  public ConversationState finished(Instant at) {
    return done ? this : new ConversationState(turn, true, at, turn == Turn.OURS);
  }

  /**
   * Opened again by a person. What was finished without an answer waits on us again; else it is
   * their turn.
   *
   * @param at now; the wait begins anew, for the old one was ended knowingly
   */
  public ConversationState reopened(Instant at) {
    return done ? new ConversationState(turn, false, at, false) : this;
  }
}
