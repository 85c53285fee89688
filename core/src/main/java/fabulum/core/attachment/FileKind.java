package fabulum.core.attachment;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Kinds of files, as people name them. */
public enum FileKind {
  PICTURE("picture", "pictures"),
  SOUND("sound", "sounds"),
  VIDEO("video", "videos"),
  PDF("PDF", "PDFs"),
  DOCUMENT("document", "documents"),
  CONTACT("contact card", "contact cards"),
  /** Everything else, such as programs and archives; no line carries it. */
  OTHER("file", "files");

  /**
   * Media types of documents, besides text: office programs and their open formats (IANA media type
   * registry).
   */
  private static final Set<String> DOCUMENTS =
      Set.of(
          "text/plain",
          "text/csv",
          "text/calendar",
          "application/rtf",
          "application/msword",
          "application/vnd.ms-excel",
          "application/vnd.ms-powerpoint",
          "application/vnd.openxmlformats-officedocument.wordprocessingml.document",
          "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
          "application/vnd.openxmlformats-officedocument.presentationml.presentation",
          "application/vnd.oasis.opendocument.text",
          "application/vnd.oasis.opendocument.spreadsheet",
          "application/vnd.oasis.opendocument.presentation");

  /** Pictures that can carry a program (SVG) are not taken for pictures. */
  private static final String SVG = "image/svg+xml";

  /** Pictures and sounds that every current browser shows and plays by itself. */
  private static final Set<String> SHOWN =
      Set.of(
          "image/jpeg",
          "image/png",
          "image/gif",
          "image/webp",
          "audio/mpeg",
          "audio/mp4",
          "audio/x-wav",
          "audio/vnd.wave",
          "audio/wav",
          "audio/ogg",
          "video/mp4",
          "video/webm",
          "application/pdf");

  private final String one;
  private final String several;

  FileKind(String one, String several) {
    this.one = one;
    this.several = several;
  }

  /** What a media type is, such as {@code image/jpeg}; in lower case and without parameters. */
  public static FileKind of(String mediaType) {
    if (mediaType.equals("application/pdf")) {
      return PDF;
    }
    if (mediaType.startsWith("image/")) {
      return mediaType.equals(SVG) ? OTHER : PICTURE;
    }
    if (mediaType.startsWith("audio/")) {
      return SOUND;
    }
    if (mediaType.startsWith("video/")) {
      return VIDEO;
    }
    if (Set.of("text/vcard", "text/x-vcard").contains(mediaType)) {
      return CONTACT;
    }
    return DOCUMENTS.contains(mediaType) ? DOCUMENT : OTHER;
  }

  /**
   * Whether a file of this media type may be shown in the page itself: it can carry no program, and
   * browsers know it. All others are only downloaded.
   */
  public static boolean isShown(String mediaType) {
    return SHOWN.contains(mediaType);
  }

  /** In the singular, such as {@code picture}. */
  public String word() {
    return one;
  }

  /**
   * What stands for a text without words: {@code Picture}, {@code 2 pictures and PDF}.
   *
   * @param kinds of what goes with it
   * @return empty when there are none
   */
  public static String said(List<FileKind> kinds) {
    Map<FileKind, Integer> counts = new EnumMap<>(FileKind.class);
    kinds.forEach(kind -> counts.merge(kind, 1, Integer::sum));
    List<String> each = new ArrayList<>();
    counts.forEach((kind, count) -> each.add(count == 1 ? kind.one : count + " " + kind.several));
    if (each.isEmpty()) {
      return "";
    }
    String last = each.remove(each.size() - 1);
    String all = each.isEmpty() ? last : String.join(", ", each) + " and " + last;
    return all.substring(0, 1).toUpperCase(Locale.ROOT) + all.substring(1);
  }
}
