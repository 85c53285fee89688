package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.platform.Troubles;
import fabulum.server.testing.Fabulum;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OpsTest {
  private static final String KEY = "a key for those who run it";

  private final HttpClient http = HttpClient.newHttpClient();

  private HttpResponse<String> ask(
      Fabulum fabulum, String method, String path, @Nullable String key) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create("http://localhost:" + fabulum.port() + path))
            .method(method, HttpRequest.BodyPublishers.noBody());
    if (key != null) {
      request.header("Authorization", "Bearer " + key);
    }
    try {
      return http.send(request.build(), BodyHandlers.ofString());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void healthAndMetricsTellWhoeverHasTheKeyAndNobodyElse(@TempDir Path folder) {
    try (Fabulum fabulum = Fabulum.startInBusiness(folder, "--fabulum.ops.key=" + KEY)) {
      assertThat(ask(fabulum, "GET", "/ops/health/alive", null).body())
          .isEqualTo("{\"status\":\"UP\"}");
      for (String shut :
          new String[] {"/ops", "/ops/health", "/ops/health/full", "/ops/prometheus"}) {
        assertThat(ask(fabulum, "GET", shut, null).statusCode()).as(shut).isEqualTo(401);
        assertThat(ask(fabulum, "GET", shut, "another key entirely").statusCode()).isEqualTo(401);
      }
      assertThat(ask(fabulum, "POST", "/ops/backup", null).statusCode()).isEqualTo(401);

      fabulum.webhook().text("+13125550170", Fabulum.DOCK, "counted").require(200);
      HttpResponse<String> metrics = ask(fabulum, "GET", "/ops/prometheus", KEY);
      assertThat(metrics.statusCode()).isEqualTo(200);
      assertThat(metrics.body())
          .contains("fabulum_outbox_waiting 0.0")
          .contains("fabulum_live_browsers 0.0")
          .contains("http_server_requests_seconds_count{")
          .contains("uri=\"/webhook/network\"")
          .contains("jvm_memory_used_bytes{");

      fabulum
          .context
          .getBean(Troubles.class)
          .report(Troubles.Kind.MAIL, "The mail server does not answer.");
      assertThat(ask(fabulum, "GET", "/ops/health/full", KEY).body())
          .contains("\"mail\":{")
          .contains("The mail server does not answer.")
          .contains("\"db\":{")
          .contains("\"network\":{")
          .contains("\"disk\":{");
      assertThat(ask(fabulum, "GET", "/ops/health/alive", null).statusCode())
          .as("mail that waits does not stop texts")
          .isEqualTo(200);
      // The program itself looks at the disk again and again, and takes back what is not so.
      fabulum.room.set(1L << 20);
      assertThat(
              fabulum.becomes(
                  () -> ask(fabulum, "GET", "/ops/health/alive", null).statusCode() == 503))
          .isTrue();
      fabulum.room.set(Long.MAX_VALUE);
    }
  }

  @Test
  void withoutAKeyEverythingButWhetherItIsAliveIsShut(@TempDir Path folder) {
    try (Fabulum fabulum = Fabulum.start(folder)) {
      assertThat(ask(fabulum, "GET", "/ops/health/alive", null).statusCode()).isEqualTo(200);
      assertThat(ask(fabulum, "GET", "/ops/prometheus", "").statusCode()).isEqualTo(401);
      assertThat(ask(fabulum, "GET", "/ops/prometheus", null).statusCode()).isEqualTo(401);
    }
  }

  @Tag("file")
  @Test
  void aBackupMadeWhileTextsArriveHasAllThatWasAcknowledgedBefore(
      @TempDir Path folder, @TempDir Path elsewhere) throws Exception {
    Set<String> acknowledged = new ConcurrentSkipListSet<>();
    Set<String> before;
    String file;
    try (Fabulum fabulum = Fabulum.startInBusiness(folder, "--fabulum.ops.key=" + KEY)) {
      Thread texting =
          new Thread(() -> {
            for (int i = 0; !Thread.currentThread().isInterrupted() && i < 2_000; i++) {
              String words = "text " + i;
              if (fabulum.webhook().text("+13125550171", Fabulum.DOCK, words).status() == 200) {
                acknowledged.add(words);
              }
            }
          });
      texting.start();
      while (acknowledged.size() < 40) {
        Thread.onSpinWait();
      }
      before = new TreeSet<>(acknowledged);
      HttpResponse<String> made = ask(fabulum, "POST", "/ops/backup", KEY);
      texting.interrupt();
      texting.join();
      assertThat(made.statusCode()).as(made.body()).isEqualTo(200);
      file = made.body().replaceAll(".*\"file\":\"([^\"]+)\".*", "$1");
      assertThat(folder.resolve("backups")).isDirectoryNotContaining("glob:**part*");
    }
    unpack(Path.of(file), elsewhere);
    try (Fabulum restored = Fabulum.start(elsewhere)) {
      assertThat(
              restored.tables.queryForList(
                  "select words from entry where kind = 'IN'", String.class))
          .containsAll(before);
    }
  }

  private static void unpack(Path archive, Path folder) throws IOException {
    try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(archive))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        Files.copy(zip, folder.resolve(Path.of(entry.getName()).getFileName().toString()));
      }
    }
  }
}
