package fabulum.server.attachments.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.attachments.KeptFile;
import fabulum.server.attachments.KeptFileView;
import fabulum.server.attachments.KeptFiles;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.FileAnswer;
import fabulum.server.platform.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Files that are kept to be sent: the team's shelf, and what is kept with customers. */
@RestController
class KeptFileController {
  private final KeptFiles files;

  KeptFileController(KeptFiles files) {
    this.files = files;
  }

  /** The team's shelf by title, those that are retired last. */
  @GetMapping("/api/shelf")
  List<KeptFileView> shelf() {
    return files.listShelf().stream().map(KeptFileView::of).toList();
  }

  /** Puts a file on the team's shelf. */
  @Problems({Kind.NO_SPACE})
  @PostMapping(path = "/api/shelf", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  KeptFileView putOnShelf(@AuthenticationPrincipal SignedIn me, @RequestPart MultipartFile file)
      throws IOException {
    return put(null, file, me);
  }

  private KeptFileView put(@Nullable Long customer, MultipartFile file, SignedIn me)
      throws IOException {
    String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
    try (InputStream content = file.getInputStream()) {
      return KeptFileView.of(files.put(customer, name, content, me.id()));
    }
  }

  /**
   * A file of the shelf as I want it.
   *
   * @param lines from which it is offered; empty for all
   * @param version that I saw
   */
  record ShelfRequest(
      @NotNull(message = "Give it a title.") @Size(max = 400, message = "That is too long.")
          String title,
      @Nullable Boolean retired,
      @Nullable Set<@NotNull Long> lines,
      long version) {}

  /** Changes a file of the shelf: its title, its lines, whether it is offered. */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PutMapping("/api/shelf/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void changeShelf(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody ShelfRequest wanted) {
    Set<Long> lines = wanted.lines() == null ? Set.of() : wanted.lines();
    boolean retired = Boolean.TRUE.equals(wanted.retired());
    files.change(
        id, new KeptFiles.Change(wanted.title(), retired, lines, wanted.version()), me.id());
  }

  /** The files that are kept with a customer, the newest first. */
  @GetMapping("/api/customers/{id}/files")
  List<KeptFileView> customerFiles(@PathVariable long id) {
    return files.listOfCustomer(id).stream().map(KeptFileView::of).toList();
  }

  /** Keeps a file with a customer. */
  @Problems({Kind.NO_SPACE})
  @PostMapping(path = "/api/customers/{id}/files", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  KeptFileView keepWithCustomer(
      @AuthenticationPrincipal SignedIn me, @PathVariable long id, @RequestPart MultipartFile file)
      throws IOException {
    return put(id, file, me);
  }

  /**
   * The job a file belongs to.
   *
   * @param job null for none
   */
  record FileOfJobRequest(@Nullable Long job) {}

  /** Says to which job of its customer a kept file belongs. */
  @PutMapping("/api/kept-files/{id}/job")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putWithJob(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody FileOfJobRequest wanted) {
    files.putWithJob(id, wanted.job(), me.id());
  }

  /** Keeps a file of a customer no longer; what was sent stays in its script. */
  @DeleteMapping("/api/kept-files/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeKept(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    files.remove(id, me.id());
  }

  /** The kept file itself; with {@code save} it is to be saved, also where it could be shown. */
  @GetMapping(path = "/api/kept-files/{id}", produces = MediaType.ALL_VALUE)
  ResponseEntity<Resource> keptFile(
      @PathVariable long id, @RequestParam(defaultValue = "false") boolean save) {
    KeptFile file = files.get(id);
    return files
        .content(file)
        .map(path -> FileAnswer.of(path, file.name(), file.mediaType(), save))
        .orElseThrow(() -> Problem.notFound("file"));
  }

  /** Its picture in small, a JPEG. */
  @GetMapping(path = "/api/kept-files/{id}/preview", produces = MediaType.ALL_VALUE)
  ResponseEntity<Resource> keptPreview(@PathVariable long id) {
    return files
        .preview(files.get(id))
        .map(path -> FileAnswer.of(path, "preview.jpg", "image/jpeg", false))
        .orElseThrow(() -> Problem.notFound("file"));
  }
}
