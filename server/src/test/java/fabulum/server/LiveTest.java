package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.FabulumExtension;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.LiveReader.Heard;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(FabulumExtension.class)
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
  void whoeverComesFromAnotherRunReadsEverythingAgain() {
    for (String position : new String[] {"another-7", "nonsense", "another-x", "7"}) {
      try (LiveReader reader = maren.live(position)) {
        Heard first = reader.next();
        assertThat(first.type()).as(position).isEqualTo("READ_AGAIN");
        assertThat(first.position()).isNotEmpty();
      }
    }
  }
}
