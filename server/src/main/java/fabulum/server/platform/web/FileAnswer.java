package fabulum.server.platform.web;

import fabulum.core.attachment.FileKind;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * A file as it is handed out: it can do nothing in our page's name. Its type is not guessed, what
 * it is opened in may run no script and reach nothing, all but pictures, sound, video and PDF is
 * only saved, and no cache keeps it.
 */
public final class FileAnswer {
  private static final String NOTHING =
      "default-src 'none'; style-src 'unsafe-inline'; img-src 'self'; media-src 'self'; sandbox";

  private FileAnswer() {}

  /**
   * The answer.
   *
   * @param name under which it is saved
   * @param save whether it is to be saved, also where it could be shown
   */
  public static ResponseEntity<Resource> of(
      Path file, String name, String mediaType, boolean save) {
    boolean shown = FileKind.isShown(mediaType) && !save;
    ContentDisposition how =
        (shown ? ContentDisposition.inline() : ContentDisposition.attachment())
            .filename(name, StandardCharsets.UTF_8)
            .build();
    MediaType type =
        FileKind.isShown(mediaType)
            ? MediaType.parseMediaType(mediaType)
            : MediaType.APPLICATION_OCTET_STREAM;
    return ResponseEntity.ok()
        .contentType(type)
        .cacheControl(CacheControl.noStore())
        .header("Content-Disposition", how.toString())
        .header("Content-Security-Policy", NOTHING)
        .header("X-Content-Type-Options", "nosniff")
        .header("Cross-Origin-Resource-Policy", "same-origin")
        .body(new FileSystemResource(file));
  }
}
