package fabulum.server.exports.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.exports.ExportFormat;
import fabulum.server.exports.ExportView;
import fabulum.server.exports.Exports;
import fabulum.server.exports.Exports.Ready;
import fabulum.server.platform.web.FileAnswer;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What was said, taken out in open formats. */
@RestController
@RequestMapping("/api/exports")
class ExportsController {
  private final Exports exports;

  ExportsController(Exports exports) {
    this.exports = exports;
  }

  /**
   * An export that is wanted.
   *
   * @param said a sentence of History, as addresses carry it
   * @param title the same in words, for the head of the file
   * @param withFiles what goes or came with the texts as well, in a ZIP
   */
  record TakeOutRequest(
      @NotNull(message = "What is to be exported?") String said,
      @NotNull(message = "Give it a title.") String title,
      @NotNull(message = "In which format?") ExportFormat format,
      boolean withFiles) {}

  /** What was asked for. */
  record TakeOutResponse(long id) {}

  /** Asks for an export; it is made in the background. */
  @PostMapping
  TakeOutResponse begin(
      @AuthenticationPrincipal SignedIn me, @Valid @RequestBody TakeOutRequest wanted) {
    return new TakeOutResponse(
        exports.begin(wanted.said(), wanted.title(), wanted.format(), wanted.withFiles(), me.id()));
  }

  /** My exports, the newest first; at most 20. */
  @GetMapping
  List<ExportView> exports(@AuthenticationPrincipal SignedIn me) {
    return exports.list(me.id());
  }

  /** The file of one of my exports. */
  @GetMapping("/{id}/file")
  ResponseEntity<Resource> file(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    Ready ready = exports.file(id, me.id());
    return FileAnswer.of(ready.path(), ready.name(), ready.mediaType(), true);
  }

  /** Removes one of my exports with its file. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    exports.remove(id, me.id());
  }
}
