package fabulum.server.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import fabulum.core.access.Role;
import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.delivery.ClientReference;
import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.promise.Promise;
import fabulum.core.report.Measure;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.core.sentence.ReportSentence;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.conversations.Said;
import fabulum.server.conversations.UndoStep;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.figures.BehindView.CaseView;
import fabulum.server.figures.PlainFigures.Happened;
import fabulum.server.figures.PlainFigures.Script;
import fabulum.server.figures.ReportView.FigureRow;
import fabulum.server.figures.WeekView.HourView;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.messaging.Arrivals;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.Ownership;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.DiskReserve;
import fabulum.server.testing.Fabulum;
import fabulum.server.topics.TopicColour;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.Topics;
import fabulum.server.undo.Undo;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/**
 * Figures against what a test remembers, over weeks of random acts, with hours, promises and topics
 * that change between.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class FiguresLawsTest {
  private static final long SEED = 20261128;
  private static final int ACTS = 450;
  private static final String[] WEEKS = {
    "Mon-Fri 8:00-12:00, Mon-Fri 13:00-17:00", "Mon-Sun 6:00-22:00", "Tue 9:00-18:00"
  };
  private static final StaffId LEAD = new StaffId(1);
  private static final StaffId ANN = new StaffId(2);

  /** Topic 2 has a promise of its own. */
  private static final long SHORT = Duration.ofMinutes(15).toSeconds();

  private final Random random = new Random(SEED);
  private final PlainFigures plain = new PlainFigures();
  private final Map<Long, Hours> hours = new HashMap<>();
  private final Map<String, Happened> references = new HashMap<>();
  private Fabulum fabulum;
  private Conversations conversations;
  private Arrivals arrivals;
  private Acts acts;
  private Undo undo;
  private Ownership owning;
  private Messaging messaging;
  private Lines lines;
  private Reports reports;
  private Behind behind;
  private FigureKeeper keeper;

  @BeforeAll
  void begin() {
    fabulum = Fabulum.startEmpty();
    conversations = fabulum.context.getBean(Conversations.class);
    arrivals = fabulum.context.getBean(Arrivals.class);
    acts = fabulum.context.getBean(Acts.class);
    undo = fabulum.context.getBean(Undo.class);
    owning = fabulum.context.getBean(Ownership.class);
    messaging = fabulum.context.getBean(Messaging.class);
    lines = fabulum.context.getBean(Lines.class);
    reports = fabulum.context.getBean(Reports.class);
    behind = fabulum.context.getBean(Behind.class);
    keeper = fabulum.context.getBean(FigureKeeper.class);
    fabulum
        .context
        .getBean(People.class)
        .add(new NewStaff("a", "Ann", "A", Role.LEAD, Fabulum.PASSWORD, false));
    line("North", "Dock", 60);
    line("South", "Yard", 90);
    fabulum.context.getBean(Teams.class).join(new TeamId(2), ANN);
    Topics topics = fabulum.context.getBean(Topics.class);
    for (int i = 1; i <= 3; i++) {
      Integer promise = i == 2 ? 15 : null;
      topics.add(new TeamId(2), new TopicSetup("t" + i, TopicColour.PINE, promise, false));
    }
  }

  private void line(String site, String name, int minutes) {
    PhoneNumber number = new PhoneNumber("+1920555010" + (1 + lines.list().size()));
    Hours week = new Hours(PlainFigures.ZONE, WeekReader.read(WEEKS[0]), Set.of());
    Promise promise = new Promise(Duration.ofMinutes(minutes));
    lines.add(new NewLine(site, "One", name, number, new Region("US"), week, promise));
    lines.forget();
    hours.put((long) lines.list().size(), week);
  }

  @AfterAll
  void end() {
    fabulum.close();
  }

  @Test
  void everyFigureIsWhatPlainReckoningGivesAndMakingThemAgainChangesNothing() {
    for (int i = 0; i < ACTS; i++) {
      act(i);
      if (i % 75 == 74) {
        compare("after " + i + " acts, seed " + SEED);
      }
    }
    assertThat(plain.of(Measure.ANSWERED, one -> one.seconds > one.promise)).hasSizeGreaterThan(20);
    assertThat(plain.of(Measure.NOT_DELIVERED, one -> true)).isNotEmpty();
    List<List<Map<String, Object>>> kept = sums();
    keeper.sumAllAgain();
    assertThat(sums()).isEqualTo(kept);
    compare("made again");
    whatTheFeedTellsIsSummedAgain(kept);
    whatATopicChangesIsSummedAgainAlsoLongAfterwards();
    afterTopicsWereMergedAllDaysAreSummedAgain();
  }

  /** A program that starts knows from the feed what was not summed when the last one ended. */
  private void whatTheFeedTellsIsSummedAgain(List<List<Map<String, Object>>> before) {
    keeper.destroy();
    long line = receive(ACTS + 1);
    keeper.upToDate();
    List<List<Map<String, Object>>> after = sums();
    assertThat(after).isNotEqualTo(before);
    LocalDate today = today();
    fabulum.tables.update("delete from day_sum where on_day = ? and line_id = ?", today, line);
    nextKeeper().upToDate();
    assertThat(sums()).isEqualTo(after);
  }

  /**
   * A topic counts from the opening on, also when it is heard of after the conversation was done.
   */
  private void whatATopicChangesIsSummedAgainAlsoLongAfterwards() {
    Sender sender = Sender.ofAddress("+13125550199");
    ConversationId id = conversations.open(new LineId(1), Participants.of(sender));
    answer(new Script(1, now()), id, LEAD, ACTS + 2);
    String sent = "select delivery from entry where reference = 'reference-" + (ACTS + 2) + "'";
    assertThat(fabulum.comesTo(sent, "SENT")).isTrue();
    LocalDate answered = today();
    fabulum.clock.advance(Duration.ofHours(1));
    ChangeFeed feed = fabulum.context.getBean(ChangeFeed.class);
    assertThat(fabulum.becomes(() -> feed.listAfter(feed.settled(), 1).isEmpty())).isTrue();
    keeper.destroy();
    fabulum.clock.advance(Duration.ofDays(1));
    acts.addTopic(id, new TopicId(1), LEAD);
    acts.finish(id, null, LEAD);
    fabulum.clock.advance(Duration.ofDays(1));
    acts.reopen(id, LEAD);
    keeper.upToDate();
    List<List<Map<String, Object>>> after = sums();
    fabulum.tables.update("delete from day_sum where on_day = ? and line_id = 1", answered);
    nextKeeper().upToDate();
    assertThat(sums()).isEqualTo(after);
  }

  private void afterTopicsWereMergedAllDaysAreSummedAgain() {
    List<List<Map<String, Object>>> before = sums();
    keeper.destroy();
    fabulum.context.getBean(ChangeFeed.class).append(Change.Kind.TOPICS, 2, 1, null);
    fabulum.tables.update("delete from day_sum");
    FigureKeeper next = nextKeeper();
    next.upToDate();
    next.sumAgain();
    assertThat(sums()).isEqualTo(before);
  }

  private LocalDate today() {
    return LocalDate.ofInstant(now(), PlainFigures.ZONE);
  }

  /** As in a program that starts. */
  private FigureKeeper nextKeeper() {
    return new FigureKeeper(
        fabulum.context.getBean(FigureMapper.class),
        fabulum.context.getBean(DaySummer.class),
        fabulum.context.getBean(TouchedDays.class),
        fabulum.context.getBean(ChangeFeed.class),
        lines,
        fabulum.context.getBean(DiskReserve.class));
  }

  private List<List<Map<String, Object>>> sums() {
    return Stream.of(
            "select * from day_sum order by line_id, topic_id, measure, on_day, staff_id",
            "select * from day_hours order by line_id, on_day",
            "select * from day_cost order by line_id, on_day, staff_id, kind, currency",
            "select * from day_failure order by line_id, on_day, reason",
            "select * from figure_case order by entry_id")
        .map(fabulum.tables::queryForList)
        .map(rows -> rows.stream().map(FiguresLawsTest::readable).toList())
        .toList();
  }

  /** Octets as digits, which can be compared. */
  private static Map<String, Object> readable(Map<String, Object> row) {
    Map<String, Object> readable = new HashMap<>(row);
    readable.replaceAll(
        (name, value) -> value instanceof byte[] octets ? HexFormat.of().formatHex(octets) : value);
    return readable;
  }

  private Instant now() {
    return fabulum.clock.instant();
  }

  private void act(int i) {
    fabulum.clock.advance(
        Duration.ofSeconds(random.nextInt(random.nextInt(6) == 0 ? 90_000 : 3_000)));
    if (random.nextInt(40) == 0) {
      changeHours();
    }
    if (plain.scripts.size() < 6 || random.nextInt(5) < 2) {
      receive(i);
      return;
    }
    List<Long> ids = plain.scripts.keySet().stream().sorted().toList();
    long chosen = ids.get(random.nextInt(ids.size()));
    Script script = Objects.requireNonNull(plain.scripts.get(chosen));
    ConversationId id = new ConversationId(chosen);
    StaffId by = random.nextBoolean() ? LEAD : ANN;
    switch (random.nextInt(12)) {
      case 0, 1, 2, 3 -> answer(script, id, by, i);
      case 4 -> finish(script, id, by);
      case 5 -> noAnswerNeeded(script, id, by);
      case 6, 7 -> topic(script, id, by);
      case 8 -> takenBack(id, by);
      case 9 -> handOver(script, id, by);
      case 10 -> reopen(script, id, by);
      default -> fail(script);
    }
  }

  private void changeHours() {
    long line = 1 + random.nextInt(2);
    Hours week =
        new Hours(
            PlainFigures.ZONE, WeekReader.read(WEEKS[random.nextInt(WEEKS.length)]), Set.of());
    fabulum.tables.update("delete from line_span where line_id = ?", line);
    week.week()
        .forEach(span ->
            fabulum.tables.update(
                "insert into line_span (line_id, day_of_week, from_minute, minutes) values (?, ?, ?, ?)",
                line,
                span.day().getValue(),
                span.from().toSecondOfDay() / 60,
                span.minutes()));
    lines.forget();
    hours.put(line, week);
  }

  private void count(Measure measure, Script script, StaffId by, @Nullable Long seconds) {
    plain.add(
        new Happened(
            measure, now(), script.line, by.value(), script.round, seconds, Long.MAX_VALUE));
  }

  private long receive(int i) {
    long line = 1 + random.nextInt(2);
    Sender sender = Sender.ofAddress("+13125550" + (100 + random.nextInt(25)));
    arrivals.receive(
        ReceivedText.of(
            "in-" + i, new LineId(line), sender, "Text " + i, Arrival.of(now(), now())));
    long id = conversations.open(new LineId(line), Participants.of(sender)).value();
    Script script = plain.scripts.get(id);
    if (script == null) {
      script = new Script(line, now());
      plain.scripts.put(id, script);
      plain.add(new Happened(Measure.NEW_NUMBER, now(), line, 0, script.round, null, 0));
    } else if (!script.open) {
      script.opens(now());
    }
    script.waiting = script.waiting == null ? now() : script.waiting;
    plain.add(new Happened(Measure.RECEIVED, now(), line, 0, script.round, null, 0));
    return line;
  }

  private void answer(Script script, ConversationId id, StaffId by, int i) {
    if (script.lost != null) {
      return;
    }
    String reference = "reference-" + i;
    messaging.send(
        Recipient.in(id),
        new Said(
            "Answer " + i,
            new Author.Person(by.value()),
            new ClientReference(reference),
            null,
            null,
            null,
            Set.of(Reason.values()),
            null,
            null,
            List.of()));
    Instant since = script.waiting;
    if (!script.open) {
      script.opens(now());
    }
    count(Measure.SENT_BY_HAND, script, by, null);
    if (since != null) {
      long took = PlainFigures.working(hours(script), since, now());
      boolean first = script.answers.stream().noneMatch(one -> !one.at.isBefore(script.opened));
      long promise = script.round.topics.contains(2L) ? SHORT : script.line == 1 ? 3_600 : 5_400;
      Happened answer =
          new Happened(
              Measure.ANSWERED, now(), script.line, by.value(), script.round, took, promise);
      plain.add(answer);
      if (first) {
        plain.add(
            new Happened(
                Measure.FIRST_ANSWERED,
                now(),
                script.line,
                by.value(),
                script.round,
                took,
                promise));
      }
      references.put(reference, answer);
    }
    script.answers.add(
        new Happened(Measure.ANSWERED, now(), script.line, by.value(), script.round, null, 0));
    script.waitEnds(now());
  }

  private Hours hours(Script script) {
    return Objects.requireNonNull(hours.get(script.line));
  }

  private void finish(Script script, ConversationId id, StaffId by) {
    acts.finish(id, null, by);
    if (script.open) {
      long took = PlainFigures.working(hours(script), script.opened, now());
      count(Measure.DONE, script, by, took);
      script.unanswered = script.waiting != null;
      if (script.unanswered) {
        count(Measure.DONE_UNANSWERED, script, by, null);
      }
      script.open = false;
      script.lost = null;
      script.waitEnds(now());
    }
  }

  private void noAnswerNeeded(Script script, ConversationId id, StaffId by) {
    acts.needsNoAnswer(id, null, by);
    if (script.waiting != null) {
      count(Measure.NO_ANSWER_NEEDED, script, by, null);
      script.waitEnds(now());
      script.lost = null;
    }
  }

  private void topic(Script script, ConversationId id, StaffId by) {
    long topic = 1 + random.nextInt(3);
    if (script.round.topics.remove(topic)) {
      acts.removeTopic(id, new TopicId(topic), by);
    } else {
      acts.addTopic(id, new TopicId(topic), by);
      script.round.topics.add(topic);
    }
  }

  /** An act that is taken back some time later counts for nothing. */
  private void takenBack(ConversationId id, StaffId by) {
    Optional<UndoStep> step =
        switch (random.nextInt(3)) {
          case 0 -> acts.finish(id, null, by);
          case 1 -> acts.needsNoAnswer(id, null, by);
          default -> acts.reopen(id, by);
        };
    if (step.isPresent()) {
      fabulum.clock.advance(Duration.ofSeconds(random.nextInt(25)));
      assertThat(undo.undo(step.get().name(), by).undone()).isEqualTo(1);
    }
  }

  private void handOver(Script script, ConversationId id, StaffId by) {
    Optional<UndoStep> step =
        owning.handOver(id, HandTo.person(by.equals(LEAD) ? ANN : LEAD), "", by);
    if (step.isPresent()) {
      count(Measure.HANDED_OVER, script, by, null);
    }
  }

  private void reopen(Script script, ConversationId id, StaffId by) {
    acts.reopen(id, by);
    if (!script.open) {
      script.opens(now());
      script.waiting = script.unanswered ? now() : null;
      count(Measure.REOPENED, script, by, null);
    }
  }

  /** The network says that the last answer of a conversation did not arrive after all. */
  private void fail(Script script) {
    Optional<String> reference =
        references.entrySet().stream()
            .filter(each -> plain.all.contains(each.getValue()))
            .filter(each -> each.getValue().round == script.round && script.lost == null)
            .map(Map.Entry::getKey)
            .sorted()
            .findFirst();
    if (reference.isEmpty()) {
      return;
    }
    String sent = reference.get();
    fabulum.comesTo("select delivery from entry where reference = '" + sent + "'", "SENT");
    fabulum.webhook().report(sent, "failed").require(200);
    Happened answer = Objects.requireNonNull(references.get(sent));
    plain.all.removeIf(one ->
        one.at.equals(answer.at)
            && one.line == answer.line
            && one.round == answer.round
            && (one.measure == Measure.ANSWERED || one.measure == Measure.FIRST_ANSWERED));
    script.answers.removeIf(one -> one.at.equals(answer.at));
    plain.add(
        new Happened(
            Measure.NOT_DELIVERED, answer.at, answer.line, answer.staff, answer.round, null, 0));
    if (!script.open) {
      script.opens(now());
    }
    script.waitGoesOn(since(sent));
    script.lost = answer;
  }

  private Instant since(String reference) {
    return Objects.requireNonNull(
        fabulum.tables.queryForObject(
            "select answered_since from entry where reference = ?", Instant.class, reference));
  }

  private static final String[] SUBJECTS = {
    "answer times", "first answers", "time to done", "texts", "unknown numbers"
  };
  private static final Map<ReportSentence.Subject, Measure> LISTED =
      Map.of(
          ReportSentence.Subject.ANSWERS, Measure.ANSWERED,
          ReportSentence.Subject.FIRST_ANSWERS, Measure.FIRST_ANSWERED,
          ReportSentence.Subject.DONE, Measure.DONE);
  private static final String[] ROWS = {"day", "week", "month", "line", "topic", "person"};

  private void compare(String when) {
    for (int i = 0; i < 60; i++) {
      ReportSentence sentence = sentence();
      compare(when + ": " + sentence.text(), sentence);
    }
    compareWeek(when);
  }

  private ReportSentence sentence() {
    String subject = SUBJECTS[random.nextInt(SUBJECTS.length)];
    String by = ROWS[random.nextInt(subject.equals("unknown numbers") ? 4 : ROWS.length)];
    by = subject.equals("texts") && by.equals("person") ? "day" : by;
    boolean timed = !subject.equals("texts") && !subject.equals("unknown numbers");
    List<String> clauses = new ArrayList<>(List.of(subject, "by " + by));
    clauses.add(random.nextInt(3) == 0 ? "line " + (1 + random.nextInt(2)) : "");
    clauses.add(timed && random.nextInt(3) == 0 ? "person " + (1 + random.nextInt(2)) : "");
    boolean ofTopics = !subject.equals("unknown numbers");
    clauses.add(ofTopics && random.nextInt(3) == 0 ? "topic " + (1 + random.nextInt(3)) : "");
    clauses.add(random.nextBoolean() ? "last " + (1 + random.nextInt(9)) : "last 400");
    clauses.removeIf(String::isEmpty);
    return ReportSentence.read(String.join("; ", clauses));
  }

  private void compare(String what, ReportSentence sentence) {
    LocalDate first = sentence.first(LocalDate.ofInstant(now(), PlainFigures.ZONE)).orElseThrow();
    Predicate<Happened> meant =
        one ->
            !one.day().isBefore(first)
                && (sentence.line().isEmpty() || sentence.line().getAsLong() == one.line)
                && (sentence.person().isEmpty() || sentence.person().getAsLong() == one.staff)
                && (sentence.topic().isEmpty()
                    || one.round.topics.contains(sentence.topic().getAsLong()));
    if (sentence.subject() != ReportSentence.Subject.TEXTS) {
      compareBehind(what, sentence, meant);
    }
    ReportView report = reports.report(sentence, LEAD);
    assertThat(report.total().values()).as(what).isEqualTo(values(sentence, meant));
    for (FigureRow row : report.rows()) {
      assertThat(row.values())
          .as(what + ", row " + row.key())
          .isEqualTo(values(sentence, meant.and(one -> isIn(one, sentence.by(), row.key()))));
    }
    long shown = report.rows().stream().mapToLong(row -> row.values().get(0).longValue()).sum();
    assertThat(shown).as(what).isGreaterThanOrEqualTo(report.total().values().get(0).longValue());
  }

  /** What stands behind the figures, in all and of those that were late. */
  private void compareBehind(String what, ReportSentence sentence, Predicate<Happened> meant) {
    Measure measure = LISTED.get(sentence.subject());
    for (boolean late : List.of(false, true)) {
      List<Happened> happened =
          measure == null
              ? List.of()
              : plain.of(measure, meant).stream()
                  .filter(one -> !late || one.seconds > one.promise)
                  .sorted(PlainFigures.FURTHEST_FIRST)
                  .toList();
      BehindView view = behind.behind(sentence, "", late, LEAD);
      assertThat(view.cases())
          .as(what + (late ? ", late" : ""))
          .extracting(CaseView::at, CaseView::seconds)
          .containsExactlyElementsOf(
              happened.stream().limit(100).map(one -> tuple(one.at, one.seconds)).toList());
      assertThat(view.more()).as(what).isEqualTo(happened.size() > 100);
    }
  }

  private static boolean isIn(Happened one, ReportSentence.By by, String key) {
    return switch (by) {
      case DAY -> one.day().toString().equals(key);
      case WEEK -> {
        LocalDate monday = LocalDate.parse(key);
        yield !one.day().isBefore(monday) && one.day().isBefore(monday.plusDays(7));
      }
      case MONTH -> one.day().toString().startsWith(key);
      case LINE -> one.line == Long.parseLong(key);
      case TOPIC ->
          key.equals("-1")
              ? one.round.topics.isEmpty()
              : one.round.topics.contains(Long.parseLong(key));
      case PERSON -> one.staff == Long.parseLong(key);
      default -> throw new IllegalArgumentException(key);
    };
  }

  private List<@Nullable BigDecimal> values(ReportSentence sentence, Predicate<Happened> meant) {
    return switch (sentence.subject()) {
      case ANSWERS -> timed(plain.of(Measure.ANSWERED, meant));
      case FIRST_ANSWERS -> timed(plain.of(Measure.FIRST_ANSWERED, meant));
      case DONE -> {
        List<Happened> done = plain.of(Measure.DONE, meant);
        yield Arrays.asList(
            number(done.size()),
            PlainFigures.percentile(done, 50),
            PlainFigures.percentile(done, 90),
            count(Measure.DONE_UNANSWERED, meant),
            count(Measure.NO_ANSWER_NEEDED, meant),
            count(Measure.REOPENED, meant));
      }
      case TEXTS ->
          Arrays.asList(
              count(Measure.RECEIVED, meant),
              count(Measure.SENT_BY_HAND, meant),
              count(Measure.SENT_AUTOMATICALLY, meant));
      case UNKNOWN -> Arrays.asList(count(Measure.NEW_NUMBER, meant), number(0), null, null);
      default -> throw new IllegalArgumentException(sentence.text());
    };
  }

  private static List<@Nullable BigDecimal> timed(List<Happened> answers) {
    return Arrays.asList(
        number(answers.size()),
        PlainFigures.percentile(answers, 50),
        PlainFigures.percentile(answers, 90),
        PlainFigures.share(PlainFigures.kept(answers), answers.size()),
        number(answers.size() - PlainFigures.kept(answers)));
  }

  private BigDecimal count(Measure measure, Predicate<Happened> meant) {
    return number(plain.of(measure, meant).size());
  }

  private static BigDecimal number(long count) {
    return BigDecimal.valueOf(count);
  }

  private void compareWeek(String when) {
    long line = 1 + random.nextInt(2);
    LocalDate last = LocalDate.ofInstant(now(), PlainFigures.ZONE);
    ReportSentence sentence = ReportSentence.read("line " + line + "; last 6");
    WeekView week = fabulum.context.getBean(WaitingWeek.class).week(sentence, LEAD);
    long[] waited = plain.waited(line, last.minusDays(5), last, now());
    for (HourView hour : week.hours()) {
      LocalDate day = last.minusDays(5);
      while (day.getDayOfWeek().getValue() != hour.weekday() && !day.isAfter(last)) {
        day = day.plusDays(1);
      }
      long seconds = day.isAfter(last) ? 0 : seconds(day, hour.hour());
      BigDecimal mean =
          seconds == 0
              ? BigDecimal.ZERO
              : BigDecimal.valueOf(waited[(hour.weekday() - 1) * 24 + hour.hour()])
                  .divide(BigDecimal.valueOf(seconds), 3, RoundingMode.HALF_UP);
      assertThat(hour.waiting())
          .as(when + ", line " + line + ": " + hour)
          .isEqualByComparingTo(mean);
    }
  }

  /** How much of an hour has passed. */
  private long seconds(LocalDate day, int hour) {
    Instant begins = day.atTime(hour, 0).atZone(PlainFigures.ZONE).toInstant();
    return Math.max(0, Math.min(3_600, Duration.between(begins, now()).toSeconds()));
  }
}
