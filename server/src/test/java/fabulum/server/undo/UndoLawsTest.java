package fabulum.server.undo;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.phone.Sender;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Moment;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.conversations.Said;
import fabulum.server.conversations.UndoStep;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Arrivals;
import fabulum.server.messaging.Deliveries;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.messaging.TextsTakenBack;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.Ownership;
import fabulum.server.people.People;
import fabulum.server.platform.Problem;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import fabulum.server.topics.TopicColour;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.Topics;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/**
 * Taking back is exact: after any acts of three people, on a narrowed line and an open one, taking
 * the last act back leaves every table but the script as it was before it.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
// Begun first: it takes longest.
@Order(1)
class UndoLawsTest {
  private static final long SEED = 20261126;
  private static final int SEQUENCES = 500;
  private static final int TEXTS = 150;

  private static final String DRAFTS = "select * from draft where conversation_id = ?";

  /** What the program does by itself meanwhile, such as telling of a late answer, is left out. */
  private static final List<String> TABLES =
      List.of(
          "select * from conversation_topic where conversation_id = ? order by topic_id",
          "select * from notice where conversation_id = ? and kind not in ('SOON', 'LATE') order by id",
          DRAFTS,
          "select coalesce(sum(s.parts), 0) from parts_sent s, conversation c where c.id = ?",
          "select id, needs_hand, answered_since from entry where conversation_id = ? and kind = 'OUT' order by id");

  private final Random random = new Random(SEED);
  private TwoTeams office;
  private Fabulum fabulum;
  private Acts acts;
  private Ownership owning;
  private Undo undo;
  private Arrivals arrivals;
  private Conversations conversations;
  private Messaging messaging;
  private Deliveries deliveries;
  private TextsTakenBack takenBacks;
  private People staff;
  private List<StaffId> people;
  private int made;

  @BeforeAll
  void begin() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    acts = fabulum.context.getBean(Acts.class);
    owning = fabulum.context.getBean(Ownership.class);
    arrivals = fabulum.context.getBean(Arrivals.class);
    undo = fabulum.context.getBean(Undo.class);
    conversations = fabulum.context.getBean(Conversations.class);
    messaging = fabulum.context.getBean(Messaging.class);
    deliveries = fabulum.context.getBean(Deliveries.class);
    takenBacks = fabulum.context.getBean(TextsTakenBack.class);
    staff = fabulum.context.getBean(People.class);
    Topics topics = fabulum.context.getBean(Topics.class);
    topics.add(new TeamId(1), new TopicSetup("lift", TopicColour.PINE, 15, false));
    topics.add(new TeamId(1), new TopicSetup("berths", TopicColour.MOSS, null, false));
    fabulum.tables.update("update line set narrowed = true where number = ?", Fabulum.YARD);
    // With so much time nothing is late, and the program has nothing to tell by itself.
    fabulum.tables.update("update line set promise_minutes = 43000");
    fabulum.context.getBean(Lines.class).forget();
    people =
        List.of(
            new StaffId(office.id("maren")),
            new StaffId(office.id("priya")),
            new StaffId(office.id("tom")));
  }

  @AfterAll
  void end() {
    office.close();
  }

  @Test
  void takingBackLeavesEveryTableButTheScriptAsItWas() {
    int undone = 0;
    for (int i = 0; i < SEQUENCES; i++) {
      ConversationId id = begun();
      for (int before = random.nextInt(5); before > 0; before--) {
        act(id);
      }
      fabulum.clock.advance(Duration.ofSeconds(1 + random.nextInt(60)));
      TreeMap<String, List<?>> was = tables(id);
      StaffId by = people.get(random.nextInt(people.size()));
      int kind = random.nextInt(12);
      Optional<UndoStep> step = step(id, kind, by);
      if (step.isEmpty()) {
        continue;
      }
      fabulum.clock.advance(Duration.ofSeconds(random.nextInt(60)));
      assertThat(undo.undo(step.get().name(), by).undone()).isEqualTo(1);

      assertThat(tables(id))
          .as("seed %s, sequence %s, act %s by %s", SEED, i, kind, by.value())
          .isEqualTo(was);
      undone++;
    }
    assertThat(undone).isGreaterThan(SEQUENCES / 3);
  }

  private ConversationId begun() {
    long line = 1 + random.nextInt(2);
    String address = "+13125550" + (100 + made % 100);
    arrivals.receive(
        ReceivedText.of(
            "in-" + made++,
            new LineId(line),
            Sender.ofAddress(address),
            "text " + made,
            Arrival.of(fabulum.clock.instant(), fabulum.clock.instant())));
    return conversations.open(new LineId(line), Participants.of(Sender.ofAddress(address)));
  }

  private void act(ConversationId id) {
    fabulum.clock.advance(Duration.ofSeconds(1 + random.nextInt(60)));
    StaffId by = people.get(random.nextInt(people.size()));
    int kind = random.nextInt(15);
    if (kind < 12) {
      step(id, kind, by);
    } else {
      answer(id, by, kind == 14);
    }
  }

  /** Nor is anything left of a text that is taken back before it leaves, but that it was. */
  @Test
  void aTextTakenBackLeavesEveryTableButTheScriptAsItWas() {
    int takenBack = 0;
    for (int i = 0; i < TEXTS; i++) {
      ConversationId id = begun();
      for (int before = random.nextInt(5); before > 0; before--) {
        act(id);
      }
      fabulum.clock.advance(Duration.ofSeconds(1 + random.nextInt(60)));
      StaffId by = people.get(random.nextInt(people.size()));
      TreeMap<String, List<?>> was = tables(id);
      staff.setSending(by, new People.Sending(Duration.ofSeconds(20), false, false));
      Optional<EntryId> text = say(id, by, Fabulum.reference(), lost(id));
      staff.setSending(by, new People.Sending(Duration.ZERO, false, false));
      if (text.isEmpty()) {
        continue;
      }
      takenBacks.takeBack(text.get(), by);
      fabulum.tables.update("delete from draft where conversation_id = ?", id.value());
      was.remove(DRAFTS);
      TreeMap<String, List<?>> is = tables(id);
      is.remove(DRAFTS);

      assertThat(is).as("seed %s, text %s by %s", SEED, i, by.value()).isEqualTo(was);
      takenBack++;
    }
    assertThat(takenBack).isGreaterThan(TEXTS / 2);
    // What was sent without a pause is on its way a moment longer.
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();
  }

  /** A text that was not delivered and needs a hand, if there is one. */
  private @Nullable Long lost(ConversationId id) {
    return fabulum
        .tables
        .queryForList(
            "select id from entry where conversation_id = ? and needs_hand order by id",
            Long.class,
            id.value())
        .stream()
        .findFirst()
        .orElse(null);
  }

  private Optional<EntryId> say(
      ConversationId id, StaffId by, String reference, @Nullable Long again) {
    try {
      return messaging
          .send(
              Recipient.in(id),
              new Said(
                  "answer",
                  new Author.Person(by.value()),
                  new ClientReference(reference),
                  null,
                  again,
                  null,
                  Set.of(Reason.values()),
                  null,
                  null,
                  List.of()))
          .text();
    } catch (Problem notSeen) {
      return Optional.empty();
    }
  }

  private void answer(ConversationId id, StaffId by, boolean fails) {
    String reference = Fabulum.reference();
    if (say(id, by, reference, null).isEmpty()) {
      return;
    }
    if (fails) {
      assertThat(
              fabulum.comesTo(
                  "select delivery from entry where reference = '" + reference + "'", "SENT"))
          .isTrue();
      deliveries.reported(
          reference,
          new Report(DeliveryState.NOT_DELIVERED, null, "gone", "Out of service.", null));
    }
  }

  /** Does something, as far as they see the conversation and may. */
  private Optional<UndoStep> step(ConversationId id, int kind, StaffId by) {
    try {
      return switch (kind) {
        case 0 -> owning.take(id, null, by);
        case 1 -> owning.letGo(id, by);
        case 2, 3 ->
            owning.handOver(id, HandTo.person(anybody()), random.nextBoolean() ? "why" : "", by);
        case 4 -> owning.handOver(id, HandTo.team(new TeamId(office.farTeam)), "", by);
        case 5, 6 -> acts.finish(id, null, by);
        case 7 -> acts.reopen(id, by);
        case 8 -> acts.setAside(id, new Moment(Moment.Kind.WHEN_THEY_WRITE, null), null, by);
        case 9 -> acts.takeUp(id, by);
        case 10 -> acts.needsNoAnswer(id, null, by);
        default -> topic(id, by);
      };
    } catch (Problem notSeenOrNotPossible) {
      return Optional.empty();
    }
  }

  private StaffId anybody() {
    return people.get(random.nextInt(people.size()));
  }

  private Optional<UndoStep> topic(ConversationId id, StaffId by) {
    TopicId topic = new TopicId(1 + random.nextInt(2));
    return random.nextBoolean() ? acts.addTopic(id, topic, by) : acts.removeTopic(id, topic, by);
  }

  /** All that is kept of a conversation, but its script; versions and looks of the list apart. */
  private TreeMap<String, List<?>> tables(ConversationId id) {
    TreeMap<String, List<?>> all = new TreeMap<>();
    all.put(
        "conversation",
        fabulum.tables.queryForList("select * from conversation where id = ?", id.value()).stream()
            .peek(row -> row.remove("VERSION"))
            .toList());
    for (String table : TABLES) {
      all.put(table, fabulum.tables.queryForList(table, id.value()));
    }
    return all;
  }
}
