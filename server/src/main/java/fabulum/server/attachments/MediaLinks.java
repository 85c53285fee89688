package fabulum.server.attachments;

import fabulum.core.delivery.Media;
import fabulum.server.accounts.Secrets;
import fabulum.server.platform.PageSettings;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Signed addresses under which the phone network fetches what goes with our texts. */
@Service
public class MediaLinks {
  private static final String KEY = "addresses of attachments";

  private final Attachments attachments;
  private final Secrets secrets;
  private final PageSettings page;
  private final AttachmentSettings settings;
  private final Clock clock;

  MediaLinks(
      Attachments attachments,
      Secrets secrets,
      PageSettings page,
      AttachmentSettings settings,
      Clock clock) {
    this.attachments = attachments;
    this.secrets = secrets;
    this.page = page;
    this.settings = settings;
    this.clock = clock;
  }

  /** Whether the network can fetch anything from us: only where our own address is set up. */
  public boolean isPossible() {
    return page.address() != null && !page.address().isBlank();
  }

  /**
   * The address of an attachment's content, for some days.
   *
   * @return empty when our own address is not set up, or the content is not here
   */
  private Optional<String> link(Attachment attachment) {
    if (!isPossible() || attachments.content(attachment).isEmpty()) {
      return Optional.empty();
    }
    long until = clock.instant().plus(settings.linkedFor()).getEpochSecond();
    String base = String.valueOf(page.address()).replaceAll("/+$", "");
    return Optional.of(
        base
            + "/media/"
            + attachment.id()
            + "?until="
            + until
            + "&signature="
            + sign(attachment.id(), until));
  }

  /**
   * What goes with a text of ours, for the network.
   *
   * @return empty when something of it cannot be had any more
   */
  public Optional<List<Media>> of(long entry) {
    List<Media> all = new ArrayList<>();
    for (Attachment each : attachments.rowsOf(List.of(entry))) {
      Optional<String> url = link(each);
      if (url.isEmpty()) {
        return Optional.empty();
      }
      all.add(new Media(url.get(), each.name(), each.mediaType(), each.octets(), each.hash()));
    }
    return Optional.of(all);
  }

  private String sign(long id, long until) {
    return secrets.fingerprint(KEY, id + "." + until);
  }

  /** Whether an address was made by us and still holds. */
  public boolean isGood(long id, long until, String signature) {
    return MessageDigest.isEqual(
            sign(id, until).getBytes(StandardCharsets.UTF_8),
            signature.getBytes(StandardCharsets.UTF_8))
        && clock.instant().isBefore(Instant.ofEpochSecond(until));
  }
}
