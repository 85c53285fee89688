package fabulum.core.conversation;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
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
  void whateverHappensWhoSpokeLastDecidesTheTurn() {
    Random random = new Random(7);
    for (int round = 0; round < 2_000; round++) {
      ConversationState state = ConversationState.begunByCustomer(NINE);
      boolean customerLast = true;
      boolean done = false;
      Instant at = NINE;
      for (int act = 0; act < 12; act++) {
        at = at.plusSeconds(60);
        switch (random.nextInt(5)) {
          case 0 -> {
            state = state.customerWrote(at);
            customerLast = true;
            done = false;
          }
          case 1 -> {
            state = state.personAnswered(at);
            customerLast = false;
            done = false;
          }
          case 2 -> state = state.automaticallyAnswered();
          case 3 -> {
            state = state.finished(at);
            done = true;
          }
          default -> {
            state = state.reopened(at);
            done = false;
          }
        }
        assertThat(state.group())
            .isEqualTo(done ? Group.DONE : customerLast ? Group.OUR_TURN : Group.THEIR_TURN);
      }
    }
  }
}
