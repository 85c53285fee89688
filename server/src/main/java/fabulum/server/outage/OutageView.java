package fabulum.server.outage;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The last comparison with the network.
 *
 * @param comparison null when there was none since the program started
 * @param unreported texts of ours the network took and never reported on
 */
public record OutageView(@Nullable Comparison comparison, int unreported) {

  /** What a comparison is doing. */
  public enum Doing {
    COMPARING,
    TAKING,
    /** It is done. */
    RESTING,
    /** The network did not answer; what was compared before stays. */
    STOPPED
  }

  /**
   * A comparison.
   *
   * @param first the first day of the network, in UTC
   * @param last the last day of the network, in UTC
   * @param from when that first day begins
   * @param to when that last day ends
   * @param doing what goes on
   * @param days how many days there are, and how many of them are compared
   * @param known texts that we have as the network has them
   * @param unreadable what the network lists and is no text; it is kept aside for leads
   * @param texts missing and different ones, the oldest first; at most 500
   * @param problem why it stopped
   */
  public record Comparison(
      LocalDate first,
      LocalDate last,
      Instant from,
      Instant to,
      Doing doing,
      int days,
      int daysDone,
      int known,
      int missing,
      int different,
      int taken,
      int cannot,
      int unreadable,
      List<NetworkText> texts,
      @Nullable String problem) {
    public Comparison {
      texts = List.copyOf(texts);
    }
  }

  /**
   * A text the network holds.
   *
   * @param networkId the network's name for it
   * @param day of the network, in UTC
   * @param at when the network received it
   * @param number it came from, as people write it
   * @param state MISSING, DIFFERENT, TAKEN or CANNOT
   * @param ours our words where they differ
   * @param entryId the text in our script, once we have it
   * @param problem why it cannot be taken in
   */
  public record NetworkText(
      String networkId,
      LocalDate day,
      Instant at,
      String number,
      @Nullable Long lineId,
      String words,
      String state,
      @Nullable String ours,
      @Nullable Long entryId,
      @Nullable Long conversationId,
      @Nullable String problem) {}
}
