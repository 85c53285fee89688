package fabulum.server.exports;

/** Open formats in which what was said is taken out. */
public enum ExportFormat {
  /** A script to read and print. */
  PDF("pdf", "application/pdf"),
  /** For a spreadsheet (RFC 4180). */
  CSV("csv", "text/csv"),
  /** For other programs (RFC 8259). */
  JSON("json", "application/json");

  private final String ending;
  private final String mediaType;

  ExportFormat(String ending, String mediaType) {
    this.ending = ending;
    this.mediaType = mediaType;
  }

  /** The end of a file's name. */
  public String ending() {
    return ending;
  }

  /** The media type of a file. */
  public String mediaType() {
    return mediaType;
  }
}
