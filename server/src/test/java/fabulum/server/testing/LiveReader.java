package fabulum.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Listens to the live stream, so that tests wait for what happens instead of sleeping. */
public final class LiveReader implements AutoCloseable {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int PATIENCE_SECONDS = 180;

  /** A message and the position after it. */
  public record Heard(String position, JsonNode message) {
    public String type() {
      return message.path("type").asString();
    }
  }

  private final BlockingQueue<Heard> queue = new LinkedBlockingQueue<>();
  private final CountDownLatch ended = new CountDownLatch(1);
  private final Stream<String> lines;
  private String position = "";

  private LiveReader(HttpResponse<Stream<String>> response) {
    this.lines = response.body();
    Thread thread = new Thread(this::read, "live-reader");
    thread.setDaemon(true);
    thread.start();
  }

  static LiveReader open(HttpClient http, URI address) {
    try {
      return new LiveReader(
          http.send(HttpRequest.newBuilder(address).build(), BodyHandlers.ofLines()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private void read() {
    try {
      lines.forEach(this::line);
    } catch (UncheckedIOException closed) {
      // The test has ended, or the server has ended the stream.
    }
    ended.countDown();
  }

  /** Whether the server ends the stream before patience does. */
  public boolean ends() {
    try {
      return ended.await(PATIENCE_SECONDS, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private void line(String line) {
    if (line.startsWith("id:")) {
      position = line.substring(3).strip();
    } else if (line.startsWith("data:")) {
      queue.add(new Heard(position, JSON.readTree(line.substring(5))));
    }
  }

  /** The next message of any kind. */
  public Heard next() {
    try {
      Heard heard = queue.poll(PATIENCE_SECONDS, TimeUnit.SECONDS);
      if (heard == null) {
        throw new AssertionError("Nothing was heard in " + PATIENCE_SECONDS + " s");
      }
      return heard;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** Waits for a message about a conversation that fits. */
  public Heard await(Predicate<JsonNode> wanted) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
    Heard heard = next();
    while (!wanted.test(heard.message())) {
      if (System.nanoTime() > end) {
        throw new AssertionError("What was waited for did not come in " + PATIENCE_SECONDS + " s");
      }
      heard = next();
    }
    return heard;
  }

  /** Waits until an entry with these words has come this far. */
  public JsonNode awaitDelivery(String words, String state) {
    return await(message ->
            message
                .path("entries")
                .valueStream()
                .anyMatch(e ->
                    words.equals(e.path("words").asString(""))
                        && state.equals(e.path("delivery").asString(""))))
        .message();
  }

  @Override
  public void close() {
    lines.close();
  }
}
