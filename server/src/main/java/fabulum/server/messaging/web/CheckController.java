package fabulum.server.messaging.web;

import fabulum.core.cost.Money;
import fabulum.core.delivery.ClientReference;
import fabulum.core.parts.Encoding;
import fabulum.core.parts.PartCount;
import fabulum.core.parts.PartCounter;
import fabulum.core.parts.PlainWording;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.core.sending.Severity;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Approving;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Messaging.Look;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.sending.Decisions.Decided;
import fabulum.server.sending.Wanted;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What speaks against a text, how it leaves, and what it costs. */
@RestController
class CheckController {
  private final Messaging messaging;
  private final Approving approving;
  private final Lines lines;
  private final NumberReader numbers = new NumberReader();

  CheckController(Messaging messaging, Approving approving, Lines lines) {
    this.messaging = messaging;
    this.approving = approving;
    this.lines = lines;
  }

  /** Words to be counted. */
  record WordsRequest(
      @NotNull(message = "Words are needed.") @Size(max = 20_000, message = "That is too long.")
          String words) {}

  /**
   * The parts of a text.
   *
   * @param encoding how it travels
   * @param parts billed parts; 0 for no words
   * @param units septets or UCS-2 units in all
   * @param unitsLeft units left in the last part
   * @param forcing the characters that force the more expensive encoding
   */
  record PartsResponse(
      Encoding encoding,
      int parts,
      int units,
      int unitsLeft,
      List<String> forcing,
      @Nullable PlainResponse plain) {
    static PartsResponse of(PartCount count, @Nullable PlainResponse plain) {
      return new PartsResponse(
          count.encoding(),
          count.count(),
          count.units(),
          count.unitsLeft(),
          count.forcing(),
          plain);
    }
  }

  /** The same in plain wording, where that is no more expensive. */
  record PlainResponse(String words, int parts, int saved, int unitsLeft) {
    /**
     * The offer for words that leave with something below them: what is saved is said of all that
     * leaves, and what can be changed is what was typed.
     */
    static @Nullable PlainResponse of(PartCount leaving, String typed) {
      String plain = PlainWording.of(typed);
      return leaving
          .plain()
          .filter(offer -> !plain.equals(typed))
          .map(p -> new PlainResponse(plain, p.parts(), p.saved(), p.unitsLeft()))
          .orElse(null);
    }
  }

  /**
   * A text that is being written.
   *
   * @param words as they are written so far
   * @param reference under which they are sent, so that an attempt whose answer got lost does not
   *     speak against them
   * @param seen the newest entry that stood there when it was begun
   * @param attachments what is to go with it
   */
  record CheckRequest(
      @NotNull(message = "Words are needed.") @Size(max = 20_000, message = "That is too long.")
          String words,
      @Nullable @Pattern(regexp = ClientReference.FORM, message = ClientReference.SAID)
          String reference,
      @Nullable Long seen,
      @Nullable @Size(max = 50, message = "That is too long.") List<@NotNull Long> attachments) {}

  /**
   * What speaks against a text, how it leaves, and what it costs.
   *
   * @param parts of the words as they would leave, with what is appended
   * @param verdict what comes of it with nothing confirmed
   * @param objections what speaks against it, the weightiest kinds first
   * @param leaving the words as they would leave
   * @param from the name of the line
   * @param to the number, as people at the line write it
   * @param cost what it would cost; empty where no price is set
   * @param allowances those it is counted in
   * @param pauseSeconds how long it would wait before it leaves
   * @param copies how many numbers would get it: more than one in a group
   */
  record CheckResponse(
      PartsResponse parts,
      Verdict verdict,
      List<ObjectionResponse> objections,
      String leaving,
      String from,
      String to,
      @Nullable MoneyResponse cost,
      List<AllowanceResponse> allowances,
      int pauseSeconds,
      int copies) {}

  /**
   * An amount of money.
   *
   * @param currency ISO 4217
   */
  record MoneyResponse(BigDecimal amount, String currency) {
    static @Nullable MoneyResponse of(@Nullable Money money) {
      return money == null ? null : new MoneyResponse(money.amount(), money.currency());
    }
  }

  /**
   * How much may be sent in a time.
   *
   * @param whose the name of the person or team, or of the business as a whole
   * @param span {@code today}, {@code this week} or {@code this month}
   * @param limit in parts
   * @param used in parts
   */
  record AllowanceResponse(String whose, String span, int limit, int used) {
    static AllowanceResponse of(Allowance allowance) {
      return new AllowanceResponse(
          allowance.whose(), allowance.span(), allowance.limit(), allowance.used());
    }
  }

  /**
   * A reason that speaks against a text.
   *
   * @param code stable; to be given back to confirm it
   * @param severity how much it weighs
   * @param sentence what a person reads
   */
  record ObjectionResponse(String code, Severity severity, String sentence) {}

  /**
   * Says what speaks against a text in a conversation, how it would leave and what it costs, while
   * it is written.
   */
  @PostMapping("/api/conversations/{id}/texts/check")
  CheckResponse check(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody CheckRequest text) {
    Author author = new Author.Person(me.id().value());
    Wanted wanted = Wanted.of(text.words(), author, text.reference());
    List<Long> attachments = text.attachments() == null ? List.of() : text.attachments();
    Look look = messaging.look(new ConversationId(id), wanted, attachments, text.seen());
    return response(look, text.words());
  }

  /**
   * Says what speaks against a text that waits for a second look, with the words as a colleague
   * leaves them, how it would leave and what it costs.
   */
  @Problems({Kind.CHANGED_MEANWHILE})
  @PostMapping("/api/second-looks/{id}/check")
  CheckResponse checkWaiting(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody CheckRequest text) {
    return response(approving.look(id, text.words(), text.seen(), me.id()), text.words());
  }

  private CheckResponse response(Look look, String typed) {
    Decided decided = look.decided();
    LineView line = lines.get(look.line());
    PartCount leaving = PartCounter.count(decided.content().leaving());
    return new CheckResponse(
        PartsResponse.of(leaving, PlainResponse.of(leaving, typed)),
        decided.decision().verdict(),
        decided.decision().objections().stream()
            .map(each ->
                new ObjectionResponse(each.reason().code(), each.severity(), each.sentence()))
            .toList(),
        decided.content().leaving(),
        line.name(),
        numbers.forPeople(look.to(), new Region(line.region())),
        MoneyResponse.of(decided.cost().orElse(null)),
        decided.allowances().stream().map(AllowanceResponse::of).toList(),
        (int) look.leavesAfter().toSeconds(),
        look.copies());
  }

  /** Counts the parts of a text, and names the characters that cost extra. */
  @PostMapping("/api/parts")
  PartsResponse count(@Valid @RequestBody WordsRequest text) {
    PartCount count = PartCounter.count(text.words());
    return PartsResponse.of(count, PlainResponse.of(count, text.words()));
  }
}
