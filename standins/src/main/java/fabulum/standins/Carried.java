package fabulum.standins;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A text the network carries to a handset.
 *
 * @param group the numbers that see each other's texts; null for a text to one. Of such a text each
 *     number has a copy, with the same id and reference
 */
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
    @Nullable List<Media> media,
    @Nullable List<String> group) {

  /** How far it has come. */
  public enum State {
    SENT,
    DELIVERED,
    READ,
    FAILED
  }

  /** What tells it from every other copy. */
  String key() {
    return group == null ? id : id + " " + to;
  }

  Carried now(State next, @Nullable String why, @Nullable String words) {
    return new Carried(id, reference, from, to, body, acceptedAt, next, why, words, media, group);
  }

  Carried with(List<Media> kept) {
    return new Carried(id, reference, from, to, body, acceptedAt, state, code, reason, kept, group);
  }
}
