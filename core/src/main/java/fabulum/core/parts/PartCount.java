package fabulum.core.parts;

import java.util.List;
import java.util.Optional;

/**
 * What a text costs, and why.
 *
 * @param encoding how it travels
 * @param parts the words of each billed part, in order; joined they give the text back; empty only
 *     for an empty text
 * @param units units the whole text takes
 * @param unitsLeft units still free in the last part; for an empty text a whole single part
 * @param forcing the characters, each once and in order of appearance, that the basic set lacks
 * @param plain the same in plain wording, where that is no more expensive and travels in the basic
 *     set
 */
public record PartCount(
    Encoding encoding,
    List<String> parts,
    int units,
    int unitsLeft,
    List<String> forcing,
    Optional<PlainOffer> plain) {

  public PartCount {
    parts = List.copyOf(parts);
    forcing = List.copyOf(forcing);
  }

  /** The number of billed parts. */
  public int count() {
    return parts.size();
  }

  /**
   * A plain wording on offer.
   *
   * @param text the words with plain punctuation
   * @param parts what it would cost
   * @param saved parts it saves; 0 when it only leaves more room
   * @param unitsLeft units then free in its last part
   */
  public record PlainOffer(String text, int parts, int saved, int unitsLeft) {}
}
