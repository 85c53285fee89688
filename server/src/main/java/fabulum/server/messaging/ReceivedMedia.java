package fabulum.server.messaging;

import fabulum.core.delivery.Media;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** What comes with a text, in the network's protocol; see {@code docs/network-api.md}. */
public record ReceivedMedia(
    @Nullable String url,
    @Nullable String name,
    @Nullable String type,
    @Nullable Long octets,
    @Nullable String sha256) {

  private Media media() {
    if (url == null || url.isBlank() || octets == null || octets < 0) {
      throw new IllegalArgumentException("What comes with a text has a url and its octets.");
    }
    String plain = type == null ? "application/octet-stream" : type.toLowerCase(Locale.ROOT);
    boolean hash = sha256 != null && sha256.matches("[0-9a-f]{64}");
    return new Media(url, name, plain, octets, hash ? sha256 : null);
  }

  /** The same as the protocol says it. */
  static List<ReceivedMedia> of(List<Media> media) {
    return media.stream()
        .map(
            one -> new ReceivedMedia(one.url(), one.name(), one.type(), one.octets(), one.sha256()))
        .toList();
  }

  /**
   * All that comes with a text.
   *
   * @throws IllegalArgumentException when something of it cannot be of the protocol
   */
  public static List<Media> all(@Nullable List<@Nullable ReceivedMedia> media) {
    if (media == null) {
      return List.of();
    }
    return media.stream()
        .map(one -> one == null ? new ReceivedMedia(null, null, null, null, null) : one)
        .map(ReceivedMedia::media)
        .toList();
  }
}
