package fabulum.server.mail;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import fabulum.server.mail.store.MailMapper;
import fabulum.server.testing.Fabulum;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.transaction.support.TransactionTemplate;

/** Mail on its way to a real mail server. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MailDispatcherTest {
  @TempDir static Path folder;
  private int port;
  private GreenMail server;
  private Fabulum fabulum;

  @BeforeAll
  void start() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    fabulum =
        Fabulum.start(
            folder,
            "--fabulum.mail.host=127.0.0.1",
            "--fabulum.mail.port=" + port,
            "--fabulum.mail.from=inbox@quillhaven.example");
  }

  @BeforeEach
  void begin() {
    fabulum.tables.update("delete from mail");
    server = new GreenMail(new ServerSetup(port, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
  }

  @AfterEach
  void end() {
    server.stop();
  }

  @AfterAll
  void stop() {
    fabulum.close();
  }

  private void send(String reference) {
    fabulum
        .context
        .getBean(Mail.class)
        .send("wen@quillhaven.example", "Line one\nand two", "Grüße – ½", reference);
  }

  private boolean comesTo(String column, int wanted) {
    return fabulum.comesTo("select count(" + column + ") from mail", String.valueOf(wanted));
  }

  @Test
  void aMailGoesOutOnceUnderItsReference() throws Exception {
    server.start();
    send("notice-1");
    send("notice-1");
    assertThat(comesTo("sent_at", 1)).isTrue();
    MimeMessage[] received = server.getReceivedMessages();
    assertThat(received).hasSize(1);
    assertThat(received[0].getSubject()).isEqualTo("Line one and two");
    assertThat(received[0].getContent().toString().strip()).isEqualTo("Grüße – ½");
    assertThat(received[0].getMessageID()).isEqualTo("<notice-1@fabulum>");
    assertThat(received[0].getFrom()[0]).hasToString("inbox@quillhaven.example");
  }

  @Test
  void whatAMailServerThatIsDownDidNotTakeGoesWhenItIsUpAgain() {
    send("notice-2");
    assertThat(comesTo("problem", 1)).isTrue();
    assertThat(comesTo("sent_at", 0)).isTrue();
    server.start();
    fabulum.clock.advance(Duration.ofMinutes(1));
    assertThat(comesTo("sent_at", 1)).isTrue();
    assertThat(server.getReceivedMessages()).hasSize(1);
  }

  @Test
  void mailThatCannotBeSentWaitsForDaysIsShownWithWhyAndCanBeSentAgain() {
    send("notice-3");
    Mail mail = fabulum.context.getBean(Mail.class);
    for (int attempt = 1; attempt <= 6; attempt++) {
      assertThat(
              fabulum.comesTo(
                  "select case when attempts >= " + attempt + " then 'yes' end from mail", "yes"))
          .isTrue();
      fabulum.clock.advance(Duration.ofHours(6));
    }
    assertThat(mail.listStuck()).hasSize(1);
    StuckMail stuck = mail.listStuck().get(0);
    assertThat(stuck.address()).isEqualTo("wen@quillhaven.example");
    assertThat(stuck.problem()).isNotBlank();
    server.start();
    mail.sendAgain(stuck.id());
    assertThat(comesTo("sent_at", 1)).isTrue();
    assertThat(mail.listStuck()).isEmpty();
    assertThat(server.getReceivedMessages()).hasSize(1);
  }

  @Test
  void mailOfATransactionThatFailsIsNeverSent() {
    server.start();
    TransactionTemplate transactions = fabulum.context.getBean(TransactionTemplate.class);
    transactions.executeWithoutResult(status -> {
      send("notice-3");
      status.setRollbackOnly();
    });
    send("notice-4");
    assertThat(comesTo("sent_at", 1)).isTrue();
    assertThat(server.getReceivedMessages()).hasSize(1);
  }

  @Test
  void aMailThatAProcessHasClaimedIsTakenByNoOtherUntilTheClaimEnds() {
    send("notice-5");
    assertThat(comesTo("problem", 1)).isTrue();
    MailMapper mails = fabulum.context.getBean(MailMapper.class);
    Instant later = fabulum.clock.instant().plus(Duration.ofDays(1));
    long id = mails.listDue(later, 1).get(0).id();
    assertThat(mails.claim(id, later, later.plusSeconds(60))).isEqualTo(1);
    assertThat(mails.claim(id, later, later.plusSeconds(60))).isZero();
    assertThat(mails.listDue(later, 1)).isEmpty();
    assertThat(mails.claim(id, later.plusSeconds(60), later.plusSeconds(120))).isEqualTo(1);
  }
}
