package fabulum.server.inbox;

import fabulum.core.access.Sight;
import fabulum.core.hours.Hours;
import fabulum.core.sentence.CustomerSentence.DetailIs;
import fabulum.core.sentence.Days;
import fabulum.core.sentence.Left;
import fabulum.core.sentence.Sentence;
import fabulum.core.sentence.Whose;
import fabulum.server.conversations.SightColumns;
import fabulum.server.inbox.store.ChoiceRow;
import fabulum.server.inbox.store.ChoiceRow.Span;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.LikePattern;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.Topics;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Turns a sentence into conditions on columns, as of now. */
@Component
class Choices {
  private static final long NO_LINE = 0;

  private final Lines lines;
  private final Topics topics;
  private final Clock clock;

  Choices(Lines lines, Topics topics, Clock clock) {
    this.lines = lines;
    this.topics = topics;
    this.clock = clock;
  }

  /** A topic that was merged stands for the one it was merged into. */
  Sentence standing(Sentence sentence) {
    if (sentence.topic().isEmpty()) {
      return sentence;
    }
    TopicId stands = topics.standing(new TopicId(sentence.topic().getAsLong()));
    return sentence.about(stands.value());
  }

  ChoiceRow of(Sentence sentence, Sight sight) {
    Whose whose = sentence.whose();
    List<Long> chosen = lines(sentence);
    boolean timed = sentence.left().isPresent() || sentence.days().isPresent();
    return new ChoiceRow(
        SightColumns.of(sight),
        walked(sight, chosen),
        whose.kind() == Whose.Kind.MINE,
        whose.kind() == Whose.Kind.NOBODY,
        whose.kind() == Whose.Kind.COLLEAGUE ? whose.id() : null,
        whose.kind() == Whose.Kind.TEAM ? whose.id() : null,
        whose.kind() == Whose.Kind.TEAM ? teamLines(whose.id()) : null,
        chosen,
        sentence.topic().isPresent() ? sentence.topic().getAsLong() : null,
        sentence.toIdentify(),
        sentence.failed(),
        sentence.unread(),
        pattern(sentence.called()),
        LikePattern.digits(sentence.called()),
        pattern(sentence.saying()),
        timed ? spans(sentence, chosen) : null,
        null,
        onFile(sentence));
  }

  private static ChoiceRow.@Nullable OnFile onFile(Sentence sentence) {
    if (!sentence.asksForCustomer()) {
      return null;
    }
    return new ChoiceRow.OnFile(
        sentence.kind().isEmpty() ? null : sentence.kind().toLowerCase(Locale.ROOT),
        sentence.list().isPresent() ? sentence.list().getAsLong() : null,
        sentence.detail().map(DetailIs::id).orElse(null),
        sentence.detail().map(DetailIs::words).map(LikePattern::containing).orElse(null));
  }

  private List<Long> walked(Sight sight, @Nullable List<Long> chosen) {
    return orNone(
        lines.list().stream()
            .map(LineView::id)
            .filter(line -> sight.seesLine(line) && (chosen == null || chosen.contains(line)))
            .toList());
  }

  private List<Long> teamLines(long team) {
    return orNone(
        lines.list().stream().filter(line -> line.teamId() == team).map(LineView::id).toList());
  }

  private static List<Long> orNone(List<Long> lines) {
    return lines.isEmpty() ? List.of(NO_LINE) : lines;
  }

  /** The lines that line and site leave; null for all. */
  private @Nullable List<Long> lines(Sentence sentence) {
    if (sentence.line().isEmpty() && sentence.site().isEmpty()) {
      return null;
    }
    List<Long> left =
        lines.list().stream()
            .filter(line -> isOrAny(sentence.line(), line.id()))
            .filter(line -> isOrAny(sentence.site(), line.siteId()))
            .map(LineView::id)
            .toList();
    return orNone(left);
  }

  private static boolean isOrAny(OptionalLong wanted, long value) {
    return wanted.isEmpty() || wanted.getAsLong() == value;
  }

  private static @Nullable String pattern(String words) {
    return words.isEmpty() ? null : LikePattern.containing(words);
  }

  private List<Span> spans(Sentence sentence, @Nullable List<Long> chosen) {
    List<Span> spans =
        lines.list().stream()
            .filter(line -> chosen == null || chosen.contains(line.id()))
            .map(line -> span(sentence, new LineId(line.id())))
            .flatMap(Optional::stream)
            .toList();
    return spans.isEmpty() ? List.of(new Span(NO_LINE, null, null, null, null)) : spans;
  }

  private Optional<Span> span(Sentence sentence, LineId line) {
    Hours hours = lines.promise(line).hours();
    Instant now = clock.instant();
    Instant dueFrom =
        sentence.left().flatMap(Left::from).flatMap(w -> hours.reach(now, w)).orElse(null);
    Instant dueTo =
        sentence.left().flatMap(Left::to).flatMap(w -> hours.reach(now, w)).orElse(null);
    boolean never =
        dueFrom == null && sentence.left().flatMap(Left::from).filter(Choices::isAhead).isPresent();
    if (never) {
      return Optional.empty();
    }
    boolean asksForLeft = sentence.left().isPresent() && dueFrom == null && dueTo == null;
    LocalDate today = now.atZone(hours.zone()).toLocalDate();
    Optional<LocalDate> first = sentence.days().flatMap(days -> days.first(today));
    Optional<LocalDate> end = sentence.days().flatMap(Days::to).map(day -> day.plusDays(1));
    return Optional.of(
        new Span(
            line.value(),
            asksForLeft ? Instant.EPOCH : dueFrom,
            dueTo,
            first.map(day -> day.atStartOfDay(hours.zone()).toInstant()).orElse(null),
            end.map(day -> day.atStartOfDay(hours.zone()).toInstant()).orElse(null)));
  }

  private static boolean isAhead(Duration working) {
    return !working.isNegative() && !working.isZero();
  }
}
