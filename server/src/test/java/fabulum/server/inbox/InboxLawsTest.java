package fabulum.server.inbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.access.Role;
import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.conversation.Participants;
import fabulum.core.delivery.ClientReference;
import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.promise.Promise;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.core.sentence.Facts;
import fabulum.core.sentence.Sentence;
import fabulum.core.sentence.SentenceText;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Moment;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.conversations.Returns;
import fabulum.server.conversations.Said;
import fabulum.server.history.PlainHistory;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.messaging.Arrivals;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.ownership.BroughtIn;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.Ownership;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.Problem;
import fabulum.server.testing.Fabulum;
import fabulum.server.topics.TopicColour;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.Topics;
import fabulum.server.undo.Undo;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/**
 * Groups, orders, sentences, counts and all that was said against a plain recomputation, over
 * thousands of random acts.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
// Begun first: it takes longest.
@Order(1)
class InboxLawsTest {
  private static final long SEED = 20261124;
  private static final int ACTS = 600;
  private static final String[] WORDS = {"bilge pump", "berth", "50% off", "a_b", "INVOICE", "tow"};

  /** The first lead sees everything. */
  private static final long LEAD = 1;

  /** Leads the team of lines 1 and 3. */
  private static final long ANN = 2;

  /** Is in that team, and line 3 is narrowed. */
  private static final long BEN = 3;

  /** Is in the team of line 2; what is handed to it from line 3 is narrowed there too. */
  private static final long CYN = 4;

  private final Random random = new Random(SEED);
  private final Map<Long, Plain> plain = new TreeMap<>();
  private Fabulum fabulum;
  private Conversations conversations;
  private Arrivals arrivals;
  private Undo undo;
  private Acts acts;
  private Ownership owning;
  private BroughtIn broughtIn;
  private Inbox inbox;
  private Messaging messaging;
  private Returns returns;
  private Lines lines;
  private Topics topics;
  private PlainHistory said;

  /** One conversation as the test remembers it. */
  private static final class Plain {
    final long line;
    final String address;
    ConversationState state;
    Instant opened;
    Instant lastAt;
    @Nullable Long owner;
    @Nullable Long team;
    @Nullable Long startedBy;
    boolean failed;
    final Set<Long> topics = new HashSet<>();
    final Set<Long> guests = new HashSet<>();
    final List<String> said = new ArrayList<>();

    Plain(long line, String address, Instant at) {
      this.line = line;
      this.address = address;
      this.state = ConversationState.begunByCustomer(at);
      this.opened = at;
      this.lastAt = at;
    }

    void now(ConversationState after, Instant at) {
      opened = after.isOpen() && !state.isOpen() ? at : opened;
      if (!after.isOpen()) {
        guests.clear();
      }
      state = after;
    }
  }

  @BeforeAll
  void begin() {
    fabulum = Fabulum.startEmpty();
    conversations = fabulum.context.getBean(Conversations.class);
    arrivals = fabulum.context.getBean(Arrivals.class);
    undo = fabulum.context.getBean(Undo.class);
    acts = fabulum.context.getBean(Acts.class);
    owning = fabulum.context.getBean(Ownership.class);
    broughtIn = fabulum.context.getBean(BroughtIn.class);
    inbox = fabulum.context.getBean(Inbox.class);
    messaging = fabulum.context.getBean(Messaging.class);
    returns = fabulum.context.getBean(Returns.class);
    lines = fabulum.context.getBean(Lines.class);
    topics = fabulum.context.getBean(Topics.class);
    said = new PlainHistory(fabulum, new Random(SEED + 1));
    People people = fabulum.context.getBean(People.class);
    people.add(new NewStaff("a", "Ann", "A", Role.LEAD, Fabulum.PASSWORD, false));
    people.add(new NewStaff("b", "Ben", "B", Role.STAFF, Fabulum.PASSWORD, false));
    people.add(new NewStaff("c", "Cyn", "C", Role.STAFF, Fabulum.PASSWORD, false));
    line("North", "One", "Dock", "Mon-Fri 8:00-12:00, Mon-Fri 13:00-17:00", 60);
    line("North", "Two", "Yard", "", 90);
    line("South", "One", "Shop", "Fri 20:00-2:00 next day, Tue 9:00-18:00", 30);
    fabulum.tables.update("update line set narrowed = true where id = 3");
    lines.forget();
    Teams teams = fabulum.context.getBean(Teams.class);
    teams.join(new TeamId(2), new StaffId(ANN));
    teams.join(new TeamId(2), new StaffId(BEN));
    teams.join(new TeamId(3), new StaffId(CYN));
    for (int i = 1; i <= 3; i++) {
      Integer promise = i == 2 ? 15 : null;
      topics.add(new TeamId(2), new TopicSetup("t" + i, TopicColour.PINE, promise, false));
    }
    topics.add(new TeamId(3), new TopicSetup("other", TopicColour.CLAY, 600, false));
  }

  private void line(String site, String team, String name, String week, int minutes) {
    PhoneNumber number = new PhoneNumber("+1920555010" + (1 + lines.list().size()));
    Hours hours = new Hours(ZoneId.of("America/Chicago"), WeekReader.read(week), Set.of());
    lines.add(
        new NewLine(
            site,
            team,
            name,
            number,
            new Region("US"),
            hours,
            new Promise(Duration.ofMinutes(minutes))));
    lines.forget();
  }

  @AfterAll
  void end() {
    fabulum.close();
  }

  @Test
  void theListIsWhatPlainReckoningGivesWhateverIsDone() {
    for (int i = 0; i < ACTS; i++) {
      act(i);
      if (i % 60 == 59) {
        compare("after " + i + " acts, seed " + SEED);
      }
    }
    assertThat(plain).hasSizeGreaterThan(50);
    fabulum.context.getBean(Counters.class).load();
    compare("counted anew");
  }

  private void act(int i) {
    if (random.nextInt(3) == 0) {
      fabulum.clock.advance(Duration.ofSeconds(random.nextInt(5_400)));
      returns.bringBack();
      plain.values().forEach(one -> one.now(one.state.cameBack(now()), now()));
    }
    if (plain.size() < 8 || random.nextInt(5) < 2) {
      receive(i);
      return;
    }
    List<Long> ids = List.copyOf(plain.keySet());
    long chosen = ids.get(random.nextInt(ids.size()));
    Plain one = one(chosen);
    ConversationId id = new ConversationId(chosen);
    StaffId someone = anybody();
    StaffId by = isTheirs(one, someone.value()) ? someone : new StaffId(LEAD);
    if (!by.equals(someone)) {
      assertThatThrownBy(() -> owning.take(id, null, someone))
          .hasMessageContaining(
              sees(one, someone.value()) ? "You were brought into" : "does not exist");
    }
    switch (random.nextInt(13)) {
      case 0, 1, 2 -> answer(one, id, by, i);
      case 3 -> {
        owning.take(id, null, by);
        one.owner = by.value();
      }
      case 4 -> {
        owning.letGo(id, by);
        one.owner = null;
      }
      case 5 -> {
        acts.finish(id, null, by);
        one.now(one.state.finished(now()), now());
      }
      case 6 -> setAside(one, id, by);
      case 7 -> {
        acts.needsNoAnswer(id, null, by);
        one.now(one.state.neededNoAnswer(now()), now());
      }
      case 8 -> topic(one, id, by);
      case 9 -> handOver(one, id, by);
      case 10, 11 -> bringIn(one, id, by);
      default -> takeBack(one, id, by);
    }
  }

  private StaffId anybody() {
    return new StaffId(1 + random.nextInt(4));
  }

  /** Somebody of another team, if it is open; who is in already is let out. */
  private void bringIn(Plain one, ConversationId id, StaffId by) {
    StaffId who = anybody();
    if (one.guests.remove(who.value())) {
      broughtIn.letOut(id, who, by);
    } else if (one.state.isOpen() && !isTheirs(one, who.value())) {
      broughtIn.bringIn(id, who, random.nextBoolean(), by);
      one.guests.add(who.value());
    }
  }

  private static boolean sees(Plain one, long who) {
    return one.guests.contains(who) || isTheirs(one, who);
  }

  /** Whether someone sees it because of where it is, by the words of the rule. */
  private static boolean isTheirs(Plain one, long who) {
    boolean first = one.line != 2 || Long.valueOf(2).equals(one.team);
    boolean hidden = one.line == 3 && one.owner != null && one.owner != who;
    return switch ((int) who) {
      case (int) LEAD -> true;
      case (int) ANN -> first;
      case (int) BEN -> first && !hidden;
      default -> (one.line == 2 || Long.valueOf(3).equals(one.team)) && !hidden;
    };
  }

  private void handOver(Plain one, ConversationId id, StaffId by) {
    long team = 2 + random.nextInt(2);
    if (random.nextBoolean()) {
      owning.handOver(id, HandTo.team(new TeamId(team)), "", by);
      one.team = team == (one.line == 2 ? 3 : 2) ? null : Long.valueOf(team);
      one.owner = null;
    } else {
      owning.handOver(id, HandTo.person(new StaffId(LEAD)), "", by);
      one.owner = LEAD;
    }
  }

  private Plain one(long id) {
    return Objects.requireNonNull(plain.get(id));
  }

  private Instant now() {
    return fabulum.clock.instant();
  }

  private void receive(int i) {
    long line = 1 + random.nextInt(3);
    String address = "+13125550" + (100 + random.nextInt(60));
    String words = WORDS[random.nextInt(WORDS.length)] + " " + i;
    arrivals.receive(
        ReceivedText.of(
            "in-" + i,
            new LineId(line),
            Sender.ofAddress(address),
            words,
            Arrival.of(now(), now())));
    Plain known =
        plain.values().stream()
            .filter(one -> one.line == line && one.address.equals(address))
            .findFirst()
            .orElse(null);
    if (known == null) {
      known = new Plain(line, address, now());
      plain.put(
          conversations.open(new LineId(line), Participants.of(Sender.ofAddress(address))).value(),
          known);
    } else {
      known.startedBy = known.state.isOpen() ? known.startedBy : null;
      known.now(known.state.customerWrote(now()), now());
    }
    known.lastAt = now();
    known.said.add(words);
  }

  private void answer(Plain one, ConversationId id, StaffId by, int i) {
    String words = "answer " + WORDS[random.nextInt(WORDS.length)];
    messaging.send(
        Recipient.in(id),
        new Said(
            words,
            new Author.Person(by.value()),
            new ClientReference("reference-" + i),
            null,
            null,
            null,
            Set.of(Reason.values()),
            null,
            null,
            List.of()));
    one.owner = one.owner == null ? Long.valueOf(by.value()) : one.owner;
    one.startedBy = one.state.isOpen() ? one.startedBy : Long.valueOf(by.value());
    one.now(one.state.personAnswered(now()), now());
    one.lastAt = now();
    one.said.add(words);
  }

  private void setAside(Plain one, ConversationId id, StaffId by) {
    Moment.Kind kind = Moment.Kind.values()[random.nextInt(5)];
    Moment moment = new Moment(kind, kind == Moment.Kind.AT ? now().plusSeconds(4_000) : null);
    try {
      acts.setAside(id, moment, null, by);
    } catch (Problem refused) {
      return;
    }
    Instant until = inbox.find(id).orElseThrow().asideUntil();
    one.now(one.state.setAside(Optional.ofNullable(until)), now());
  }

  private void topic(Plain one, ConversationId id, StaffId by) {
    long topic = one.line == 3 ? 1 + random.nextInt(3) : one.line == 1 ? 1 + random.nextInt(3) : 4;
    if (one.topics.contains(topic)) {
      acts.removeTopic(id, new TopicId(topic), by);
      one.topics.remove(topic);
    } else {
      acts.addTopic(id, new TopicId(topic), by);
      one.topics.add(topic);
    }
  }

  /** Done and taken back leaves all as it was. */
  /** Who was brought in is out with the end, also when that is taken back. */
  private void takeBack(Plain one, ConversationId id, StaffId by) {
    one.guests.clear();
    acts.finish(id, null, by)
        .ifPresent(step -> assertThat(undo.undo(step.name(), by).undone()).isEqualTo(1));
  }

  private void compare(String when) {
    // A text on its way may be sent between two looks at it.
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();
    said.compare(when, 80, 4, (conversation, who) -> sees(one(conversation), who));
    for (int i = 0; i < 4; i++) {
      Sentence sentence = sentence();
      StaffId me = anybody();
      InboxCounts counts = inbox.counts(sentence, me);
      assertThat(List.of(counts.ourTurn(), counts.theirTurn(), counts.setAside(), counts.done()))
          .as(when + ", asked by " + me.value() + ": " + SentenceText.write(sentence))
          .isEqualTo(
              List.of(
                  count(Group.OUR_TURN, sentence, me),
                  count(Group.THEIR_TURN, sentence, me),
                  count(Group.SET_ASIDE, sentence, me),
                  count(Group.DONE, sentence, me)));
      for (Group group : List.of(Group.OUR_TURN, Group.THEIR_TURN, Group.SET_ASIDE, Group.DONE)) {
        ListOrder order = ListOrder.values()[random.nextInt(4)];
        assertThat(pages(new InboxQuery(group, order, sentence, me)))
            .as(when + ": " + group + " " + order + " " + SentenceText.write(sentence))
            .isEqualTo(listed(group, order, sentence, me));
        List<ConversationId> some =
            plain.keySet().stream()
                .filter(id -> random.nextInt(4) == 0)
                .limit(Inbox.LONGEST_PAGE)
                .map(ConversationId::new)
                .toList();
        assertThat(
                inbox.among(new InboxQuery(group, order, sentence, me), some).rows().stream()
                    .map(ConversationView::id)
                    .toList())
            .as(when + ", among some: " + group + " " + order)
            .isEqualTo(
                listed(group, order, sentence, me).stream()
                    .filter(id -> some.contains(new ConversationId(id)))
                    .toList());
      }
    }
  }

  private List<Long> pages(InboxQuery query) {
    List<Long> ids = new ArrayList<>();
    String from = null;
    do {
      InboxPage page = inbox.page(query, from, 1 + random.nextInt(20));
      page.rows().forEach(row -> ids.add(row.id()));
      from = page.next();
    } while (from != null);
    return ids;
  }

  private int count(Group group, Sentence sentence, StaffId me) {
    return listed(group, ListOrder.NEWEST, sentence, me).size();
  }

  private List<Long> listed(Group group, ListOrder order, Sentence sentence, StaffId me) {
    Comparator<Long> byId = Comparator.naturalOrder();
    Comparator<Long> comparator =
        Comparator.<Long, Instant>comparing(id -> placeOf(one(id), order)).thenComparing(byId);
    boolean last = order == ListOrder.NEWEST;
    return plain.entrySet().stream()
        .filter(entry -> entry.getValue().state.group() == group)
        .filter(entry -> isMeant(sentence, entry.getValue(), me))
        .map(Map.Entry::getKey)
        .sorted(last ? comparator.reversed() : comparator)
        .toList();
  }

  private Instant placeOf(Plain one, ListOrder order) {
    Function<Plain, Instant> stands =
        it ->
            switch (it.state.group()) {
              case OUR_TURN -> Objects.requireNonNull(due(it));
              case SET_ASIDE ->
                  it.state.asideUntil().orElse(it.state.since().plusSeconds(36_500L * 86_400));
              case THEIR_TURN, DONE, BLANK -> it.state.since();
            };
    return switch (order) {
      case TIME_LEFT, WAITING_LONGEST -> stands.apply(one);
      case NEWEST -> one.state.group() == Group.DONE ? one.state.since() : one.lastAt;
      case OPEN_LONGEST -> one.opened;
    };
  }

  private @Nullable Instant due(Plain one) {
    if (one.state.waitingSince().isEmpty()) {
      return null;
    }
    Promise promise =
        topics.shortest(one.topics).orElse(lines.promise(new LineId(one.line)).promise());
    return promise.due(one.state.since(), hours(one)).orElseThrow();
  }

  private Hours hours(Plain one) {
    return lines.promise(new LineId(one.line)).hours();
  }

  private boolean isMeant(Sentence sentence, Plain one, StaffId me) {
    LineView line = lines.get(new LineId(one.line));
    Facts facts =
        new Facts(
            one.line,
            line.siteId(),
            one.team == null ? line.teamId() : one.team,
            id(one.owner),
            id(one.startedBy),
            one.topics,
            true,
            one.failed);
    Instant due = due(one);
    LocalDate today = now().atZone(hours(one).zone()).toLocalDate();
    LocalDate last = one.lastAt.atZone(hours(one).zone()).toLocalDate();
    return sees(one, me.value())
        && sentence.agreesWith(facts, me.value())
        && one.address.contains(sentence.called())
        && (sentence.saying().isEmpty()
            || one.said.stream().anyMatch(said -> contains(said, sentence.saying())))
        && sentence
            .left()
            .filter(left -> due == null || !left.holds(hours(one).between(now(), due)))
            .isEmpty()
        && sentence.days().filter(days -> !days.hold(last, today)).isEmpty();
  }

  private static boolean contains(String said, String sought) {
    return said.toLowerCase(Locale.ROOT).contains(sought.toLowerCase(Locale.ROOT));
  }

  private static OptionalLong id(@Nullable Long id) {
    return id == null ? OptionalLong.empty() : OptionalLong.of(id);
  }

  private Sentence sentence() {
    List<String> parts = new ArrayList<>();
    String[] whose = {"mine", "nobody's", "colleague 1", "team 2", "team 3", "team 1"};
    perhaps(parts, whose[random.nextInt(whose.length)]);
    perhaps(parts, "line " + (1 + random.nextInt(4)));
    perhaps(parts, "site " + (1 + random.nextInt(2)));
    perhaps(parts, "topic " + (1 + random.nextInt(4)));
    perhaps(parts, "called 5550" + (10 + random.nextInt(6)));
    perhaps(parts, "saying " + WORDS[random.nextInt(WORDS.length)]);
    int from = random.nextInt(400) - 200;
    String[] left = {
      "..0", "0..", "0..60", from + ".." + (from + 1 + random.nextInt(120)), from + ".."
    };
    perhaps(parts, "left " + left[random.nextInt(left.length)]);
    perhaps(parts, "last " + (1 + random.nextInt(9)));
    perhaps(parts, "to identify");
    return SentenceText.read(String.join("; ", parts));
  }

  private void perhaps(List<String> parts, String part) {
    if (random.nextInt(6) == 0) {
      parts.add(part);
    }
  }
}
