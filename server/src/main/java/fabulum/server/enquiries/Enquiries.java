package fabulum.server.enquiries;

import fabulum.core.conversation.Participants;
import fabulum.core.enquiry.ConfirmationCode;
import fabulum.core.enquiry.FilledForm;
import fabulum.core.enquiry.FilledForm.Field;
import fabulum.core.enquiry.FormPurpose;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.sending.Author.Purpose;
import fabulum.server.conversations.Said;
import fabulum.server.enquiries.store.EnquiryMapper;
import fabulum.server.enquiries.store.EnquiryRow;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.platform.RaceRetry;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is handed in by forms on the web site. Until its number is confirmed nothing goes to it but
 * a code, and nobody on the staff sees the enquiry.
 */
@Service
public class Enquiries {
  /** A field that is asked for besides those of {@link FilledForm}. */
  private static final String LINE = "LINE";

  private final EnquiryMapper rows;
  private final Forms forms;
  private final EnquiryTaking taking;
  private final EnquiryLimits limits;
  private final Messaging messaging;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();
  private final SecureRandom random = new SecureRandom();

  Enquiries(
      EnquiryMapper rows,
      Forms forms,
      EnquiryTaking taking,
      EnquiryLimits limits,
      Messaging messaging,
      TransactionTemplate transactions,
      Clock clock) {
    this.rows = rows;
    this.forms = forms;
    this.taking = taking;
    this.limits = limits;
    this.messaging = messaging;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * What somebody hands in.
   *
   * @param reference given with the page of the form; the same one again is the same enquiry
   * @param line which they chose
   * @param cameFrom the address of their browser
   */
  public record HandedIn(
      String reference, FilledForm filled, Optional<LineId> line, String cameFrom) {}

  /** What came of it. */
  public sealed interface Outcome {
    /** It is in the inbox, or what was agreed is noted. */
    record Taken() implements Outcome {}

    /**
     * A code was texted to the number, if that can be reached and had no more than three today;
     * which of it is not said to a stranger.
     */
    record AsksForCode() implements Outcome {}

    /** Something in it is wrong: a sentence for each field. */
    record Wrong(Map<String, String> fields) implements Outcome {
      public Wrong {
        fields = Map.copyOf(fields);
      }
    }

    /** Too much was handed in; nothing was kept. */
    record TooMuch() implements Outcome {}

    /** The code was wrong; it can be typed in again. */
    record WrongCode() implements Outcome {}

    /** The code works no more, or was wrong too often; a new one can be asked for. */
    record NoCodeAnyMore() implements Outcome {}

    /** It does not exist, or was not confirmed within a day and is forgotten. */
    record NotThere() implements Outcome {}
  }

  /** Takes in a form. */
  public Outcome handIn(FormView form, HandedIn said) {
    Optional<EnquiryRow> known = rows.find(said.reference());
    if (known.isPresent()) {
      return known.get().takenAt() == null ? new Outcome.AsksForCode() : new Outcome.Taken();
    }
    Optional<LineView> line = forms.line(form, said.line());
    Map<String, String> wrong = wrong(form, said.filled(), line);
    // Where none is chosen yet, the number is read as on the first: all that is wrong is said at
    // once.
    Optional<PhoneNumber> number =
        line.or(() -> forms.lines(form).stream().findFirst())
            .flatMap(one -> number(said.filled(), one, wrong));
    if (!wrong.isEmpty() || line.isEmpty() || number.isEmpty()) {
      return new Outcome.Wrong(wrong);
    }
    if (!limits.mayGo(form.id(), said.cameFrom(), number.get().e164())) {
      return new Outcome.TooMuch();
    }
    return RaceRetry.run(
        () -> transactions.execute(status -> keep(form, said, line.get(), number.get())));
  }

  private Map<String, String> wrong(FormView form, FilledForm filled, Optional<LineView> line) {
    Map<String, String> wrong = new LinkedHashMap<>();
    filled.problems(form.asks()).forEach((field, why) -> wrong.put(field.name(), why));
    if (line.isEmpty()) {
      wrong.put(LINE, "Please choose where you want to reach us.");
    }
    return wrong;
  }

  private Optional<PhoneNumber> number(
      FilledForm filled, LineView line, Map<String, String> wrong) {
    if (wrong.containsKey(Field.NUMBER.name())) {
      return Optional.empty();
    }
    Typed typed = numbers.readTyped(filled.number(), new Region(line.region()));
    if (typed instanceof Typed.Understood understood && forms.isNoLine(understood.number())) {
      return Optional.of(understood.number());
    }
    wrong.put(
        Field.NUMBER.name(),
        typed instanceof Typed.Impossible impossible
            ? impossible.why()
            : "This is our own number. Please enter yours.");
    return Optional.empty();
  }

  private Outcome keep(FormView form, HandedIn said, LineView line, PhoneNumber number) {
    rows.insert(
        new EnquiryRow(
            0,
            said.reference(),
            form.id(),
            line.id(),
            number.e164(),
            said.filled().name(),
            form.asks() == FormPurpose.ENQUIRY ? said.filled().words() : "",
            form.wording(),
            clock.instant(),
            said.cameFrom(),
            null,
            null,
            0,
            null));
    EnquiryRow row = rows.lock(said.reference()).orElseThrow();
    if (!form.confirms()) {
      taking.take(row, form, false);
      return new Outcome.Taken();
    }
    sendCode(row, form);
    return new Outcome.AsksForCode();
  }

  /** Texts a new code for an enquiry that waits for one. */
  public Outcome sendCodeAgain(FormView form, String reference, String cameFrom) {
    Optional<EnquiryRow> known = rows.find(reference);
    if (known.isPresent() && !limits.mayGo(form.id(), cameFrom, known.get().number())) {
      return new Outcome.TooMuch();
    }
    return RaceRetry.run(() ->
        transactions.execute(status -> {
          Optional<EnquiryRow> row = rows.lock(reference).filter(one -> one.formId() == form.id());
          if (row.isEmpty()) {
            return new Outcome.NotThere();
          }
          if (row.get().takenAt() != null) {
            return new Outcome.Taken();
          }
          sendCode(row.get(), form);
          return new Outcome.AsksForCode();
        }));
  }

  private void sendCode(EnquiryRow row, FormView form) {
    Instant now = clock.instant();
    // Two forms for one number at once: the number is held, so that they are counted one by one.
    taking.hold(new PhoneNumber(row.number()));
    if (rows.countCodes(row.number(), now.minus(ConfirmationCode.DAY))
        >= ConfirmationCode.MOST_A_DAY) {
      return;
    }
    String code = ConfirmationCode.of(random.nextInt(ConfirmationCode.MANY));
    boolean goes =
        messaging
            .send(
                Recipient.on(
                    new LineId(row.lineId()), Participants.of(new PhoneNumber(row.number()))),
                Said.itself(
                    Purpose.CODE,
                    code
                        + " is your code for "
                        + form.business()
                        + ". It works for "
                        + ConfirmationCode.WORKS.toMinutes()
                        + " minutes. If you did not ask for it, ignore this text."))
            .text()
            .isPresent();
    if (goes) {
      rows.insertCode(row.number(), now);
      rows.setCode(row.id(), code, now.plus(ConfirmationCode.WORKS));
    }
  }

  /** Confirms the number of an enquiry by the code that was texted to it. */
  public Outcome confirm(FormView form, String reference, String typed) {
    return RaceRetry.run(() ->
        transactions.execute(status -> {
          Optional<EnquiryRow> row = rows.lock(reference).filter(one -> one.formId() == form.id());
          return row.isEmpty()
              ? new Outcome.NotThere()
              : row.get().takenAt() == null ? confirm(row.get(), form, typed) : new Outcome.Taken();
        }));
  }

  private Outcome confirm(EnquiryRow row, FormView form, String typed) {
    if (row.code() == null || row.codeUntil() == null) {
      // None went out; a stranger is not told why.
      return new Outcome.WrongCode();
    }
    return switch (ConfirmationCode.check(
        typed, row.code(), row.codeUntil(), row.tries(), clock.instant())) {
      case RIGHT -> {
        taking.take(row, form, true);
        yield new Outcome.Taken();
      }
      case WRONG -> {
        rows.countTry(row.id());
        yield new Outcome.WrongCode();
      }
      case TOO_LATE, TOO_MANY_TRIES -> new Outcome.NoCodeAnyMore();
    };
  }

  /** What nobody confirmed is forgotten after a day. */
  @Scheduled(initialDelay = 10, fixedDelay = 3_600, timeUnit = TimeUnit.SECONDS)
  void forget() {
    Instant before = clock.instant().minus(ConfirmationCode.DAY);
    rows.deleteWaitingBefore(before);
    rows.deleteCodesBefore(before);
  }
}
