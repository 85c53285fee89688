package fabulum.core.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.AgreementChange;
import fabulum.core.agreement.Ground;
import fabulum.core.agreement.TextKind;
import fabulum.core.attachment.FileKind;
import fabulum.core.phone.NamedSender;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.core.sending.SendQuestion.Attachment;
import fabulum.core.sending.SendQuestion.Content;
import fabulum.core.sending.SendQuestion.From;
import fabulum.core.sending.SendQuestion.Lately;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.sending.SendQuestion.Sent;
import fabulum.core.sending.SendQuestion.To;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** An ordinary answer, to which single reasons against it are added. */
final class Asking {
  /** What can speak against a text to one number. */
  static final Set<Reason> ABOUT_ONE =
      EnumSet.complementOf(EnumSet.of(Reason.GROUP_BEGINS, Reason.NOT_ALL_REACHED));

  private static final long LINE = 3;
  private static final ZoneId CENTRAL = ZoneId.of("America/Chicago");
  private static final Instant NOON = Instant.parse("2026-06-09T17:00:00Z");
  private static final Instant NIGHT = Instant.parse("2026-06-10T04:40:00Z");

  String words = "The lift is yours on Friday at 9.";
  Author author = new Author.Person(7);
  boolean everWrote = true;
  private TextKind kind = TextKind.SERVICE;
  final List<Attachment> attachments = new ArrayList<>();
  private boolean inUse = true;
  private boolean registered = true;
  private boolean waits;
  private Sender sender = new PhoneNumber("+13125550123");
  private Region country = new Region("US");
  private NumberState state = NumberState.GOOD;
  private final List<AgreementChange> history = new ArrayList<>();
  private boolean answering = true;
  private boolean dayOff;
  private @Nullable Sent same;
  private @Nullable Sent answered;
  private final List<Allowance> allowances = new ArrayList<>();
  private int recipients = 1;
  private Instant at = NOON;

  Asking() {
    history.add(change(true));
  }

  private static AgreementChange change(boolean given) {
    return new AgreementChange(
        NOON.minus(Duration.ofDays(400)),
        given,
        EnumSet.allOf(TextKind.class),
        Ground.FORM,
        OptionalLong.empty(),
        Optional.empty());
  }

  /** Whether a reason can be added to others without taking one of them away. */
  boolean canAlsoBe(Reason reason, Set<Reason> others) {
    return switch (reason) {
      case MARKED_WRONG, NO_SUCH_NUMBER, CANNOT_RECEIVE -> state == NumberState.GOOD;
      case OPTED_OUT, NO_AGREEMENT, NO_AGREEMENT_TO_NEWS ->
          history.size() == 1 && kind == TextKind.SERVICE && answering;
      case NIGHT -> same == null;
      case DAY_OFF -> !others.contains(Reason.NO_AGREEMENT_TO_NEWS) && history.size() == 1;
      case SAME_TEXT -> at == NOON;
      case ATTACHMENT_TOO_LARGE, ATTACHMENT_KIND -> !others.contains(reason) && !words.isBlank();
      case EMPTY, PLACEHOLDER, TOO_MANY_PARTS, WEB_ADDRESS -> isOrdinary(others);
      case OVER_ALLOWANCE, ALLOWANCE_NEARLY_USED -> isOrdinary(others);
      default -> !others.contains(reason);
    };
  }

  private boolean isOrdinary(Set<Reason> others) {
    return words.equals(new Asking().words)
        && attachments.isEmpty()
        && allowances.isEmpty()
        && others.stream().noneMatch(each -> each == Reason.EMPTY);
  }

  /** Adds what makes one reason speak against it. */
  Asking with(Reason reason) {
    switch (reason) {
      case OPTED_OUT -> history.add(change(false));
      case EMPTY -> words = " ";
      case CANNOT_BE_ANSWERED -> sender = new NamedSender("78777");
      case LINE_OFF -> inUse = false;
      case LINE_NOT_REGISTERED -> registered = false;
      case MARKED_WRONG -> state = NumberState.MARKED_WRONG;
      case NO_SUCH_NUMBER -> state = NumberState.NO_SUCH_NUMBER;
      case CANNOT_RECEIVE -> state = NumberState.CANNOT_RECEIVE;
      case COUNTRY_NOT_REACHED -> country = new Region("CA");
      case ATTACHMENT_TOO_LARGE ->
          attachments.add(new Attachment("estimate.pdf", "application/pdf", 2_000_001));
      case ATTACHMENT_KIND -> attachments.add(new Attachment("berths.zip", "application/zip", 10));
      case PLACEHOLDER -> words = "Hello {first name}, it is ready.";
      case TOO_MANY_PARTS -> words = "x".repeat(153 * 10 + 1);
      case OVER_ALLOWANCE -> {
        words = "x".repeat(161);
        allowance(100, 99);
      }
      case ALLOWANCE_NEARLY_USED -> allowance(100, 98);
      case NO_AGREEMENT_TO_NEWS -> {
        history.clear();
        kind = TextKind.NEWS;
      }
      case NO_AGREEMENT -> {
        history.clear();
        answering = false;
      }
      case ANSWERED_MEANWHILE -> answered = new Sent(NOON, "Priya");
      case SAME_TEXT -> sentMinutesAgo(3);
      case NIGHT -> {
        at = NIGHT;
        answering = false;
      }
      case DAY_OFF -> {
        dayOff = true;
        answering = false;
      }
      case WEB_ADDRESS -> {
        words = "See https://quillhaven.example/lift";
        everWrote = false;
      }
      case MANY_RECIPIENTS -> recipients = 25;
      case NETWORK_WAITING -> waits = true;
      case GROUP_BEGINS, NOT_ALL_REACHED ->
          throw new IllegalArgumentException("It is about several numbers");
    }
    return this;
  }

  void sentMinutesAgo(int minutes) {
    same = new Sent(NOON.minus(Duration.ofMinutes(minutes)), "Tobias");
  }

  void allowance(int limit, int used) {
    allowances.add(new Allowance("Priya", "this week", limit, used));
  }

  SendQuestion question() {
    return new SendQuestion(
        new Content(words, words, kind, attachments),
        author,
        new From(
            inUse,
            registered,
            waits,
            10,
            Set.of(new Region("US")),
            Set.of(FileKind.PICTURE, FileKind.PDF),
            2_000_000),
        new To(
            sender,
            Optional.of(country),
            state,
            Agreement.at(history, LINE, at),
            everWrote,
            answering,
            CENTRAL,
            dayOff),
        new Lately(
            Optional.ofNullable(same), Optional.ofNullable(answered), allowances, recipients),
        at);
  }
}
