package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.conversation.Participants;
import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.SendOutcome;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Said;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.platform.DiskReserve;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What waits to go: through refusals, a network that is closed, a restart, and a full disk. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
// Begun first: it takes longest.
@Order(1)
class OutboxTest {
  @TempDir static Path folder;
  private Fabulum fabulum;
  private Browser maren;
  private String number;
  private long id;

  @BeforeAll
  void start() {
    fabulum = Fabulum.startInBusiness(folder);
  }

  @BeforeEach
  void begin() {
    fabulum.network.forget();
    fabulum.room.set(Long.MAX_VALUE);
    fabulum.tables.update("delete from unreported");
    maren = fabulum.signedIn("maren");
    number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "hello?").require(200);
    id = maren.conversationOf(number).path("id").asLong();
  }

  @AfterAll
  void stop() {
    fabulum.close();
  }

  private String delivery(String words) {
    return String.valueOf(
        fabulum.tables.queryForObject(
            "select delivery from entry where words = ? and kind = 'OUT'", String.class, words));
  }

  private boolean comesTo(String words, String state) {
    return fabulum.comesTo(
        "select max(delivery) from entry where words = '" + words + "' and kind = 'OUT'", state);
  }

  private int conversations() {
    Integer count =
        fabulum.tables.queryForObject("select count(*) from conversation", Integer.class);
    return count == null ? 0 : count;
  }

  private JsonNode troubles() {
    return maren.get("/api/office/troubles").require(200).json();
  }

  @Test
  void aNetworkThatDoesNotKnowOurKeyIsWaitedForAndLeadsSeeIt() {
    fabulum.network.closed = Optional.of(new SendOutcome.Closed("unknown-key", "No such key."));
    maren.answer(id, "through the night").require(200);
    maren.answer(id, "and the next").require(200);
    fabulum.network.awaitHanded("through the night", 2, this::second);
    for (int days = 0; days < 3; days++) {
      fabulum.clock.advance(Duration.ofDays(1));
      int soFar = (int) fabulum.network.timesHanded("through the night");
      fabulum.network.awaitHanded("through the night", soFar + 1, this::second);
    }
    assertThat(delivery("through the night")).isEqualTo("WAITING");
    assertThat(fabulum.network.timesHanded("and the next")).as("one text is tried").isZero();
    assertThat(troubles().toString()).contains("NETWORK", "No such key.");

    fabulum.network.closed = Optional.empty();
    fabulum.network.awaitHanded("and the next", 1, this::second);

    assertThat(comesTo("and the next", "SENT")).isTrue();
    assertThat(delivery("through the night")).isEqualTo("SENT");
    assertThat(fabulum.becomes(() -> troubles().isEmpty())).isTrue();
  }

  private void second() {
    fabulum.clock.advance(Duration.ofSeconds(1));
  }

  @Test
  void theWaitsBetweenAttemptsGrowAndEndAfterADay() {
    List<Duration> waits =
        Stream.concat(
                Stream.of(1, 2, 5, 15, 60, 300, 900).map(Duration::ofSeconds),
                Stream.generate(() -> Duration.ofHours(3)).limit(7))
            .toList();
    for (int i = 0; i <= waits.size(); i++) {
      Optional<Duration> after = i < 7 ? Optional.empty() : Optional.of(Duration.ofHours(3));
      fabulum.network.script.add(new SendOutcome.RefusedForNow("busy", "Too busy.", after));
    }
    maren.answer(id, "patience").require(200);

    for (int tried = 1; tried <= waits.size(); tried++) {
      Duration wait = waits.get(tried - 1);
      assertThat(fabulum.comesTo("select max(attempts) from outbox", String.valueOf(tried)))
          .as("attempt %s", tried)
          .isTrue();
      assertThat(fabulum.tables.queryForObject("select next_at from outbox", Instant.class))
          .as("after attempt %s", tried)
          .isEqualTo(fabulum.clock.instant().plus(wait));
      fabulum.clock.advance(wait);
    }

    assertThat(comesTo("patience", "NOT_DELIVERED")).isTrue();
    assertThat(fabulum.network.timesHanded("patience")).isEqualTo(waits.size() + 1);
    assertThat(maren.conversationOf(number).path("group").asString()).isEqualTo("OUR_TURN");
  }

  @Test
  void whatCameOfASendAndCouldNotBeKeptIsAskedAboutBeforeItIsSentAgain() {
    fabulum.tables.execute("alter table unreported add constraint broken check (asked > 5)");
    String reference = Fabulum.reference();
    fabulum.network.secretlyTaken.put(reference, "n-kept");
    maren
        .post(
            "/api/conversations/" + id + "/texts",
            Map.of("words", "sent once", "reference", reference))
        .require(200);
    assertThat(fabulum.comesTo("select max(attempts) from outbox where ask_first", "1")).isTrue();
    fabulum.tables.execute("alter table unreported drop constraint broken");

    for (int i = 0; i < 60 && !delivery("sent once").equals("SENT"); i++) {
      second();
      fabulum.comesToWithin("select delivery from entry where words = 'sent once'", "SENT", 100);
    }

    assertThat(comesTo("sent once", "SENT")).isTrue();
    assertThat(fabulum.network.timesHanded("sent once")).isEqualTo(1);
  }

  @Test
  void whatWasLeftFromTheLastRunIsAskedAboutFirst() {
    fabulum.network.script.add(
        new SendOutcome.RefusedForNow("busy", "Too busy.", Optional.of(Duration.ofHours(1))));
    String reference = Fabulum.reference();
    maren
        .post(
            "/api/conversations/" + id + "/texts",
            Map.of("words", "over the restart", "reference", reference))
        .require(200);
    fabulum.network.awaitHanded("over the restart", 1, () -> {});
    assertThat(fabulum.comesTo("select max(attempts) from outbox", "1")).isTrue();
    // As it stands in the tables when the process dies while the text is on its way.
    fabulum.tables.update(
        "update outbox set claimed_by = 'fabulum', claimed_until = timestamp with time zone '2030-01-01 00:00:00+00'");

    fabulum = fabulum.again("--fabulum.clock.at=" + fabulum.clock.instant().plusSeconds(7_200));
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();

    assertThat(fabulum.network.asked).contains(reference);
  }

  @Test
  void whatAnotherProcessHasOnItsWayIsLeftToItUntilItsClaimRunsOut() {
    fabulum.network.script.add(
        new SendOutcome.RefusedForNow("busy", "Too busy.", Optional.of(Duration.ofHours(1))));
    maren.answer(id, "claimed").require(200);
    assertThat(fabulum.comesTo("select max(attempts) from outbox", "1")).isTrue();
    fabulum.tables.update(
        "update outbox set claimed_by = 'another', claimed_until = ?",
        Timestamp.from(fabulum.clock.instant().plus(Duration.ofHours(2))));
    fabulum.clock.advance(Duration.ofMinutes(61));
    maren.answer(another(), "free").require(200);
    assertThat(comesTo("free", "SENT")).isTrue();
    assertThat(fabulum.network.timesHanded("claimed")).isEqualTo(1);

    fabulum.clock.advance(Duration.ofMinutes(61));

    assertThat(comesTo("claimed", "SENT")).isTrue();
    assertThat(fabulum.network.asked).as("asked about before it is sent again").hasSize(1);
  }

  private long another() {
    String from = fabulum.freshNumber();
    fabulum.webhook().text(from, Fabulum.DOCK, "hello").require(200);
    return maren.conversationOf(from).path("id").asLong();
  }

  @Test
  void anAnswerNeverStandsBehindTheTextsOfOneAct() {
    List<Long> many = Stream.generate(this::another).limit(20).toList();
    long last = many.get(19);
    String numberOfLast =
        fabulum.tables.queryForObject(
            "select n.address from conversation c join number n on n.id = c.number_id where c.id = ?",
            String.class,
            last);
    fabulum.network.held =
        text ->
            text.words().equals("Storm at six.") && !text.to().get(0).e164().equals(numberOfLast);
    Map<String, Object> act = Map.of("ids", many, "what", "TEXT", "words", "Storm at six.");
    maren.post("/api/several", Map.of("act", act, "reference", Fabulum.reference())).require(200);
    assertThat(fabulum.comesTo("select count(*) from outbox", "20")).isTrue();
    fabulum.network.awaitHanded("Storm at six.", 1, () -> {});

    maren.answer(id, "It is yours.").require(200);
    maren.answer(last, "And yours.").require(200);

    assertThat(comesTo("It is yours.", "SENT")).isTrue();
    assertThat(comesTo("And yours.", "SENT")).isTrue();
    assertThat(
            fabulum.network.handed.stream()
                .filter(text -> text.to().get(0).e164().equals(numberOfLast))
                .map(Gateway.OutgoingText::words))
        .as("in the order they were written")
        .containsExactly("Storm at six.", "And yours.");
    fabulum.network.letGo();
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();
    assertThat(fabulum.network.timesHanded("Storm at six.")).isEqualTo(20);
  }

  @Test
  void whatNoPersonWroteEndsNoWaitAndOwnsNothing() {
    Messaging messaging = fabulum.context.getBean(Messaging.class);
    for (Author author : List.of(new Author.Rule(1), new Author.Itself(Author.Purpose.CODE))) {
      String words = "We open at eight, says " + author;
      messaging.send(
          Recipient.in(new ConversationId(id)),
          Said.by(author, words, new ClientReference(Fabulum.reference())));
      messaging.send(
          Recipient.in(new ConversationId(id)),
          Said.by(author, words, new ClientReference(Fabulum.reference())));
      assertThat(comesTo(words, "SENT")).isTrue();
    }

    JsonNode row = maren.conversationOf(number);
    assertThat(row.path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(row.has("owner")).isFalse();
    JsonNode script = maren.script(id);
    JsonNode said = script.get(script.size() - 1);
    assertThat(said.path("automatic").asBoolean()).isTrue();
    assertThat(said.has("speaker")).isFalse();
  }

  @Test
  void aTextGoesToANumberNobodyHasWrittenFromAndOnlyWhenItMay() {
    Messaging messaging = fabulum.context.getBean(Messaging.class);
    Recipient stranger =
        Recipient.on(new LineId(1), Participants.of(new PhoneNumber(fabulum.freshNumber())));
    Author author = new Author.Itself(Author.Purpose.CODE);
    int before = conversations();

    SendDecision empty =
        messaging
            .send(stranger, Said.by(author, " ", new ClientReference(Fabulum.reference())))
            .decision();
    assertThat(empty.verdict()).isEqualTo(SendDecision.Verdict.MAY_NOT_GO);
    assertThat(conversations()).isEqualTo(before);

    String reference = Fabulum.reference();
    messaging.send(stranger, Said.by(author, "Your code is 4711.", new ClientReference(reference)));
    messaging.send(stranger, Said.by(author, "Your code is 4711.", new ClientReference(reference)));
    assertThat(comesTo("Your code is 4711.", "SENT")).isTrue();
    assertThat(fabulum.network.timesHanded("Your code is 4711.")).isEqualTo(1);
    assertThat(conversations()).isEqualTo(before + 1);
  }

  @Test
  void aTextThatIsToGoLaterWaitsUntilThenAndWhatIsWrittenAfterItGoesAfterIt() {
    Messaging messaging = fabulum.context.getBean(Messaging.class);
    Instant then = fabulum.clock.instant().plus(Duration.ofMinutes(20));
    Said later =
        Said.by(
            new Author.Itself(Author.Purpose.CODE),
            "In twenty minutes.",
            new ClientReference(Fabulum.reference()));
    messaging.send(Recipient.in(new ConversationId(id)), later.notBefore(then));
    maren.answer(id, "Behind it.").require(200);
    String other = fabulum.freshNumber();
    fabulum.webhook().text(other, Fabulum.DOCK, "elsewhere").require(200);
    long elsewhere = maren.conversationOf(other).path("id").asLong();
    maren.answer(elsewhere, "Not behind it.").require(200);
    assertThat(comesTo("Not behind it.", "SENT")).isTrue();
    assertThat(fabulum.network.timesHanded("In twenty minutes.")).isZero();

    fabulum.clock.advance(Duration.ofMinutes(20));
    assertThat(comesTo("Behind it.", "SENT")).isTrue();
    assertThat(fabulum.network.handed.stream().map(Gateway.OutgoingText::words))
        .containsSubsequence("In twenty minutes.", "Behind it.");
  }

  @Test
  void aFullDiskStopsWritingAndNotReadingAndAllGoesOnWithRoomAgain() {
    Browser priya = fabulum.signedIn("priya");
    DiskReserve disk = fabulum.context.getBean(DiskReserve.class);
    fabulum.room.set(1L << 20);
    assertThat(fabulum.becomes(disk::isStopped)).isTrue();

    Answer refused = maren.answer(id, "not now").require(503);
    assertThat(refused.problem()).isEqualTo("no-space");
    assertThat(refused.json().path("detail").asString()).contains("disk is almost full", "kept");
    fabulum.webhook().text(number, Fabulum.DOCK, "keep me").require(503);
    assertThat(priya.script(id).size()).isEqualTo(1);
    priya.put("/api/conversations/" + id + "/watch", Map.of("writing", false)).require(200);
    fabulum.signedIn("maren").get("/api/conversations?group=OUR_TURN").require(200);
    assertThat(troubles().toString()).contains("DISK_FULL");

    fabulum.room.set(1L << 30);
    assertThat(fabulum.becomes(() -> troubles().toString().contains("DISK_LOW"))).isTrue();
    assertThat(troubles().toString()).doesNotContain("DISK_FULL");
    assertThat(disk.isStopped()).isFalse();
    fabulum.webhook().text(number, Fabulum.DOCK, "keep me").require(200);
    maren.answer(id, "now").require(200);
    assertThat(comesTo("now", "SENT")).isTrue();
  }

  @Tag("file")
  @Test
  void aDatabaseThatClosedItselfIsOpenedAgainAndNothingIsLost() {
    fabulum = fabulum.again("--fabulum.write-delay=0ms");
    maren = fabulum.signedIn("maren");
    Path keptFree = folder.resolve("kept-free");
    assertThat(keptFree).exists();
    maren.answer(id, "before").require(200);
    assertThat(comesTo("before", "SENT")).isTrue();
    fabulum.room.set(0);
    fabulum.tables.execute("shutdown immediately");
    assertThat(fabulum.becomes(() -> Files.notExists(keptFree))).isTrue();

    assertThat(fabulum.becomes(() -> maren.get("/api/lines").status() == 200)).isTrue();
    assertThat(maren.script(id).toString()).contains("before");
    maren.answer(id, "not now").require(503);

    fabulum.room.set(1L << 30);
    assertThat(fabulum.becomes(() -> maren.answer(id, "after").status() == 200)).isTrue();
    assertThat(comesTo("after", "SENT")).isTrue();
    assertThat(keptFree).exists();
  }

  @Test
  void theRoomOnTheDiskIsMeasuredWhereTheDataIs() throws IOException {
    long room = DiskReserve.Room.of(folder.resolve("not/made/yet")).usable();
    assertThat(room).isPositive();
    assertThat(List.of(folder.toFile().getUsableSpace() / 2, room)).isSorted();
  }
}
