package fabulum.core.conversation;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.Rounds;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ConversationStateTest {
  private static final Instant NINE = Instant.parse("2026-06-09T14:00:00Z");
  private static final Instant TEN = NINE.plusSeconds(3600);
  private static final Instant ELEVEN = TEN.plusSeconds(3600);

  @Test
  void aTextFromTheCustomerMakesItOurTurn() {
    assertThat(ConversationState.begunByCustomer(NINE).group()).isEqualTo(Group.OUR_TURN);
    assertThat(ConversationState.begunByUs(NINE).customerWrote(TEN).waitingSince()).contains(TEN);
  }

  @Test
  void theWaitBeginsAtTheFirstUnansweredText() {
    ConversationState state =
        ConversationState.begunByCustomer(NINE).customerWrote(TEN).customerWrote(ELEVEN);

    assertThat(state.waitingSince()).contains(NINE);
  }

  @Test
  void aTextThatArrivesLateMovesTheWaitBackToItsOwnTime() {
    assertThat(ConversationState.begunByCustomer(TEN).customerWrote(NINE).waitingSince())
        .contains(NINE);
  }

  @Test
  void aPersonsAnswerMakesItTheirTurnAndAnAutomaticOneDoesNot() {
    ConversationState waiting = ConversationState.begunByCustomer(NINE);

    assertThat(waiting.personAnswered(TEN).group()).isEqualTo(Group.THEIR_TURN);
    assertThat(waiting.personAnswered(TEN).waitingSince()).isEmpty();
    assertThat(waiting.automaticallyAnswered()).isEqualTo(waiting);
  }

  @Test
  void doneOnOurTurnIsRememberedAsFinishedWithoutAnAnswer() {
    assertThat(ConversationState.begunByCustomer(NINE).finished(TEN).finishedUnanswered()).isTrue();
    assertThat(ConversationState.begunByUs(NINE).finished(TEN).finishedUnanswered()).isFalse();
  }

  @Test
  void aDoneConversationOpensByItselfWhenTheCustomerWrites() {
    ConversationState done = ConversationState.begunByCustomer(NINE).finished(TEN);

    assertThat(done.customerWrote(ELEVEN)).isEqualTo(ConversationState.begunByCustomer(ELEVEN));
  }

  @Test
  void reopeningGivesBackTheTurnItHad() {
    assertThat(ConversationState.begunByCustomer(NINE).finished(TEN).reopened(ELEVEN).group())
        .isEqualTo(Group.OUR_TURN);
    assertThat(ConversationState.begunByUs(NINE).finished(TEN).reopened(ELEVEN).group())
        .isEqualTo(Group.THEIR_TURN);
  }

  @Test
  void doingTheSameTwiceChangesNothing() {
    ConversationState done = ConversationState.begunByCustomer(NINE).finished(TEN);
    assertThat(done.finished(ELEVEN)).isEqualTo(done);
    ConversationState open = ConversationState.begunByUs(NINE);
    assertThat(open.reopened(TEN)).isEqualTo(open);
  }

  @Test
  void setAsideComesBackAtItsTimeAndNotBefore() {
    ConversationState aside = ConversationState.begunByCustomer(NINE).setAside(Optional.of(ELEVEN));

    assertThat(aside.group()).isEqualTo(Group.SET_ASIDE);
    assertThat(aside.cameBack(TEN)).isEqualTo(aside);
    assertThat(aside.cameBack(ELEVEN).group()).isEqualTo(Group.OUR_TURN);
    assertThat(aside.cameBack(ELEVEN).back()).contains(Back.ITS_TIME);
    assertThat(aside.cameBack(ELEVEN).waitingSince()).as("the wait went on").contains(NINE);
  }

  @Test
  void setAsideUntilTheyWriteComesBackOnlyThen() {
    ConversationState aside = ConversationState.begunByUs(NINE).setAside(Optional.empty());

    assertThat(aside.cameBack(ELEVEN)).isEqualTo(aside);
    assertThat(aside.customerWrote(TEN).group()).isEqualTo(Group.OUR_TURN);
    assertThat(aside.customerWrote(TEN).back()).contains(Back.CUSTOMER_WROTE);
    assertThat(aside.takenUp().group()).isEqualTo(Group.THEIR_TURN);
  }

  @Test
  void onlyWhatIsOpenIsSetAside() {
    ConversationState done = ConversationState.begunByUs(NINE).finished(TEN);
    assertThat(done.setAside(Optional.empty())).isEqualTo(done);
    ConversationState blank = ConversationState.blank(NINE);
    assertThat(blank.setAside(Optional.empty()).finished(TEN)).isEqualTo(blank);
    assertThat(blank.personAnswered(TEN)).isEqualTo(ConversationState.begunByUs(TEN));
  }

  @Test
  void whatNeedsNoAnswerIsTheirTurnWhereItStands() {
    ConversationState waiting = ConversationState.begunByCustomer(NINE);

    assertThat(waiting.neededNoAnswer(TEN)).isEqualTo(ConversationState.begunByUs(TEN));
    ConversationState aside = waiting.setAside(Optional.of(ELEVEN)).neededNoAnswer(TEN);
    assertThat(aside.group()).isEqualTo(Group.SET_ASIDE);
    assertThat(aside.waitingSince()).isEmpty();
  }

  @Test
  void whatWasNotDeliveredIsOurTurnAgainHoweverItStood() {
    ConversationState answered = ConversationState.begunByCustomer(NINE).personAnswered(TEN);

    assertThat(answered.notDelivered(NINE).group()).isEqualTo(Group.OUR_TURN);
    assertThat(answered.notDelivered(NINE).waitingSince()).contains(NINE);
    assertThat(answered.notDelivered(NINE).back()).isEmpty();
    for (ConversationState away :
        List.of(answered.finished(ELEVEN), answered.setAside(Optional.empty()))) {
      assertThat(away.notDelivered(NINE).group()).isEqualTo(Group.OUR_TURN);
      assertThat(away.notDelivered(NINE).waitingSince()).contains(NINE);
      assertThat(away.notDelivered(NINE).back()).contains(Back.NOT_DELIVERED);
    }
  }

  @Test
  void ofTwoWaitsTheEarlierGoesOn() {
    ConversationState wroteAgain =
        ConversationState.begunByCustomer(NINE).personAnswered(NINE).customerWrote(TEN);
    assertThat(wroteAgain.notDelivered(NINE).waitingSince()).contains(NINE);
    assertThat(wroteAgain.notDelivered(ELEVEN).waitingSince()).contains(TEN);
  }

  /** The same story told by a few plain variables. */
  @Test
  void anAnswerThatIsTakenBackLeavesTheCustomerWaitingAsBeforeAndInSight() {
    ConversationState answered = ConversationState.begunByCustomer(NINE).personAnswered(TEN);
    ConversationState open = answered.answerTakenBack(NINE);
    assertThat(open.group()).isEqualTo(Group.OUR_TURN);
    assertThat(open.waitingSince()).contains(NINE);
    assertThat(answered.finished(ELEVEN).answerTakenBack(NINE)).isEqualTo(open);
  }

  @Test
  void whatWasNotDeliveredAndIsDealtWithLeavesTheWaitThatIsLeft() {
    ConversationState failed = ConversationState.begunByUs(NINE).notDelivered(NINE);
    assertThat(failed.dealtWith(Optional.of(TEN), ELEVEN).waitingSince()).contains(TEN);
    ConversationState over = failed.dealtWith(Optional.empty(), ELEVEN);
    assertThat(over.group()).isEqualTo(Group.THEIR_TURN);
    assertThat(over.dealtWith(Optional.of(TEN), ELEVEN)).as("nobody waited").isEqualTo(over);
  }

  @Test
  void whateverHappensTheStateIsWhatThePlainStoryGives() {
    Random random = new Random(7);
    for (int round = 0; round < Rounds.of(3_000); round++) {
      ConversationState state = ConversationState.begunByCustomer(NINE);
      Instant at = NINE;
      boolean ours = true;
      String place = "open";
      Instant until = null;
      Instant waitsSince = NINE;
      for (int act = 0; act < 14; act++) {
        at = at.plusSeconds(60);
        switch (random.nextInt(8)) {
          case 0 -> {
            state = state.customerWrote(at);
            waitsSince = ours && !place.equals("done") ? waitsSince : at;
            ours = true;
            place = "open";
          }
          case 1 -> {
            state = state.personAnswered(at);
            ours = false;
            place = "open";
          }
          case 2 -> state = state.automaticallyAnswered();
          case 3 -> {
            state = state.finished(at);
            place = "done";
          }
          case 4 -> {
            state = state.reopened(at);
            waitsSince = place.equals("done") ? at : waitsSince;
            place = place.equals("done") ? "open" : place;
          }
          case 5 -> {
            until = random.nextBoolean() ? at.plusSeconds(60L * (1 + random.nextInt(3))) : null;
            state = state.setAside(Optional.ofNullable(until));
            place = place.equals("done") ? "done" : "aside";
          }
          case 6 -> {
            state = state.neededNoAnswer(at);
            ours = ours && place.equals("done");
          }
          default -> {
            state = state.cameBack(at);
            boolean itsTime = until != null && !until.isAfter(at);
            place = place.equals("aside") && itsTime ? "open" : place;
          }
        }
        assertThat(state.group())
            .isEqualTo(
                place.equals("done")
                    ? Group.DONE
                    : place.equals("aside")
                        ? Group.SET_ASIDE
                        : ours ? Group.OUR_TURN : Group.THEIR_TURN);
        assertThat(state.waitingSince())
            .isEqualTo(ours && !place.equals("done") ? Optional.of(waitsSince) : Optional.empty());
      }
    }
  }

  @Test
  void whatIsToBeDoneBringsItBackHoweverItStoodAndEndsOnlyItsOwnWait() {
    ConversationState waits = ConversationState.begunByCustomer(NINE);
    ConversationState answered = waits.personAnswered(NINE);
    for (ConversationState state :
        List.of(answered, answered.finished(NINE), answered.setAside(Optional.empty()))) {
      ConversationState due = state.toDoIsDue(ELEVEN);
      assertThat(due.group()).isEqualTo(Group.OUR_TURN);
      assertThat(due.back()).contains(Back.TO_DO);
      assertThat(due.waitingSince()).contains(ELEVEN);
      assertThat(due.toDoIsDone(ELEVEN, ELEVEN).group()).isEqualTo(Group.THEIR_TURN);
    }
    ConversationState due = waits.setAside(Optional.empty()).toDoIsDue(ELEVEN);
    assertThat(due.waitingSince()).contains(NINE);
    assertThat(due.toDoIsDone(ELEVEN, ELEVEN)).isEqualTo(due);
  }
}
