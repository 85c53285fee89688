package fabulum.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The mail server as a program that sends by it meets it. */
class MailboxTest {
  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  private static Settings settings(Path folder, int port) {
    URI nowhere = URI.create("http://localhost:1");
    return new Settings(
        folder, nowhere, "key", "secret", null, Duration.ZERO, port, "US", null, "", false);
  }

  private static void send(int port, String id, String to, String words) throws MessagingException {
    Properties properties = new Properties();
    properties.setProperty("mail.smtp.host", "localhost");
    properties.setProperty("mail.smtp.port", String.valueOf(port));
    MimeMessage message =
        new MimeMessage(Session.getInstance(properties)) {
          @Override
          protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", id);
          }
        };
    message.setFrom(new InternetAddress("fabulum@quillhaven.example"));
    message.setRecipient(Message.RecipientType.TO, new InternetAddress(to));
    message.setSubject("Grüße", "UTF-8");
    message.setText(words, "UTF-8");
    Transport.send(message);
  }

  @Test
  void whateverIsMailedLiesInItOnceTheNewestOnTop(@TempDir Path folder) throws Exception {
    int port = freePort();
    Mailbox mailbox = new Mailbox(settings(folder, port), new Pages());
    try {
      assertThat(mailbox.list()).isEmpty();
      send(port, "<one@fabulum>", "ada@quillhaven.example", "the first: ½ – ok");
      send(port, "<two@fabulum>", "wen@quillhaven.example", "the second");
      send(port, "<one@fabulum>", "ada@quillhaven.example", "the first: ½ – ok");
      assertThat(mailbox.list())
          .extracting(Mailbox.Mail::to, mail -> mail.words().strip(), Mailbox.Mail::subject)
          .containsExactly(
              tuple("wen@quillhaven.example", "the second", "Grüße"),
              tuple("ada@quillhaven.example", "the first: ½ – ok", "Grüße"));
    } finally {
      mailbox.stop();
    }
  }

  @Test
  void withoutAPortThereIsNone(@TempDir Path folder) throws Exception {
    assertThat(new Mailbox(settings(folder, 0), new Pages()).list()).isEmpty();
  }
}
