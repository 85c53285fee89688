package fabulum.server.messaging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.GatewayUnavailable;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.server.conversations.Conversations;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.FabulumExtension;
import fabulum.server.testing.Webhook;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(FabulumExtension.class)
class CatchUpTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Gateway gateway = mock(Gateway.class);

  CatchUpTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
  }

  private CatchUp catchUp() {
    return new CatchUp(
        gateway,
        fabulum.context.getBean(Inbound.class),
        fabulum.context.getBean(Conversations.class),
        fabulum.context.getBean(NetworkSettings.class),
        fabulum.clock);
  }

  private IncomingText text(String id, String from, String to, String words) {
    return new IncomingText(id, from, to, words, fabulum.clock.instant());
  }

  @Test
  void whatTheWebhookMissedIsFetchedOnceAndWhatIsNotForUsIsLeft() {
    String number = fabulum.freshNumber();
    String known = Webhook.id();
    fabulum
        .webhook()
        .text(known, number, Fabulum.DOCK, "told", fabulum.clock.instant())
        .require(200);
    when(gateway.listReceived(any(), any()))
        .thenReturn(
            List.of(
                text(known, number, Fabulum.DOCK, "told"),
                text(Webhook.id(), number, "+19205550188", "for somebody else"),
                text(Webhook.id(), number, Fabulum.DOCK, "missed")));
    CatchUp catchUp = catchUp();

    catchUp.ask();
    catchUp.ask();

    assertThat(maren.script(maren.conversationOf(number).path("id").asLong()).valueStream())
        .extracting(entry -> entry.path("words").asString())
        .containsExactly("told", "missed");
  }

  @Test
  void aNetworkThatIsSilentIsAskedAgainForTheSameTime() {
    String number = fabulum.freshNumber();
    List<Instant> asked = new java.util.ArrayList<>();
    when(gateway.listReceived(any(), any()))
        .thenAnswer(call -> {
          asked.add(call.getArgument(0));
          if (asked.size() == 1) {
            throw new GatewayUnavailable("silent", null);
          }
          return List.of(text("late-" + number, number, Fabulum.DOCK, "at last"));
        });
    CatchUp catchUp = catchUp();

    catchUp.ask();
    catchUp.ask();

    assertThat(asked.get(1)).isEqualTo(asked.get(0));
    assertThat(maren.conversationOf(number).path("lastWords").asString()).isEqualTo("at last");
  }
}
