package fabulum.server.lines;

import java.util.Set;

/**
 * What a line sends.
 *
 * @param mostParts how many parts one text from it may take, 1 to 25
 * @param registered whether the networks carry its texts
 * @param reaches the countries it sends to, ISO 3166-1; empty for all
 * @param signature words below every text from it; empty for none
 * @param groupLimit how many numbers a group conversation on it may have, 2 to 20
 */
public record LineSending(
    int mostParts, boolean registered, Set<String> reaches, String signature, int groupLimit) {
  /** As a new line is. */
  public static final LineSending USUAL = new LineSending(10, true, Set.of(), "", 8);

  public LineSending {
    reaches = Set.copyOf(reaches);
  }
}
