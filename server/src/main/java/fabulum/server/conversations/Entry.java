package fabulum.server.conversations;

import fabulum.core.cost.Money;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.sending.Author;
import fabulum.server.access.StaffId;
import fabulum.server.customers.NumberId;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * An entry of a script. The id of one not yet added is 0.
 *
 * @param answeredSince of a text of ours: since when someone waits for what it says
 * @param needsHand of a text of ours: it was not delivered, and nobody has dealt with that yet
 * @param numberId of a text that came in: the number it came from
 * @param leavesAt of a text of ours: until when it could be taken back; null where it left at once
 * @param typed of a text of ours: how many of its characters were typed; null for all
 * @param cost what it cost, in {@code currency}; null where no price held
 * @param promiseSeconds of an answer: within which working time it was promised
 */
public record Entry(
    long id,
    long conversationId,
    Instant at,
    EntryKind kind,
    @Nullable String words,
    @Nullable EventKind event,
    @Nullable Long speakerId,
    boolean automatic,
    @Nullable String networkId,
    @Nullable String reference,
    @Nullable DeliveryState delivery,
    @Nullable String failureCode,
    @Nullable String failureReason,
    @Nullable Integer parts,
    @Nullable Long workingSeconds,
    boolean firstAnswer,
    @Nullable Long aboutStaff,
    @Nullable Long aboutTeam,
    @Nullable Long fromStaff,
    @Nullable Instant editedAt,
    boolean withdrawn,
    @Nullable Instant claimedAt,
    @Nullable Instant arrivedAt,
    @Nullable Instant answeredSince,
    boolean oneOfMany,
    boolean needsHand,
    @Nullable Long numberId,
    @Nullable Instant leavesAt,
    @Nullable Integer typed,
    @Nullable BigDecimal cost,
    @Nullable String currency,
    @Nullable Long promiseSeconds) {

  /**
   * The wait that an answer ends.
   *
   * @param workingSeconds how long it was
   * @param promiseSeconds how long it should have been at most, by the promise that held then
   * @param first whether it is the first answer since the conversation was opened
   */
  public record WaitEnded(Instant since, long workingSeconds, long promiseSeconds, boolean first) {}

  /** A text from the customer. */
  static Entry received(long conversation, NumberId from, ReceivedText text, Optional<Money> cost) {
    Fields draft = new Fields(conversation, text.when().at(), EntryKind.IN);
    draft.words = text.words();
    draft.networkId = text.networkId();
    draft.numberId = from.value();
    draft.claimedAt = text.when().claimed().orElse(null);
    draft.arrivedAt = text.when().arrivedAt().orElse(null);
    draft.cost = cost.map(Money::amount).orElse(null);
    draft.currency = cost.map(Money::currency).orElse(null);
    return draft.row();
  }

  /** A text of ours that was sent before Fabulum; null for a writer who is nobody on the staff. */
  static Entry sentBefore(long conversation, Instant at, String words, @Nullable StaffId by) {
    Fields draft = new Fields(conversation, at, EntryKind.OUT);
    draft.words = words;
    draft.speakerId = by == null ? null : by.value();
    draft.delivery = DeliveryState.SENT;
    return draft.row();
  }

  /** A text of ours that waits to go, and the wait that it ends. */
  public static Entry said(
      long conversation, Instant at, Said said, Leaving leaving, @Nullable WaitEnded wait) {
    Author author = said.author();
    Fields draft = new Fields(conversation, at, EntryKind.OUT);
    draft.words = leaving.words();
    draft.typed = leaving.words().equals(said.words()) ? null : said.words().length();
    draft.speakerId = author.writer().isPresent() ? author.writer().getAsLong() : null;
    draft.automatic = !author.effect().endsWait();
    draft.reference = said.reference().value();
    draft.delivery = DeliveryState.WAITING;
    draft.parts = leaving.parts();
    draft.leavesAt = leaving.at().isAfter(at) ? leaving.at() : null;
    draft.cost = leaving.cost().map(Money::amount).orElse(null);
    draft.currency = leaving.cost().map(Money::currency).orElse(null);
    draft.workingSeconds = wait == null ? null : wait.workingSeconds();
    draft.promiseSeconds = wait == null ? null : wait.promiseSeconds();
    draft.firstAnswer = wait != null && wait.first();
    draft.answeredSince = wait == null ? null : wait.since();
    draft.oneOfMany = author.effect().isolatesFailure();
    return draft.row();
  }

  /** A note. */
  public static Entry note(long conversation, Instant at, String words, long by, String reference) {
    Fields draft = new Fields(conversation, at, EntryKind.NOTE);
    draft.words = words;
    draft.speakerId = by;
    draft.reference = reference;
    return draft.row();
  }

  /**
   * An event.
   *
   * @param by who did it; null for the program
   * @param words what more there is to say of it
   * @param workingSeconds the working time that it ended
   */
  public static Entry event(
      long conversation,
      Instant at,
      EventKind event,
      @Nullable Long by,
      @Nullable String words,
      @Nullable Long workingSeconds) {
    Fields draft = new Fields(conversation, at, EntryKind.EVENT);
    draft.words = words;
    draft.event = event;
    draft.speakerId = by;
    draft.automatic = by == null;
    draft.workingSeconds = workingSeconds;
    return draft.row();
  }

  /** An event about one of several numbers on the other side. */
  public static Entry eventOf(long conversation, Instant at, EventKind event, NumberId number) {
    Fields draft = new Fields(conversation, at, EntryKind.EVENT);
    draft.event = event;
    draft.numberId = number.value();
    draft.automatic = true;
    return draft.row();
  }

  /** The same event, about a colleague or a team, and whose it was before. */
  public Entry about(@Nullable Long from, @Nullable Long staff, @Nullable Long team) {
    Fields draft = new Fields(conversationId, at, kind);
    draft.words = words;
    draft.event = event;
    draft.speakerId = speakerId;
    draft.automatic = automatic;
    draft.workingSeconds = workingSeconds;
    draft.aboutStaff = staff;
    draft.aboutTeam = team;
    draft.fromStaff = from;
    return draft.row();
  }

  /** The words of a text of ours as its writer typed them. */
  public String typedWords() {
    String whole = words == null ? "" : words;
    return typed == null ? whole : whole.substring(0, typed);
  }

  /** How far a text of ours has come. */
  public DeliveryState deliveryState() {
    return delivery == null ? DeliveryState.WAITING : delivery;
  }

  /** A row before it is inserted; what a kind of entry does not have stays empty. */
  private static final class Fields {
    private final long conversationId;
    private final Instant at;
    private final EntryKind kind;
    private @Nullable String words;
    private @Nullable EventKind event;
    private @Nullable Long speakerId;
    private boolean automatic;
    private @Nullable String networkId;
    private @Nullable String reference;
    private @Nullable DeliveryState delivery;
    private @Nullable Integer parts;
    private @Nullable Long workingSeconds;
    private boolean firstAnswer;
    private @Nullable Long aboutStaff;
    private @Nullable Long aboutTeam;
    private @Nullable Long fromStaff;
    private @Nullable Instant claimedAt;
    private @Nullable Instant arrivedAt;
    private @Nullable Instant answeredSince;
    private boolean oneOfMany;
    private @Nullable Long numberId;
    private @Nullable Instant leavesAt;
    private @Nullable Integer typed;
    private @Nullable BigDecimal cost;
    private @Nullable String currency;
    private @Nullable Long promiseSeconds;

    Fields(long conversationId, Instant at, EntryKind kind) {
      this.conversationId = conversationId;
      this.at = at;
      this.kind = kind;
    }

    Entry row() {
      return new Entry(
          0,
          conversationId,
          at,
          kind,
          words,
          event,
          speakerId,
          automatic,
          networkId,
          reference,
          delivery,
          null,
          null,
          parts,
          workingSeconds,
          firstAnswer,
          aboutStaff,
          aboutTeam,
          fromStaff,
          null,
          false,
          claimedAt,
          arrivedAt,
          answeredSince,
          oneOfMany,
          false,
          numberId,
          leavesAt,
          typed,
          cost,
          currency,
          promiseSeconds);
    }
  }
}
