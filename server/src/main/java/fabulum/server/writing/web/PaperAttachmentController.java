package fabulum.server.writing.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.KeptFileView;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.writing.PaperAttachments;
import fabulum.server.writing.PaperAttachments.OfferedFiles;
import jakarta.validation.Valid;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
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

  /**
   * What is put to the text: one of both.
   *
   * @param kept a file of the shelf, or one that is kept with the customer
   * @param earlier what went or came with an earlier text
   */
  record AgainRequest(@Nullable Long kept, @Nullable Long earlier) {}

  /** Puts a file that is here already to the text I write here. */
  @Problems({Kind.NO_SPACE})
  @PostMapping("/again")
  AttachmentView attachAgain(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody AgainRequest wanted) {
    ConversationId to = new ConversationId(id);
    return wanted.kept() != null
        ? attachments.putKept(to, wanted.kept(), me.id())
        : attachments.putAgain(
            to, new AttachmentId(wanted.earlier() == null ? 0 : wanted.earlier()), me.id());
  }

  /** Files that can be put to the text I write here. */
  @GetMapping("/offered")
  OfferedFilesResponse offered(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return OfferedFilesResponse.of(attachments.offered(new ConversationId(id), me.id()));
  }

  /** Files that can be put to a text: of the shelf, of the customer, of earlier texts. */
  record OfferedFilesResponse(
      List<KeptFileView> shelf, List<KeptFileView> kept, List<AttachmentView> earlier) {
    static OfferedFilesResponse of(OfferedFiles files) {
      return new OfferedFilesResponse(
          files.shelf().stream().map(KeptFileView::of).toList(),
          files.kept().stream().map(KeptFileView::of).toList(),
          files.earlier());
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
