package fabulum.server.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.Agreement.Answer;
import fabulum.core.agreement.AgreementChange;
import fabulum.core.agreement.Ground;
import fabulum.core.agreement.TextKind;
import fabulum.server.access.StaffId;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.sending.store.AgreementMapper;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What customers allow us to text. */
@Service
public class Agreements {
  /** No line has this id: what holds for it holds for the whole business. */
  private static final Long EVERY_LINE = 0L;

  private final AgreementMapper changes;
  private final Clock clock;
  private final ApplicationEventPublisher events;

  Agreements(AgreementMapper changes, Clock clock, ApplicationEventPublisher events) {
    this.events = events;
    this.changes = changes;
    this.clock = clock;
  }

  /** What the holders of a number allow a line. */
  public Agreement of(NumberFacts number, LineId line) {
    return of(number, line, changes.list(number.id()));
  }

  /** The same, where what was noted of the number has been read already. */
  Agreement of(NumberFacts number, LineId line, List<NotedChange> noted) {
    List<AgreementChange> history = new ArrayList<>();
    // Who writes first may be answered; whatever was said since weighs more.
    Optional.ofNullable(number.firstWroteAt())
        .map(at ->
            new AgreementChange(
                at,
                true,
                Set.of(TextKind.SERVICE),
                Ground.WROTE_FIRST,
                OptionalLong.empty(),
                Optional.empty()))
        .ifPresent(history::add);
    noted.stream().map(NotedChange::change).forEach(history::add);
    return Agreement.at(history, line.value(), clock.instant());
  }

  /** All that was noted of a number, in order. */
  public List<NotedChange> history(NumberId number) {
    return changes.list(number.value());
  }

  /**
   * Notes that the holders of a number allow something, or withdraw it. To be used within a
   * transaction that holds the number.
   *
   * @param line null for the whole business
   * @param by null for Fabulum
   */
  @Transactional
  public void note(NumberId number, Noted noted, @Nullable LineId line, @Nullable StaffId by) {
    changes.lock(number.value());
    changes.insert(
        new NotedChange(
            0,
            number.value(),
            line == null ? null : line.value(),
            clock.instant(),
            noted.given(),
            noted.kinds().contains(TextKind.SERVICE),
            noted.kinds().contains(TextKind.NEWS),
            noted.ground(),
            noted.until(),
            by == null ? null : by.value(),
            null,
            noted.words()));
    if (!noted.given() && noted.kinds().contains(TextKind.SERVICE)) {
      events.publishEvent(new OptedOut(number, line));
    }
  }

  /** Numbers whose holders opted out of everything on one line or more. */
  public List<Long> listOptedOut() {
    return with(TextKind.SERVICE, Answer.OPTED_OUT, changes.listWithdrawn());
  }

  /** Numbers whose holders agreed to news on one line or more. */
  public List<Long> listAgreedToNews() {
    return with(TextKind.NEWS, Answer.AGREED, changes.listOfNews());
  }

  /** Those for whom one of the lines that were spoken of, or all, stand so. */
  private List<Long> with(TextKind kind, Answer answer, List<NotedChange> noted) {
    Instant now = clock.instant();
    return noted.stream().collect(Collectors.groupingBy(NotedChange::numberId)).entrySet().stream()
        .filter(number -> stands(number.getValue(), kind, answer, now))
        .map(Map.Entry::getKey)
        .sorted()
        .toList();
  }

  private static boolean stands(
      List<NotedChange> noted, TextKind kind, Answer answer, Instant now) {
    List<AgreementChange> history = noted.stream().map(NotedChange::change).toList();
    return Stream.concat(
            Stream.of(EVERY_LINE), noted.stream().map(NotedChange::lineId).filter(Objects::nonNull))
        .distinct()
        .anyMatch(line -> Agreement.at(history, line, now).of(kind).answer() == answer);
  }

  /**
   * What is noted.
   *
   * @param until when an agreement ends by itself; null for never
   * @param words what was said; null for nothing
   */
  public record Noted(
      boolean given,
      Set<TextKind> kinds,
      Ground ground,
      @Nullable Instant until,
      @Nullable String words) {
    /** What a keyword says: all texts, or none. */
    public static Noted byKeyword(boolean given, String words) {
      return new Noted(given, EnumSet.allOf(TextKind.class), Ground.KEYWORD, null, words);
    }
  }

  /** Keeps two changes of one number apart until the end of the transaction. */
  public void hold(NumberId number) {
    changes.lock(number.value());
  }
}
