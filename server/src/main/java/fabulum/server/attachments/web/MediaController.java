package fabulum.server.attachments.web;

import fabulum.server.attachments.Attachment;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.attachments.Attachments;
import fabulum.server.attachments.MediaLinks;
import fabulum.server.platform.Problem;
import fabulum.server.platform.web.FileAnswer;
import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where the phone network fetches what goes with our texts; see {@code docs/network-api.md}. */
@RestController
@Hidden
class MediaController {
  private final Attachments attachments;
  private final MediaLinks links;

  MediaController(Attachments attachments, MediaLinks links) {
    this.attachments = attachments;
    this.links = links;
  }

  /** The content, for anyone who has the signed address. */
  @GetMapping("/media/{id}")
  ResponseEntity<Resource> content(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") long until,
      @RequestParam(defaultValue = "") String signature) {
    if (!links.isGood(id, until, signature)) {
      throw Problem.notFound("file");
    }
    Attachment attachment = attachments.get(new AttachmentId(id));
    return attachments
        .content(attachment)
        .map(file -> FileAnswer.of(file, attachment.name(), attachment.mediaType(), false))
        .orElseThrow(() -> Problem.notFound("file"));
  }
}
