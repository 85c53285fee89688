package fabulum.standins;

import fabulum.standins.Network.HandsetScript;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/** The handsets page, and the faults that can be set on it. */
@RestController
class HandsetController {
  private static final int LONGEST_SENDER = 40;
  private static final int LONGEST_TEXT = 40_000;

  private final Network network;
  private final Pages pages;
  private final Settings settings;
  private final JsonMapper json;
  private final MovableClock clock;
  private final Misbehaviour misbehaviour;
  private final Numbers numbers;
  private final MediaFiles files;

  HandsetController(
      Network network,
      Pages pages,
      Settings settings,
      JsonMapper json,
      MovableClock clock,
      Misbehaviour misbehaviour,
      Numbers numbers,
      MediaFiles files) {
    this.files = files;
    this.misbehaviour = misbehaviour;
    this.numbers = numbers;
    this.network = network;
    this.pages = pages;
    this.settings = settings;
    this.json = json;
    this.clock = clock;
  }

  record Named(String number, String name) {}

  record Directory(List<Named> lines, List<Named> people) {}

  record Overview(Directory directory, List<String> handsets, Faults faults) {}

  /**
   * A text that a handset sends.
   *
   * @param at when the network got it; null for now
   * @param untold the network keeps it and tells nobody, as in an outage
   */
  record HandsetText(
      @Nullable String to,
      @Nullable String body,
      @Nullable List<HandsetFile> media,
      @Nullable List<String> group,
      @Nullable Instant at,
      boolean untold) {}

  /**
   * A file on the handset.
   *
   * @param data its content in Base64 (RFC 4648)
   */
  record HandsetFile(String name, String type, String data) {}

  record StateRequest(HandsetState state) {}

  record Refused(String reason) {}

  @GetMapping("/handsets")
  Overview overview() throws IOException {
    return new Overview(directory(), network.listHandsets(), misbehaviour.towardsAll());
  }

  private Directory directory() throws IOException {
    Path file = settings.directory();
    return file != null && Files.exists(file)
        ? json.readValue(Files.readString(file), Directory.class)
        : new Directory(List.of(), List.of());
  }

  @GetMapping("/handsets/{number}")
  HandsetScript open(@PathVariable String number) {
    return network.open(numbers.read(number));
  }

  @PostMapping("/handsets/{number}/texts")
  ResponseEntity<?> send(@PathVariable String number, @RequestBody HandsetText text) {
    String to = text.to();
    String body = text.body();
    if (number.isBlank() || number.length() > LONGEST_SENDER || to == null || to.isBlank()) {
      return ResponseEntity.unprocessableEntity()
          .body(new Refused("A text goes from one number to another."));
    }
    List<HandsetFile> media = text.media() == null ? List.of() : text.media();
    if (body == null || body.isBlank() && media.isEmpty() || body.length() > LONGEST_TEXT) {
      return ResponseEntity.unprocessableEntity()
          .body(new Refused("A text has 1 to 40,000 characters, or a file."));
    }
    return ResponseEntity.ok(
        network.send(
            numbers.read(number),
            to,
            body,
            media.stream().map(this::kept).toList(),
            text.group() == null ? List.of() : text.group().stream().map(numbers::read).toList(),
            text.at(),
            !text.untold()));
  }

  private Media kept(HandsetFile file) {
    byte[] content = Base64.getDecoder().decode(file.data());
    String name = files.keep(content);
    String url = settings.self() + "/network/media/" + name;
    return new Media(url, file.name(), file.type(), content.length, MediaFiles.hash(content), name);
  }

  /** What goes with texts, as a handset shows it. */
  @GetMapping("/handsets/media/{name}")
  ResponseEntity<byte[]> media(@PathVariable String name) {
    return files
        .find(name)
        .map(content ->
            ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header("Content-Security-Policy", "default-src 'none'; sandbox")
                .body(content))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  @PutMapping("/handsets/{number}/state")
  void set(@PathVariable String number, @RequestBody StateRequest wanted) {
    network.set(numbers.read(number), wanted.state());
  }

  @GetMapping("/control/faults")
  Faults faults() {
    return misbehaviour.towardsAll();
  }

  @PutMapping("/control/faults")
  Faults misbehave(@RequestBody Faults wanted) {
    misbehaviour.set(wanted);
    return misbehaviour.towardsAll();
  }

  /** Towards one handset only. */
  @PutMapping("/control/faults/{number}")
  Faults misbehave(@PathVariable String number, @RequestBody Faults wanted) {
    String handset = numbers.read(number);
    misbehaviour.set(handset, wanted);
    return misbehaviour.towards(handset);
  }

  /** Lets time pass; the program beside it must be told the same. */
  @PostMapping("/control/clock")
  ClockAnswer letPass(@RequestParam int minutes) {
    clock.advance(Duration.ofMinutes(Math.max(0, minutes)));
    return new ClockAnswer(clock.instant());
  }

  record ClockAnswer(Instant now) {}

  @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter live() {
    return pages.listen();
  }
}
