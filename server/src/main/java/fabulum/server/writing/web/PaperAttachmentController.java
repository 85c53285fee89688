package fabulum.server.writing.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.writing.PaperAttachments;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** What people put to the texts they write. */
@RestController
@RequestMapping("/api/conversations/{id}/attachments")
class PaperAttachmentController {
  private final PaperAttachments attachments;

  PaperAttachmentController(PaperAttachments attachments) {
    this.attachments = attachments;
  }

  /** Makes a file ready and puts it to the text I write here. */
  @Problems({Kind.NO_SPACE})
  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  AttachmentView attach(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @RequestPart MultipartFile file)
      throws IOException {
    String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
    try (InputStream content = file.getInputStream()) {
      return attachments.put(new ConversationId(id), name, content, me.id());
    }
  }

  /** Takes an attachment off the text I write here. */
  @DeleteMapping("/{attachment}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void detach(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @PathVariable long attachment) {
    attachments.remove(new ConversationId(id), new AttachmentId(attachment), me.id());
  }
}
