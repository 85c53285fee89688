package fabulum.standins;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A text the network carries to a handset. */
public record Carried(
    String id,
    String reference,
    String from,
    String to,
    String body,
    Instant acceptedAt,
    State state,
    @Nullable String code,
    @Nullable String reason,
    @Nullable List<Media> media) {

  /** How far it has come. */
  public enum State {
    SENT,
    DELIVERED,
    READ,
    FAILED
  }

  Carried now(State next, @Nullable String why, @Nullable String words) {
    return new Carried(id, reference, from, to, body, acceptedAt, next, why, words, media);
  }

  Carried with(List<Media> kept) {
    return new Carried(id, reference, from, to, body, acceptedAt, state, code, reason, kept);
  }
}
