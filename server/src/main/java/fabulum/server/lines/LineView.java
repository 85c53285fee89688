package fabulum.server.lines;

import fabulum.core.assignment.Way;
import fabulum.core.attachment.FileKind;
import java.util.Set;

/**
 * A line.
 *
 * @param number in E.164
 * @param shownNumber as people at home write it
 * @param region ISO 3166-1; in whose habits numbers on this line are read and written
 * @param zone IANA name; times on this line are told in it
 * @param inUse nothing leaves from a line that is switched off
 * @param way in which it gives out what nobody owns
 * @param narrowed whether a person sees on it only what nobody owns or is their own; leads see all
 * @param groupLimit how many numbers a group conversation on it may have, at most 20
 * @param mostParts how many parts one text from it may take
 * @param registered whether the networks carry its texts
 * @param signature words below every text from it; empty for none
 * @param reaches the countries it sends to, ISO 3166-1; empty for all
 * @param carries kinds of attachments it sends
 * @param mostKilobytes how large one attachment may be
 */
public record LineView(
    long id,
    String name,
    String site,
    long siteId,
    long teamId,
    String number,
    String shownNumber,
    String region,
    String zone,
    boolean inUse,
    Way way,
    boolean narrowed,
    int groupLimit,
    int mostParts,
    boolean registered,
    String signature,
    Set<String> reaches,
    Set<FileKind> carries,
    int mostKilobytes) {

  /** How large one attachment may be, in octets. */
  public long mostOctets() {
    return mostKilobytes * 1_000L;
  }
}
