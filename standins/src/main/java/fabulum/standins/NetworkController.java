package fabulum.standins;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the network offers the businesses that send texts over it. */
@RestController
@RequestMapping("/network")
class NetworkController {
  private static final Pattern E164 = Pattern.compile("\\+[1-9]\\d{6,14}");
  private static final int MOST_IN_A_GROUP = 20;
  private static final Pattern REFERENCE = Pattern.compile("[A-Za-z0-9-]{8,64}");

  private final Network network;
  private final Settings settings;
  private final Misbehaviour misbehaviour;
  private final MediaFiles files;

  NetworkController(
      Network network, Settings settings, Misbehaviour misbehaviour, MediaFiles files) {
    this.files = files;
    this.misbehaviour = misbehaviour;
    this.network = network;
    this.settings = settings;
  }

  record SendRequest(
      @Nullable String reference,
      @Nullable String from,
      @Nullable String to,
      @Nullable List<String> group,
      @Nullable String body,
      @Nullable List<Media> media) {}

  record TextAnswer(
      String id,
      String reference,
      String state,
      @Nullable String code,
      @Nullable String reason,
      @Nullable List<OneAnswer> each) {}

  /** How far a text has come with one number of a group. */
  record OneAnswer(String to, String state, @Nullable String code, @Nullable String reason) {}

  record RefusalAnswer(String code, String reason) {}

  record ReceivedAnswer(List<Received> texts) {}

  @PostMapping("/texts")
  ResponseEntity<?> send(
      @RequestHeader(name = "Authorization", defaultValue = "") String who,
      @RequestBody SendRequest wanted)
      throws InterruptedException {
    ResponseEntity<?> closed = closed(who);
    if (closed != null) {
      return closed;
    }
    String reference = wanted.reference();
    String from = wanted.from();
    List<String> group = wanted.group();
    List<String> to = group != null ? group : Stream.ofNullable(wanted.to()).toList();
    String body = wanted.body();
    List<Media> media = wanted.media() == null ? List.of() : wanted.media();
    if (reference == null
        || !REFERENCE.matcher(reference).matches()
        || body == null
        || body.isEmpty() && media.isEmpty()) {
      return refused(400, "malformed", "A reference and a body or media are needed.");
    }
    if (from == null
        || !E164.matcher(from).matches()
        || to.isEmpty()
        || to.size() > MOST_IN_A_GROUP
        || to.stream().anyMatch(number -> !E164.matcher(number).matches())) {
      return refused(422, "no-such-number", "There can be no such number.");
    }
    Acceptance acceptance = network.accept(reference, from, to, group != null, body, media);
    if (acceptance.refusal() != null) {
      Acceptance.Refusal refusal = acceptance.refusal();
      return refused(refusal.status(), refusal.code(), refusal.reason());
    }
    if (acceptance.answerLost() || acceptance.text() == null) {
      return refused(500, "lost", "The answer was lost on the way.");
    }
    return ResponseEntity.status(acceptance.repeated() ? HttpStatus.OK : HttpStatus.ACCEPTED)
        .body(answer(List.of(acceptance.text())));
  }

  @GetMapping("/texts/by-reference/{reference}")
  ResponseEntity<?> find(
      @RequestHeader(name = "Authorization", defaultValue = "") String who,
      @PathVariable String reference)
      throws InterruptedException {
    ResponseEntity<?> closed = closed(who);
    if (closed != null) {
      return closed;
    }
    List<Carried> found = network.findByReference(reference);
    return found.isEmpty()
        ? refused(404, "unknown", "No text has this reference.")
        : ResponseEntity.ok(answer(found));
  }

  @GetMapping("/received")
  ResponseEntity<?> received(
      @RequestHeader(name = "Authorization", defaultValue = "") String who,
      @RequestParam Instant from,
      @RequestParam Instant to)
      throws InterruptedException {
    ResponseEntity<?> closed = closed(who);
    return closed != null
        ? closed
        : ResponseEntity.ok(new ReceivedAnswer(network.listReceived(from, to)));
  }

  /** What came with a text; its address cannot be guessed. */
  @GetMapping("/media/{name}")
  ResponseEntity<byte[]> media(@PathVariable String name) throws InterruptedException {
    Faults faults = misbehaviour.towardsAll();
    TimeUnit.MILLISECONDS.sleep(faults.delayMillis());
    byte[] content = files.find(name).orElse(null);
    if (faults.down() || faults.loseMedia() > 0 || content == null) {
      misbehaviour.useOfAll(now -> now.mediaLess(now.loseMedia() > 0 ? 1 : 0, 0));
      return ResponseEntity.notFound().build();
    }
    if (faults.spoilMedia() > 0 && content.length > 0) {
      misbehaviour.useOfAll(now -> now.mediaLess(0, 1));
      content[content.length / 2] ^= 1;
    }
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_OCTET_STREAM).body(content);
  }

  private @Nullable ResponseEntity<?> closed(String who) throws InterruptedException {
    Faults faults = misbehaviour.towardsAll();
    TimeUnit.MILLISECONDS.sleep(faults.delayMillis());
    if (faults.down()) {
      return refused(503, "down", "The network is down.");
    }
    byte[] expected = ("Bearer " + settings.key()).getBytes(StandardCharsets.UTF_8);
    boolean known = MessageDigest.isEqual(expected, who.getBytes(StandardCharsets.UTF_8));
    return known && !faults.strangeKey()
        ? null
        : refused(401, "unknown-key", "The key is not known.");
  }

  private static TextAnswer answer(List<Carried> copies) {
    Carried first = copies.get(0);
    return new TextAnswer(
        first.id(),
        first.reference(),
        said(first),
        first.code(),
        first.reason(),
        first.group() == null
            ? null
            : copies.stream()
                .map(one -> new OneAnswer(one.to(), said(one), one.code(), one.reason()))
                .toList());
  }

  private static String said(Carried text) {
    return text.state().name().toLowerCase(Locale.ROOT);
  }

  private static ResponseEntity<RefusalAnswer> refused(int status, String code, String reason) {
    return ResponseEntity.status(status).body(new RefusalAnswer(code, reason));
  }
}
