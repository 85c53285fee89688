package fabulum.server.conversations.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.conversations.script.ScriptAttachments;
import fabulum.server.conversations.script.ScriptAttachments.SeenFile;
import fabulum.server.platform.web.FileAnswer;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What goes and came with texts. */
@RestController
@RequestMapping("/api/attachments/{id}")
class AttachmentController {
  private final ScriptAttachments attachments;

  AttachmentController(ScriptAttachments attachments) {
    this.attachments = attachments;
  }

  /** The file itself; with {@code save} it is to be saved, also where it could be shown. */
  @GetMapping(produces = MediaType.ALL_VALUE)
  ResponseEntity<Resource> attachment(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean save) {
    SeenFile file = attachments.content(new AttachmentId(id), me.id());
    return FileAnswer.of(file.path(), file.name(), file.mediaType(), save);
  }

  /** Its picture in small, a JPEG. */
  @GetMapping(path = "/preview", produces = MediaType.ALL_VALUE)
  ResponseEntity<Resource> attachmentPreview(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    SeenFile file = attachments.preview(new AttachmentId(id), me.id());
    return FileAnswer.of(file.path(), "preview.jpg", file.mediaType(), false);
  }

  /** What it shows. */
  record DescriptionRequest(@NotNull(message = "Describe it, or say nothing.") String words) {}

  /** Says what it shows, for those who do not see it. */
  @PutMapping("/words")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void describeAttachment(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody DescriptionRequest wanted) {
    attachments.describe(new AttachmentId(id), wanted.words(), me.id());
  }

  /** Tries again to fetch it from the phone network. */
  @PostMapping("/fetch-again")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void fetchAttachmentAgain(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    attachments.fetchAgain(new AttachmentId(id), me.id());
  }
}
