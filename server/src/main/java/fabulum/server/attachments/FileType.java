package fabulum.server.attachments;

import fabulum.core.attachment.FileName;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;
import org.apache.tika.Tika;
import org.apache.tika.mime.MimeTypes;

/** What a file is, by its content. */
final class FileType {
  /**
   * What many formats look like from outside; only for these does a name say more. The content of
   * an office document is a ZIP archive, and of a list of values is text.
   */
  private static final Set<String> ENVELOPES =
      Set.of(
          "text/plain",
          "application/zip",
          "application/x-tika-ooxml",
          "application/x-tika-msoffice");

  private static final String UNKNOWN = "application/octet-stream";

  /** Loaded with the first file. */
  private static final class Known {
    private static final Tika TIKA = new Tika(MimeTypes.getDefaultMimeTypes());
  }

  private FileType() {}

  /**
   * The media type in lower case, without parameters. A name is believed only where it says which
   * of several formats in the same envelope it is.
   */
  static String of(Path file, String name) throws IOException {
    String content;
    try (InputStream octets = Files.newInputStream(file)) {
      content = plain(Known.TIKA.detect(octets));
    }
    if (!ENVELOPES.contains(content)) {
      return content;
    }
    String named = plain(Known.TIKA.detect(name));
    return fits(content, named) ? named : content;
  }

  private static boolean fits(String envelope, String named) {
    if (named.equals(UNKNOWN)) {
      return false;
    }
    return switch (envelope) {
      case "text/plain" -> named.startsWith("text/");
      case "application/x-tika-msoffice" ->
          named.startsWith("application/vnd.ms-") || named.equals("application/msword");
      default ->
          named.startsWith("application/vnd.openxmlformats-officedocument.")
              || named.startsWith("application/vnd.oasis.opendocument.");
    };
  }

  private static String plain(String type) {
    int parameter = type.indexOf(';');
    return (parameter < 0 ? type : type.substring(0, parameter)).strip().toLowerCase(Locale.ROOT);
  }

  /** The usual ending of files of a type, such as {@code .jpg}; empty when there is none. */
  static String ending(String type) {
    return switch (type) {
      case "image/jpeg" -> ".jpg";
      case "image/png" -> ".png";
      default -> "";
    };
  }

  /** A name for a file of a type that has none. */
  static String named(String name) {
    return FileName.clean(name, "file");
  }
}
