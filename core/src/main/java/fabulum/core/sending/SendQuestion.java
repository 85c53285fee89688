package fabulum.core.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.TextKind;
import fabulum.core.attachment.FileKind;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * May this text go, to this number, now?
 *
 * @param at when it would go
 */
public record SendQuestion(
    Content content, Author author, From from, To to, Lately lately, Instant at) {

  /**
   * What would go.
   *
   * @param typed the words as they were written
   * @param leaving the words as they would leave, with what is appended
   */
  public record Content(String typed, String leaving, TextKind kind, List<Attachment> attachments) {
    public Content {
      attachments = List.copyOf(attachments);
    }

    /**
     * Words under which something else is put: a signature, and words that must stand there. Under
     * nothing typed nothing is put.
     *
     * @param under each on a line of its own; blank ones are left out
     */
    public static Content with(
        String words, TextKind kind, List<String> under, List<Attachment> attachments) {
      String leaving =
          words.isBlank()
              ? words
              : Stream.concat(Stream.of(words), under.stream().filter(each -> !each.isBlank()))
                  .collect(Collectors.joining("\n"));
      return new Content(words, leaving, kind, attachments);
    }

    /** Words that leave as they were written. */
    public static Content of(String words) {
      return new Content(words, words, TextKind.SERVICE, List.of());
    }
  }

  /**
   * What goes with it.
   *
   * @param type a media type, for example {@code image/jpeg}
   * @param octets its size
   */
  public record Attachment(String name, String type, long octets) {
    /** What it is. */
    public FileKind kind() {
      return FileKind.of(type);
    }
  }

  /**
   * The line it would leave from.
   *
   * @param inUse whether it is switched on
   * @param registered whether the networks carry its texts
   * @param networkWaits whether the network does not answer at the moment
   * @param mostParts how many parts one text may take
   * @param reaches the countries it sends to; empty for all
   * @param carries kinds of attachments it carries; empty for none
   * @param mostOctets how large an attachment may be
   */
  public record From(
      boolean inUse,
      boolean registered,
      boolean networkWaits,
      int mostParts,
      Set<Region> reaches,
      Set<FileKind> carries,
      long mostOctets) {
    public From {
      reaches = Set.copyOf(reaches);
      carries = Set.copyOf(carries);
    }
  }

  /** What is known of a number. */
  public enum NumberState {
    /** Nothing speaks against it. */
    GOOD,
    /** A person marked it as wrong: it belongs to someone else. */
    MARKED_WRONG,
    /** It cannot receive texts. */
    CANNOT_RECEIVE,
    /** It does not exist. */
    NO_SUCH_NUMBER;

    /**
     * What a network says of the number when it gives up a text; empty when the reason is about
     * that text only.
     *
     * @param code of the network's protocol
     */
    public static Optional<NumberState> ofFailure(String code) {
      return switch (code) {
        case "no-such-number" -> Optional.of(NO_SUCH_NUMBER);
        case "cannot-receive-texts" -> Optional.of(CANNOT_RECEIVE);
        default -> Optional.empty();
      };
    }
  }

  /**
   * The number it would go to.
   *
   * @param country where it belongs; empty when that is not known
   * @param everWrote whether any text ever came from it
   * @param answering whether a text of theirs waits, or came within a day
   * @param zone the zone in which its holder is
   * @param dayOff whether today is a day off there
   */
  public record To(
      Sender sender,
      Optional<Region> country,
      NumberState state,
      Agreement agreement,
      boolean everWrote,
      boolean answering,
      ZoneId zone,
      boolean dayOff) {}

  /**
   * What happened before.
   *
   * @param sameText the last time the same words went to this number
   * @param answered a colleague's answer that the writer has not seen
   * @param allowances those the text is counted in
   * @param recipients how many get it by the same act
   */
  public record Lately(
      Optional<Sent> sameText,
      Optional<Sent> answered,
      List<Allowance> allowances,
      int recipients) {
    /** Nothing happened. */
    public static final Lately NOTHING =
        new Lately(Optional.empty(), Optional.empty(), List.of(), 1);

    public Lately {
      allowances = List.copyOf(allowances);
    }
  }

  /**
   * A text of ours.
   *
   * @param by the name of its writer
   */
  public record Sent(Instant at, String by) {}

  /**
   * How much may be sent in a time, and how much has been.
   *
   * @param whose the name of the person or team; {@code The business} for all
   * @param span {@code today}, {@code this week} or {@code this month}
   * @param limit in parts; 0 for none at all
   * @param used in parts, this text not counted
   */
  public record Allowance(String whose, String span, int limit, int used) {
    /** Parts left, never negative. */
    public int left() {
      return Math.max(0, limit - used);
    }
  }
}
