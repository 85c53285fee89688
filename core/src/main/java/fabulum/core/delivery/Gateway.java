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
  Listing listReceived(Instant from, Instant to);

  /**
   * What the network lists as received.
   *
   * @param unreadable what stands in the list and is no text of its protocol
   */
  record Listing(List<IncomingText> texts, List<Unreadable> unreadable) {
    public Listing {
      texts = List.copyOf(texts);
      unreadable = List.copyOf(unreadable);
    }

    /** A list of nothing but texts. */
    public static Listing of(List<IncomingText> texts) {
      return new Listing(texts, List.of());
    }
  }

  /** Something in a list that is no text, as it came. */
  record Unreadable(String asItCame, String why) {}

  /**
   * A text to hand over; with media it may have no words.
   *
   * @param to one number, or those of a group that get it
   * @param group whether they see each other's texts; a group can have come down to one
   */
  record OutgoingText(
      ClientReference reference,
      PhoneNumber from,
      List<PhoneNumber> to,
      boolean group,
      String words,
      List<Media> media) {
    public OutgoingText {
      to = List.copyOf(to);
      media = List.copyOf(media);
      if (to.isEmpty() || to.size() > 1 && !group) {
        throw new IllegalArgumentException("A text goes to one number, or to a group");
      }
    }
  }

  /**
   * A text the network received.
   *
   * @param networkId the network's name for it, the same however often it is told
   * @param from as the network gave it, a number or a name
   * @param to the number of our line, as the network gave it
   * @param group the numbers that see each other's texts, as the network gave them; empty for a
   *     text to us alone. Whether the sender and our line are among them does not matter
   */
  record IncomingText(
      String networkId,
      String from,
      String to,
      String words,
      Instant receivedAt,
      List<Media> media,
      List<String> group) {
    public IncomingText {
      group = List.copyOf(group);
      media = List.copyOf(media);
    }
  }

  /** What the network says of a reference. */
  sealed interface LookUp {
    /**
     * The network has it.
     *
     * @param state how far it has come, as far as the network says
     * @param code why it was not delivered, with its reason; null otherwise
     * @param each of a text to a group: how far it has come with each number
     */
    record Known(
        String networkId,
        DeliveryState state,
        @Nullable String code,
        @Nullable String reason,
        List<KnownOf> each)
        implements LookUp {
      public Known {
        each = List.copyOf(each);
      }
    }

    /** How far a text has come with one number of a group, in E.164. */
    record KnownOf(
        String to, DeliveryState state, @Nullable String code, @Nullable String reason) {}

    record NotKnown() implements LookUp {}

    record NoAnswer(String why) implements LookUp {}

    /** The network does not deal with us at all just now; see {@link SendOutcome.Closed}. */
    record Closed(String code, String reason) implements LookUp {}
  }

  /** The network does not answer. */
  final class GatewayUnavailable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public GatewayUnavailable(String message, @Nullable Throwable cause) {
      super(message, cause);
    }
  }
}
