package fabulum.core.delivery;

import fabulum.core.phone.PhoneNumber;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The way to a phone network. Another provider is one more implementation. */
public interface Gateway {

  /**
   * Hands one text over. Never throws for what a network may do: that is an {@link
   * SendOutcome.Unclear}.
   */
  SendOutcome send(OutgoingText text);

  /** Asks whether the network has a text of ours. */
  LookUp find(ClientReference reference);

  /**
   * The texts the network received for our lines in a span of time, oldest first.
   *
   * @param from included
   * @param to not included
   * @throws GatewayUnavailable when the network does not answer
   */
  List<IncomingText> listReceived(Instant from, Instant to);

  /** A text to hand over. */
  record OutgoingText(ClientReference reference, PhoneNumber from, PhoneNumber to, String words) {}

  /**
   * A text the network received.
   *
   * @param networkId the network's name for it, the same however often it is told
   * @param from as the network gave it, a number or a name
   * @param to the number of our line, as the network gave it
   */
  record IncomingText(String networkId, String from, String to, String words, Instant receivedAt) {}

  /** What the network says of a reference. */
  sealed interface LookUp {
    record Known(String networkId) implements LookUp {}

    record NotKnown() implements LookUp {}

    record NoAnswer(String why) implements LookUp {}
  }

  /** The network does not answer. */
  final class GatewayUnavailable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public GatewayUnavailable(String message, @Nullable Throwable cause) {
      super(message, cause);
    }
  }
}
