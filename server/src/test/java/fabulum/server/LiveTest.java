package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.accounts.Accounts;
import fabulum.server.accounts.SignIn;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.live.LiveStream;
import fabulum.server.live.Subscription;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.LiveReader.Heard;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.TwoTeams;
import java.nio.file.Path;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

@OnSharedProgram
class LiveTest {
  private final Fabulum fabulum;
  private final Browser maren;

  LiveTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
  }

  private void text(String number, String words) {
    fabulum.webhook().text(number, Fabulum.DOCK, words).require(200);
  }

  private static boolean isAbout(JsonNode message, String number, String words) {
    return message.path("conversation").path("address").asString("").equals(number)
        && message.path("entries").get(0).path("words").asString("").equals(words);
  }

  @Test
  void aTextIsToldToEveryOpenBrowserWithItsRow() {
    String number = fabulum.freshNumber();
    try (LiveReader one = maren.live(null);
        LiveReader other = fabulum.signedIn("maren").live(null)) {
      assertThat(one.next().type()).isEqualTo("BEAT");
      assertThat(other.next().type()).isEqualTo("BEAT");
      text(number, "live?");
      for (LiveReader reader : new LiveReader[] {one, other}) {
        JsonNode row =
            reader
                .await(message -> isAbout(message, number, "live?"))
                .message()
                .path("conversation");
        assertThat(row.path("group").asString()).isEqualTo("OUR_TURN");
      }
    }
  }

  @Test
  void whoBeginsWhereTheSessionSaidIsToldWhatHappenedSinceAndNothingElse() {
    String number = fabulum.freshNumber();
    try (LiveReader other = maren.live(null)) {
      text(number, "before the session");
      other.await(message -> isAbout(message, number, "before the session"));
      String live = maren.get("/api/session").json().path("live").asString();
      text(number, "after the session");
      other.await(message -> isAbout(message, number, "after the session"));
      try (LiveReader page = maren.live(live)) {
        assertThat(page.next().type()).isEqualTo("BEAT");
        page.await(message -> {
          assertThat(isAbout(message, number, "before the session")).isFalse();
          return isAbout(message, number, "after the session");
        });
      }
    }
  }

  @Test
  void whoeverWasAwayIsToldExactlyWhatTheyMissed() {
    String number = fabulum.freshNumber();
    String position;
    try (LiveReader before = maren.live(null)) {
      before.next();
      text(number, "heard");
      position = before.await(message -> isAbout(message, number, "heard")).position();
    }
    text(number, "missed one");
    text(number, "missed two");

    try (LiveReader after = maren.live(position)) {
      after.await(message -> isAbout(message, number, "missed one"));
      after.await(message -> isAbout(message, number, "missed two"));
      text(number, "and on");
      after.await(message -> isAbout(message, number, "and on"));
    }
  }

  @Test
  void whoeverBreaksOffAgainBeforeTheyHeardWhatTheyMissedIsStillToldIt() {
    String number = fabulum.freshNumber();
    String position;
    try (LiveReader before = maren.live(null)) {
      position = before.next().position();
    }
    text(number, "missed twice");
    for (int i = 0; i < 3; i++) {
      try (LiveReader briefly = maren.live(position)) {
        position = briefly.next().position();
      }
    }
    try (LiveReader after = maren.live(position)) {
      after.await(message -> isAbout(message, number, "missed twice"));
    }
  }

  @Test
  void whoeverComesFromAnotherRunReadsEverythingAgain() {
    for (String position : new String[] {"another-7", "nonsense", "another-x", "7"}) {
      try (LiveReader reader = maren.live(position)) {
        Heard first = reader.next();
        assertThat(first.type()).as(position).isEqualTo("READ_AGAIN");
        assertThat(first.position()).isNotEmpty();
      }
    }
  }

  @Test
  void whatHappenedAroundARestartIsToldFromTheFeedAndOnlyToWhoSeesIt(@TempDir Path folder) {
    String position;
    String seen = "+13125550181";
    try (Fabulum first = Fabulum.startInBusiness(folder)) {
      try (LiveReader reader = first.signedIn("maren").live(null)) {
        position = reader.next().position();
      }
      first.webhook().text(seen, Fabulum.DOCK, "before the restart").require(200);
    }
    try (Fabulum again = Fabulum.start(folder)) {
      try (LiveReader reader = again.signedIn("maren").live(position)) {
        Heard told = reader.await(message -> isAbout(message, seen, "before the restart"));
        assertThat(told.position()).as("until all of it was heard").isEqualTo(position);
        Heard through = reader.await(message -> message.path("type").asString().equals("BEAT"));
        assertThat(through.position()).isNotEqualTo(position);
        again.webhook().text(seen, Fabulum.DOCK, "after it").require(200);
        reader.await(message -> isAbout(message, seen, "after it"));
      }
      again.tables.update("update change_feed set kind = 'SET_UP'");
      try (LiveReader reader = again.signedIn("maren").live(position)) {
        assertThat(reader.next().type()).as("more than conversations").isEqualTo("READ_AGAIN");
      }
    }
  }

  @Test
  void whatAnotherProcessChangedIsToldAndCounted() {
    String number = fabulum.freshNumber();
    text(number, "of this process");
    long id = maren.conversationOf(number).path("id").asLong();
    int before = maren.get("/api/conversations/counts").json().path("done").asInt();
    try (LiveReader reader = maren.live(null)) {
      reader.next();
      fabulum.tables.update(
          "update conversation set box = 'DONE', version = version + 1 where id = ?", id);
      fabulum.tables.update(
          "insert into change_feed (at, kind, subject, version, node)"
              + " values (?, 'CONVERSATION', ?, 99, 'another')",
          fabulum.clock.instant().atOffset(ZoneOffset.UTC),
          id);
      reader.await(message ->
          message.path("conversation").path("id").asLong() == id
              && message.path("conversation").path("group").asString().equals("DONE"));
    }
    assertThat(maren.get("/api/conversations/counts").json().path("done").asInt())
        .isEqualTo(before + 1);
  }

  @Test
  void eachBrowserIsToldOfWhatItsOwnerSeesAndOfNothingElse() {
    try (TwoTeams office = TwoTeams.start()) {
      Browser otto = office.fabulum.signedIn("otto");
      Browser priya = office.fabulum.signedIn("priya");
      try (LiveReader far = otto.live(null);
          LiveReader near = priya.live(null)) {
        near.next();
        far.next();
        long ours = office.text(Fabulum.DOCK, "for the dock");
        long theirs = office.text(TwoTeams.FAR, "for the far line");
        near.await(message -> message.path("conversation").path("id").asLong() == ours);
        Heard first = far.await(message -> message.has("conversation"));
        assertThat(first.message().path("conversation").path("id").asLong())
            .as("the first that Otto hears of a conversation is his own")
            .isEqualTo(theirs);

        String handOver = "/api/conversations/" + ours + "/hand-over";
        String undo =
            priya
                .post(handOver, Map.of("team", office.farTeam))
                .require(200)
                .json()
                .path("undo")
                .asString();
        far.await(message -> message.path("conversation").path("id").asLong() == ours);
        priya.post("/api/undo/" + undo, null).require(200);
        far.await(message -> message.path("gone").asLong() == ours);
      }
    }
  }

  @Test
  void whoIsAtAConversationIsToldAndForgottenWhenTheyFallSilent() {
    try (TwoTeams office = TwoTeams.start()) {
      Browser tom = office.fabulum.signedIn("tom");
      long id = office.text(Fabulum.DOCK, "who looks?");
      try (LiveReader priya = office.fabulum.signedIn("priya").live(null)) {
        priya.next();
        tom.put("/api/conversations/" + id + "/watch", Map.of("writing", true)).require(200);
        Heard there = priya.await(message -> message.path("watched").path("watchers").size() == 1);
        assertThat(there.message().path("watched").toString())
            .contains("Tom Ferry", "\"writing\":true");
        long began = System.nanoTime();
        priya.await(message ->
            message.path("type").asString().equals("WATCHED")
                && message.path("watched").path("watchers").isEmpty());
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofSeconds(15));
      }
    }
  }

  @Test
  void aBrowserThatStallsDelaysNobody() {
    LiveStream stream = fabulum.context.getBean(LiveStream.class);
    CountDownLatch forEver = new CountDownLatch(1);
    Subscription stalled =
        stream.listen(
            signedIn(),
            (position, message) -> {
              try {
                forEver.await();
              } catch (InterruptedException ended) {
                Thread.currentThread().interrupt();
              }
            },
            null);
    String number = fabulum.freshNumber();
    try (LiveReader live = maren.live(null)) {
      live.next();
      for (int i = 0; i < 400; i++) {
        maren.put("/api/me/in", Map.of("in", true)).require(204);
      }
      text(number, "past the stalled one");
      live.await(message -> isAbout(message, number, "past the stalled one"));
    } finally {
      stalled.close();
      forEver.countDown();
    }
  }

  /** Someone whose sign-in lives. */
  private SignedIn signedIn() {
    Accounts accounts = fabulum.context.getBean(Accounts.class);
    SignIn welcome =
        accounts.signIn("maren", Fabulum.PASSWORD, new SignIns.From("127.0.0.1", "a test", null));
    return ((SignIn.Welcome) welcome).signedIn();
  }

  @Test
  void aSignInThatEndsClosesItsStream() {
    Browser tom = fabulum.signedIn("priya");
    String number = fabulum.freshNumber();
    try (LiveReader live = tom.live(null)) {
      live.next();
      tom.call("DELETE", "/api/session", null).require(204);
      text(number, "not for who has left");
      assertThat(live.ends()).isTrue();
    }
  }
}
