package fabulum.server.lines;

import fabulum.core.attachment.FileKind;
import java.util.EnumSet;
import java.util.Set;

/**
 * What a line sends.
 *
 * @param mostParts how many parts one text from it may take, 1 to 25
 * @param registered whether the networks carry its texts
 * @param reaches the countries it sends to, ISO 3166-1; empty for all
 * @param signature words below every text from it; empty for none
 * @param groupLimit how many numbers a group conversation on it may have, 2 to 20
 * @param carries kinds of attachments it sends
 * @param mostKilobytes how large one attachment may be, 100 to 25,000; pictures are made so small
 */
public record LineSending(
    int mostParts,
    boolean registered,
    Set<String> reaches,
    String signature,
    int groupLimit,
    Set<FileKind> carries,
    int mostKilobytes) {
  /** What a line can be set to carry. */
  public static final Set<FileKind> ALL_KINDS =
      Set.copyOf(EnumSet.complementOf(EnumSet.of(FileKind.OTHER)));

  /** As a new line is. */
  public static final LineSending USUAL =
      new LineSending(10, true, Set.of(), "", 8, ALL_KINDS, 5_000);

  public LineSending {
    reaches = Set.copyOf(reaches);
    carries = Set.copyOf(carries);
  }
}
