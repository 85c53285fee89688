package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import fabulum.server.mail.Mail;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two programs that share one database; a file has only one. */
@Tag("two-programs")
class TwoProgramsTest {
  private static final int TEXTS = 60;
  private static final int MAILS = 40;

  @TempDir Path folder;
  private GreenMail mailServer;
  private Fabulum first;
  private Fabulum second;

  @BeforeEach
  void start() {
    mailServer = new GreenMail(ServerSetup.SMTP.dynamicPort());
    mailServer.start();
    String host = "--fabulum.mail.host=127.0.0.1";
    String port = "--fabulum.mail.port=" + mailServer.getSmtp().getPort();
    first = Fabulum.startInBusiness(folder, "--fabulum.database.node=first", host, port);
    second = Fabulum.start(folder, "--fabulum.database.node=second", host, port);
  }

  @AfterEach
  void stop() {
    second.close();
    first.close();
    mailServer.stop();
  }

  @Test
  void everyTextGoesOnceWhicheverOfThemSendsIt() {
    Browser here = first.signedIn("maren");
    Browser there = second.signedIn("priya");
    for (int i = 0; i < TEXTS; i++) {
      String number = first.freshNumber();
      (i % 2 == 0 ? first : second).webhook().text(number, Fabulum.DOCK, "hello").require(200);
      Browser writer = i % 2 == 0 ? there : here;
      writer.answer(writer.conversationOf(number).path("id").asLong(), "answer " + i).require(200);
    }
    assertThat(first.comesTo("select count(*) from outbox", "0")).isTrue();
    List<String> handed = new ArrayList<>();
    first.network.handed.forEach(text -> handed.add(text.words()));
    second.network.handed.forEach(text -> handed.add(text.words()));
    assertThat(handed).hasSize(TEXTS);
    assertThat(new HashSet<>(handed)).hasSize(TEXTS);
  }

  @Test
  void everyPlannedTextGoesOnceWhicheverOfThemSendsIt() {
    Browser writer = first.signedIn("maren");
    String at = first.clock.instant().plusSeconds(600).toString();
    for (int i = 0; i < TEXTS; i++) {
      String number = first.freshNumber();
      first.webhook().text(number, Fabulum.DOCK, "hello").require(200);
      long id = writer.conversationOf(number).path("id").asLong();
      Map<String, Object> text =
          Map.of(
              "words",
              "planned " + i,
              "at",
              at,
              "whenClosed",
              "SEND",
              "unlessWritten",
              false,
              "comesToMe",
              false);
      writer
          .post(
              "/api/conversations/" + id + "/planned",
              Map.of("reference", Fabulum.reference(), "text", text))
          .require(200);
    }
    first.clock.advance(Duration.ofMinutes(11));
    second.clock.advance(Duration.ofMinutes(11));
    assertThat(first.comesTo("select count(*) from planned where state <> 'ENDED'", "0")).isTrue();
    assertThat(first.comesTo("select count(*) from outbox", "0")).isTrue();
    List<String> handed = new ArrayList<>();
    first.network.handed.forEach(text -> handed.add(text.words()));
    second.network.handed.forEach(text -> handed.add(text.words()));
    assertThat(handed).hasSize(TEXTS).doesNotHaveDuplicates();
  }

  @Test
  void whatOneTakesInIsSeenAtOnceInTheBrowsersOfTheOther() {
    Browser there = second.signedIn("priya");
    String number = first.freshNumber();
    try (LiveReader reader = there.live(null)) {
      reader.next();
      first.webhook().text(number, Fabulum.DOCK, "is anybody there?").require(200);
      reader.await(message ->
          message.path("conversation").path("lastWords").asString().equals("is anybody there?"));
    }
  }

  @Test
  void everyMailGoesOnceWhicheverOfThemSendsIt() {
    for (int i = 0; i < MAILS; i++) {
      (i % 2 == 0 ? first : second)
          .context
          .getBean(Mail.class)
          .send("wen@quillhaven.example", "mail " + i, "words", "mail-" + i);
    }
    assertThat(first.comesTo("select count(*) from mail where sent_at is null", "0")).isTrue();
    assertThat(mailServer.getReceivedMessages()).hasSize(MAILS);
  }
}
