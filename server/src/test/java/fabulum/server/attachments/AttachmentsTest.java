package fabulum.server.attachments;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import fabulum.core.access.Role;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.delivery.Media;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import fabulum.server.testing.Webhook;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/** What goes and comes with texts. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AttachmentsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String HERE = "https://text.quillhaven.example";

  private final Map<String, byte[]> provided = new ConcurrentHashMap<>();
  private final AtomicInteger asked = new AtomicInteger();
  private final HttpServer provider = provider();
  private final String address = "http://localhost:" + provider.getAddress().getPort();
  private final TwoTeams office =
      TwoTeams.start("--fabulum.page.address=" + HERE, "--fabulum.network.url=" + address);
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");
  private final Browser vera = fabulum.signedIn("vera");

  @AfterAll
  void stop() {
    office.close();
    provider.stop(0);
  }

  private HttpServer provider() {
    try {
      HttpServer server = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
      server.createContext(
          "/",
          exchange -> {
            asked.incrementAndGet();
            byte[] content = provided.get(exchange.getRequestURI().getPath());
            if (content == null) {
              exchange.sendResponseHeaders(404, -1);
            } else {
              exchange.sendResponseHeaders(200, content.length == 0 ? -1 : content.length);
              exchange.getResponseBody().write(content);
            }
            exchange.close();
          });
      server.start();
      return server;
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private long conversation() {
    return office.text(Fabulum.DOCK, "Can you send me the plan?");
  }

  private static String paper(long conversation) {
    return "/api/conversations/" + conversation + "/attachments";
  }

  private JsonNode put(Browser by, long conversation, String name, byte[] content) {
    return by.upload(paper(conversation), name, content).require(200).json();
  }

  private static Answer send(Browser by, long conversation, String words, long... attachments) {
    return send(by, conversation, words, Fabulum.reference(), attachments);
  }

  private static Answer send(
      Browser by, long conversation, String words, String reference, long... attachments) {
    return by.post(
        "/api/conversations/" + conversation + "/texts",
        Map.of(
            "words",
            words,
            "reference",
            reference,
            "confirmed",
            List.of("night", "same-text"),
            "attachments",
            attachments));
  }

  private static long id(JsonNode attachment) {
    return attachment.path("id").asLong();
  }

  private JsonNode attached(Browser by, long conversation) {
    return by.get("/api/conversations/" + conversation).require(200).json().path("attached");
  }

  private JsonNode last(long conversation) {
    JsonNode entries = maren.script(conversation);
    return entries.get(entries.size() - 1);
  }

  private Path data() {
    return Path.of(fabulum.context.getEnvironment().getRequiredProperty("fabulum.data"));
  }

  private Path stored(long attachment) {
    String hash =
        String.valueOf(
            fabulum.tables.queryForObject(
                "select hash from attachment where id = ?", String.class, attachment));
    return data().resolve("files").resolve(hash.substring(0, 2)).resolve(hash);
  }

  private OutgoingText handed(String reference) {
    fabulum.becomes(() ->
        fabulum.network.handed.stream()
            .anyMatch(text -> text.reference().value().equals(reference)));
    return fabulum.network.handed.stream()
        .filter(text -> text.reference().value().equals(reference))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aPictureIsTurnedUprightFreedOfWhatATelephoneWroteAndMadeSmallEnough() throws IOException {
    byte[] came = Samples.ofTelephone(Samples.jpeg(3_600, 2_400, true), 6);
    JsonNode ready = put(priya, conversation(), "lift.jpg", came);
    assertThat(ready.path("kind").asString()).isEqualTo("PICTURE");
    assertThat(ready.path("width").asInt()).isLessThan(ready.path("height").asInt());
    assertThat(ready.path("height").asInt()).isLessThanOrEqualTo(2_560);
    assertThat(ready.path("octets").asLong()).isLessThanOrEqualTo(5_000_000);
    assertThat(ready.path("cameOctets").asLong()).isEqualTo(came.length);
    byte[] kept = Files.readAllBytes(stored(id(ready)));
    assertThat(new String(kept, java.nio.charset.StandardCharsets.ISO_8859_1))
        .doesNotContain("Heronphone", "Exif");
    // What was the upper left corner is the upper right one now.
    BufferedImage upright = ImageIO.read(stored(id(ready)).toFile());
    assertThat(upright.getRGB(upright.getWidth() - 10, 10) >> 16 & 0xff).isGreaterThan(200);
    assertThat(upright.getRGB(upright.getWidth() - 10, upright.getHeight() - 10) & 0xff)
        .isGreaterThan(200);
    assertThat(priya.get("/api/attachments/" + id(ready) + "/preview").status()).isEqualTo(200);
  }

  @Test
  void aPictureIsMadeAsSmallAsItsLineCarries() {
    String number = "+19205550150";
    Map<String, Object> line = TwoTeams.line("Small line", number);
    Map<String, Object> sending = new HashMap<>();
    sending.putAll(Map.of("mostParts", 10, "registered", true, "signature", "", "groupLimit", 8));
    sending.put("reaches", Set.of());
    sending.put("carries", Set.of("PICTURE"));
    sending.put("mostKilobytes", 100);
    line.put("sending", sending);
    maren.post("/api/setup/lines", line).require(200);
    long conversation = office.text(number, "A picture, please");
    JsonNode ready = put(priya, conversation, "berths.jpg", Samples.jpeg(2_000, 1_600, true));
    assertThat(ready.path("octets").asLong()).isLessThanOrEqualTo(100_000);
    JsonNode pdf = put(priya, conversation, "plan.pdf", Samples.pdf());
    Answer refused = send(priya, conversation, "Here it is", id(pdf));
    assertThat(refused.problem()).isEqualTo("may-not-be-sent");
    assertThat(refused.body()).contains("This line does not send files such as “plan.pdf”.");
    assertThat(attached(priya, conversation)).hasSize(2);
  }

  @Test
  void aCleanPictureAndEveryOtherFileStaysAsItIs() throws IOException {
    long conversation = conversation();
    byte[] jpeg = Samples.jpeg(300, 200, false);
    for (Map.Entry<String, byte[]> file :
        Map.of("small.jpg", jpeg, "plan.pdf", Samples.pdf(), "notes.txt", Samples.words("C14"))
            .entrySet()) {
      JsonNode ready = put(priya, conversation, file.getKey(), file.getValue());
      assertThat(Files.readAllBytes(stored(id(ready)))).isEqualTo(file.getValue());
    }
    assertThat(attached(priya, conversation)).hasSize(3);
  }

  @Test
  void whatCanBeSeenThroughStaysSoAndWhatPhonesDoNotShowBecomesJpeg() {
    long conversation = conversation();
    JsonNode png = put(priya, conversation, "sign.png", Samples.png(400, 300));
    assertThat(png.path("mediaType").asString()).isEqualTo("image/png");
    byte[] bitmap =
        Samples.written(Samples.picture(40, 30, false, BufferedImage.TYPE_INT_RGB), "bmp");
    JsonNode bmp = put(priya, conversation, "scan.bmp", bitmap);
    assertThat(bmp.path("mediaType").asString()).isEqualTo("image/jpeg");
    assertThat(bmp.path("name").asString()).isEqualTo("scan.jpg");
  }

  @ParameterizedTest
  @CsvSource({
    "zip, holiday.jpg, is a kind of file that cannot be sent",
    "html, estimate.pdf, is a kind of file that cannot be sent",
    "svg, logo.svg, is a kind of file that cannot be sent",
    "program, readme.txt, is a kind of file that cannot be sent",
    "noise, report.docx, is a kind of file that cannot be sent",
    "empty, empty.pdf, is empty",
    "huge, sea.png, has 200 megapixels",
    "torn, torn.jpg, is broken",
    "heic, beach.heic, Save it as JPEG first",
  })
  void whatCannotBeSentIsRefusedWithTheReasonAndNothingOfItIsKept(
      String content, String name, String why) throws IOException {
    byte[] jpeg = Samples.jpeg(400, 300, true);
    byte[] octets =
        switch (content) {
          case "zip" -> Samples.zip();
          case "html" -> Samples.words("<!DOCTYPE html><html><script>alert(1)</script></html>");
          case "svg" -> Samples.words("<svg xmlns=\"http://www.w3.org/2000/svg\"><script/></svg>");
          case "program" -> Samples.words("MZ\u0090\u0000\u0003program\u0000\u0001\u0002");
          case "noise" -> new byte[] {1, 2, (byte) 0x93, 4, (byte) 0xfe, 6};
          case "huge" -> Samples.hugePng(20_000, 10_000);
          case "torn" -> java.util.Arrays.copyOf(jpeg, 300);
          case "heic" -> Samples.words("\0\0\0\u0018ftypheic\0\0\0\0mif1heic");
          default -> new byte[0];
        };
    long conversation = conversation();
    Answer refused = priya.upload(paper(conversation), name, octets);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().path("fields").get(0).path("why").asString()).contains(why, name);
    assertThat(attached(priya, conversation)).isEmpty();
    // It may have been closed before anything of it was kept.
    assertThat(data().resolve("files/parts").toFile().list()).isNullOrEmpty();
  }

  @Test
  void aNameIsCleanedAndTooManyOrTooLargeFilesAreRefused() {
    long conversation = conversation();
    JsonNode odd = put(priya, conversation, "../../" + "x".repeat(500) + ".pdf", Samples.pdf());
    assertThat(odd.path("name").asString()).hasSize(100).startsWith("xxx").endsWith(".pdf");
    IntStream.range(0, 9).forEach(i -> put(priya, conversation, i + ".pdf", Samples.pdf()));
    assertThat(priya.upload(paper(conversation), "eleventh.pdf", Samples.pdf()).body())
        .contains("One text takes 10 attachments at most.");
    // The same content ten times is kept once.
    assertThat(
            fabulum.tables.queryForObject(
                "select count(distinct hash) from attachment where conversation_id = ?",
                Integer.class,
                conversation))
        .isEqualTo(1);
    Answer large = priya.upload(paper(conversation()), "large.pdf", new byte[26_300_000]);
    assertThat(large.status()).isEqualTo(422);
    assertThat(large.body()).contains("larger than 25 MB");
  }

  @Test
  void aTextGoesWithAttachmentsAndTheNetworkFetchesThemBySignedAddresses() {
    long conversation = conversation();
    long picture = id(put(priya, conversation, "berth C14.jpg", Samples.jpeg(300, 200, false)));
    long plan = id(put(priya, conversation, "plan.pdf", Samples.pdf()));
    String reference = Fabulum.reference();
    send(priya, conversation, "", reference, plan, picture).require(200);
    OutgoingText text = handed(reference);
    assertThat(text.words()).isEmpty();
    assertThat(text.media()).extracting(Media::name).containsExactly("plan.pdf", "berth C14.jpg");
    Media sent = text.media().get(0);
    assertThat(sent.type()).isEqualTo("application/pdf");
    assertThat(sent.octets()).isEqualTo(Samples.pdf().length);
    assertThat(sent.sha256()).isEqualTo(sha256(Samples.pdf()));
    assertThat(sent.url()).startsWith(HERE + "/media/");
    String path = sent.url().substring(HERE.length());
    Browser network = fabulum.browser();
    assertThat(network.get(path).require(200).body()).startsWith("%PDF");
    assertThat(network.get(path.replaceFirst("/media/\\d+", "/media/" + picture)).status())
        .isEqualTo(404);
    assertThat(network.get(path.replaceFirst("until=\\d+", "until=9999999999")).status())
        .isEqualTo(404);
    // It is in the script, and off the paper; the list says what it is.
    assertThat(last(conversation).path("attachments")).hasSize(2);
    assertThat(attached(priya, conversation)).isEmpty();
    assertThat(
            fabulum.tables.queryForObject(
                "select last_words from conversation where id = ?", String.class, conversation))
        .isEqualTo("Picture and PDF");
  }

  @Test
  void anAddressForTheNetworkEndsAfterThreeDays() {
    long conversation = conversation();
    long plan = id(put(priya, conversation, "plan.pdf", Samples.pdf()));
    MediaLinks links = fabulum.context.getBean(MediaLinks.class);
    send(priya, conversation, "The plan", plan).require(200);
    long entry = last(conversation).path("id").asLong();
    URI url = URI.create(links.of(entry).orElseThrow().get(0).url());
    long until = Long.parseLong(url.getQuery().replaceAll(".*until=(\\d+).*", "$1"));
    assertThat(until).isEqualTo(fabulum.clock.instant().plus(Duration.ofDays(3)).getEpochSecond());
    String signature = url.getQuery().replaceAll(".*signature=", "");
    assertThat(links.isGood(plan, until, signature)).isTrue();
    assertThat(links.isGood(plan, until + 1, signature)).isFalse();
    assertThat(links.isGood(plan + 1, until, signature)).isFalse();
    fabulum.clock.advance(Duration.ofDays(3));
    assertThat(links.isGood(plan, until, signature)).isFalse();
  }

  @Test
  void sentAgainUnderOneReferenceNothingMoreGoesAndWithOtherAttachmentsItIsRefused() {
    long conversation = conversation();
    long plan = id(put(priya, conversation, "plan.pdf", Samples.pdf()));
    long other = id(put(priya, conversation, "other.pdf", Samples.pdf()));
    String reference = Fabulum.reference();
    send(priya, conversation, "The plan", reference, plan).require(200);
    send(priya, conversation, "The plan", reference, plan).require(200);
    assertThat(send(priya, conversation, "The plan", reference, plan, other).problem())
        .isEqualTo("sent-with-other-words");
    // What went already does not go with another text.
    assertThat(send(priya, conversation, "Again", plan).problem()).isEqualTo("changed-meanwhile");
    assertThat(attached(priya, conversation)).hasSize(1);
    assertThat(handed(reference).media()).hasSize(1);
  }

  @Test
  void onlyItsWriterSendsWhatIsOnAPaper() {
    long conversation = conversation();
    long plan = id(put(priya, conversation, "plan.pdf", Samples.pdf()));
    assertThat(send(maren, conversation, "The plan", plan).problem())
        .isEqualTo("changed-meanwhile");
    assertThat(maren.get("/api/attachments/" + plan).status()).isEqualTo(404);
    assertThat(attached(maren, conversation)).isEmpty();
    long elsewhere = conversation();
    assertThat(send(priya, elsewhere, "The plan", plan).problem()).isEqualTo("changed-meanwhile");
    assertThat(maren.call("DELETE", paper(conversation) + "/" + plan, null).status())
        .isEqualTo(404);
    priya.call("DELETE", paper(conversation) + "/" + plan, null).require(204);
    assertThat(attached(priya, conversation)).isEmpty();
  }

  @Test
  void attachmentsThatAreNotSentAreAmongTheDraftsAlsoWithoutWords() {
    long conversation = conversation();
    put(priya, conversation, "plan.pdf", Samples.pdf());
    put(priya, conversation, "more.pdf", Samples.words("%PDF-1.4 more"));
    JsonNode alone = draftOf(priya, conversation);
    assertThat(alone.path("words").asString()).isEmpty();
    assertThat(alone.path("attached").asInt()).isEqualTo(2);
    priya
        .put("/api/conversations/" + conversation + "/drafts/REPLY", Map.of("words", "The plan"))
        .require(204);
    JsonNode both = draftOf(priya, conversation);
    assertThat(both.path("words").asString()).isEqualTo("The plan");
    assertThat(both.path("attached").asInt()).isEqualTo(2);
    assertThat(draftOf(maren, conversation).isMissingNode()).isTrue();
    long[] all =
        attached(priya, conversation).valueStream().mapToLong(AttachmentsTest::id).toArray();
    send(priya, conversation, "The plan", all).require(200);
    assertThat(draftOf(priya, conversation).path("attached").asInt()).isZero();
  }

  /** What the desk says was begun in a conversation. */
  private static JsonNode draftOf(Browser by, long conversation) {
    return by.get("/api/desk")
        .require(200)
        .json()
        .path("drafts")
        .valueStream()
        .map(one -> one.path("draft"))
        .filter(one -> one.path("conversationId").asLong() == conversation)
        .findFirst()
        .orElse(MissingNode.getInstance());
  }

  @Test
  void whatSomeoneWhoLeftHadAttachedIsLeftToLeads() {
    long gone = office.add("gwen", "Gwen Gone", Role.STAFF, 1);
    Browser gwen = fabulum.signedIn("gwen");
    long conversation = conversation();
    long plan = id(put(gwen, conversation, "plan.pdf", Samples.pdf()));
    assertThat(maren.get("/api/attachments/" + plan).status()).isEqualTo(404);
    maren.post("/api/office/people/" + gone + "/off", Map.of()).require(200);
    JsonNode left =
        maren.get("/api/conversations/" + conversation).require(200).json().path("left").get(0);
    assertThat(left.path("by").asString()).isEqualTo("Gwen Gone");
    assertThat(left.path("words").asString()).isEmpty();
    assertThat(id(left.path("attachments").get(0))).isEqualTo(plan);
    maren.get("/api/attachments/" + plan).require(200);
    assertThat(priya.get("/api/attachments/" + plan).status()).isEqualTo(404);
    assertThat(priya.get("/api/conversations/" + conversation).json().path("left")).isEmpty();
  }

  @Test
  void takenBackItsAttachmentsAreOnThePaperAgain() {
    maren.put("/api/me/sending", Map.of("pauseSeconds", 20, "looksFirst", false)).require(204);
    long conversation = conversation();
    long plan = id(put(maren, conversation, "plan.pdf", Samples.pdf()));
    long text =
        send(maren, conversation, "The plan", plan).require(200).json().path("text").asLong();
    assertThat(attached(maren, conversation)).isEmpty();
    maren.post("/api/texts/" + text + "/take-back", null).require(200);
    assertThat(attached(maren, conversation)).hasSize(1);
    assertThat(last(conversation).path("attachments").isMissingNode()).isTrue();
    assertThat(last(conversation).path("event").asString()).isEqualTo("TAKEN_BACK");
  }

  @Test
  void aTextWhoseFileIsLostIsNotDeliveredAndSaysWhy() throws IOException {
    long conversation = conversation();
    long plan = id(put(priya, conversation, "lost.pdf", Samples.words("%PDF-1.4 lost")));
    Files.delete(stored(plan));
    send(priya, conversation, "The plan", plan).require(200);
    assertThat(fabulum.becomes(() -> last(conversation).path("needsHand").asBoolean())).isTrue();
    assertThat(last(conversation).path("failureReason").asString())
        .isEqualTo("Its attachment is missing on the server.");
    // Put back from a backup, it goes again with the text that is sent again.
    Files.write(stored(plan), Samples.words("%PDF-1.4 lost"));
    String reference = Fabulum.reference();
    Map<String, Object> again =
        Map.of(
            "words", "The plan",
            "reference", reference,
            "again", last(conversation).path("id").asLong(),
            "confirmed", List.of("night", "same-text"),
            "attachments", List.of(plan));
    priya.post("/api/conversations/" + conversation + "/texts", again).require(200);
    assertThat(handed(reference).media()).hasSize(1);
    priya.post("/api/conversations/" + conversation + "/texts", again).require(200);
    assertThat(last(conversation).path("attachments")).hasSize(1);
  }

  @Test
  void whoDoesNotSeeTheConversationSeesNoneOfIt() {
    long conversation = conversation();
    long plan = id(put(priya, conversation, "plan.pdf", Samples.pdf()));
    send(priya, conversation, "The plan", plan).require(200);
    String file = "/api/attachments/" + plan;
    assertThat(otto.get(file).status()).isEqualTo(404);
    assertThat(otto.get(file + "/preview").status()).isEqualTo(404);
    assertThat(otto.put(file + "/words", Map.of("words", "x")).status()).isEqualTo(404);
    assertThat(otto.upload(paper(conversation), "plan.pdf", Samples.pdf()).status()).isEqualTo(404);
    assertThat(vera.get(file).status()).isEqualTo(200);
    assertThat(vera.upload(paper(conversation), "plan.pdf", Samples.pdf()).status()).isEqualTo(403);
    assertThat(vera.put(file + "/words", Map.of("words", "x")).status()).isEqualTo(403);
    assertThat(fabulum.browser().get(file).status()).isEqualTo(401);
  }

  @Test
  void whatWentWithTextsOneDoesNotSeeCannotBeSentAgain() {
    byte[] secret = Samples.words("%PDF-1.4 not for the far team");
    provided.put("/secret", secret);
    long dock = arrives(address + "/secret", "s.pdf", "application/pdf", secret, sha256(secret));
    comesTo(dock, "HERE");
    long came = id(arrived(dock));
    long cameWith = last(dock).path("id").asLong();
    long plan = id(put(priya, dock, "plan.pdf", Samples.pdf()));
    send(priya, dock, "The plan", plan).require(200);
    long far = office.text(TwoTeams.FAR, "Hello from afar");
    for (Map.Entry<Long, Long> of :
        Map.of(came, cameWith, plan, last(dock).path("id").asLong()).entrySet()) {
      Answer stolen =
          otto.post(
              "/api/conversations/" + far + "/texts",
              Map.of(
                  "words", "Mine now",
                  "reference", Fabulum.reference(),
                  "again", of.getValue(),
                  "confirmed", List.of("night", "same-text"),
                  "attachments", List.of(of.getKey())));
      assertThat(stolen.status()).isBetween(400, 499);
      JsonNode entries = otto.script(far);
      assertThat(entries.get(entries.size() - 1).path("words").asString())
          .isEqualTo("Hello from afar");
    }
  }

  @Test
  void aFileIsHandedOutSoThatItCanDoNoHarm() {
    long conversation = conversation();
    long plan = id(put(priya, conversation, "Plan “C14”.pdf", Samples.pdf()));
    Answer shown = priya.get("/api/attachments/" + plan).require(200);
    assertThat(shown.header("Content-Type")).contains("application/pdf");
    assertThat(shown.header("X-Content-Type-Options")).contains("nosniff");
    assertThat(shown.header("Cache-Control")).contains("no-store");
    assertThat(shown.header("Content-Security-Policy").orElseThrow())
        .contains("default-src 'none'", "sandbox");
    assertThat(shown.header("Content-Disposition").orElseThrow()).startsWith("inline");
    assertThat(priya.get("/api/attachments/" + plan + "?save=true").header("Content-Disposition"))
        .get()
        .asString()
        .startsWith("attachment");
    long notes = id(put(priya, conversation, "notes.txt", Samples.words("<script>")));
    Answer saved = priya.get("/api/attachments/" + notes).require(200);
    assertThat(saved.header("Content-Type")).contains("application/octet-stream");
    assertThat(saved.header("Content-Disposition").orElseThrow()).startsWith("attachment");
  }

  @Test
  void whatAPictureShowsCanBeSaid() {
    long conversation = conversation();
    long picture = id(put(priya, conversation, "keel.jpg", Samples.jpeg(300, 200, false)));
    send(priya, conversation, "Look", picture).require(200);
    String words = "/api/attachments/" + picture + "/words";
    maren.put(words, Map.of("words", " The keel, with a crack ")).require(204);
    assertThat(last(conversation).path("attachments").get(0).path("words").asString())
        .isEqualTo("The keel, with a crack");
    assertThat(maren.put(words, Map.of("words", "x".repeat(301))).status()).isEqualTo(422);
  }

  private static String sha256(byte[] content) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
    } catch (java.security.NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A text with one attachment; the answer is its conversation. */
  private long arrives(String url, String name, String type, byte[] content, String sha256) {
    String number = fabulum.freshNumber();
    Map<String, Object> message =
        new HashMap<>(
            Webhook.textMessage(Webhook.id(), number, Fabulum.DOCK, "", fabulum.clock.instant()));
    Map<String, Object> media =
        Map.of("url", url, "name", name, "type", type, "octets", content.length, "sha256", sha256);
    message.put("media", List.of(media));
    fabulum.webhook().told(JSON.writeValueAsString(message)).require(200);
    return maren.conversationOf(number).path("id").asLong();
  }

  private JsonNode arrived(long conversation) {
    return last(conversation).path("attachments").get(0);
  }

  private boolean comesTo(long conversation, String state) {
    return fabulum.becomes(() -> arrived(conversation).path("state").asString().equals(state));
  }

  @Test
  void whatCameWithATextIsFetchedKeptAndShownSmall() {
    byte[] jpeg = Samples.ofTelephone(Samples.jpeg(900, 600, false), 8);
    provided.put("/keel", jpeg);
    long conversation = arrives(address + "/keel", "../keel.jpg", "image/jpeg", jpeg, sha256(jpeg));
    assertThat(
            fabulum.tables.queryForObject(
                "select last_words from conversation where id = ?", String.class, conversation))
        .isEqualTo("Picture");
    assertThat(comesTo(conversation, "HERE")).isTrue();
    JsonNode picture = arrived(conversation);
    assertThat(picture.path("name").asString()).isEqualTo("keel.jpg");
    assertThat(picture.path("preview").asBoolean()).isTrue();
    assertThat(picture.path("width").asInt()).isEqualTo(600);
    assertThat(priya.get("/api/attachments/" + id(picture) + "/preview").status()).isEqualTo(200);
  }

  private boolean isTriedMoreThan(int tries, long conversation) {
    return fabulum.becomes(() -> {
      Integer now =
          fabulum.tables.queryForObject(
              "select tries from attachment where conversation_id = ?",
              Integer.class,
              conversation);
      return now != null && now > tries;
    });
  }

  @Test
  void whatIsSpoiledOnTheWayIsFetchedAgainUntilItIsWhole() {
    byte[] pdf = Samples.words("%PDF-1.4 the whole plan");
    provided.put("/plan", Samples.words("%PDF-1.4 the spoilt plan"));
    long conversation = arrives(address + "/plan", "plan.pdf", "application/pdf", pdf, sha256(pdf));
    assertThat(isTriedMoreThan(0, conversation)).isTrue();
    assertThat(arrived(conversation).path("state").asString()).isEqualTo("FETCHING");
    provided.put("/plan", Samples.words("%PDF-1.4 the other plan"));
    fabulum.clock.advance(Duration.ofSeconds(2));
    assertThat(isTriedMoreThan(1, conversation)).isTrue();
    provided.put("/plan", pdf);
    fabulum.clock.advance(Duration.ofSeconds(10));
    assertThat(comesTo(conversation, "HERE")).isTrue();
  }

  @Test
  void whatCannotBeHadSaysSoAfterADayAndIsTriedAgainWhenAskedFor() {
    byte[] pdf = Samples.words("%PDF-1.4 late");
    long conversation = arrives(address + "/late", "late.pdf", "application/pdf", pdf, sha256(pdf));
    String tried = "select min(tries) from attachment where conversation_id = " + conversation;
    fabulum.comesTo(tried, "1");
    fabulum.clock.advance(Duration.ofHours(25));
    assertThat(comesTo(conversation, "MISSING")).isTrue();
    provided.put("/late", pdf);
    String again = "/api/attachments/" + id(arrived(conversation)) + "/fetch-again";
    assertThat(otto.post(again, null).status()).isEqualTo(404);
    assertThat(vera.post(again, null).status()).isEqualTo(403);
    priya.post(again, null).require(204);
    assertThat(comesTo(conversation, "HERE")).isTrue();
  }

  @Test
  void anAddressInsideOurOwnNetworkIsNeverAsked() throws IOException {
    AtomicInteger reached = new AtomicInteger();
    ServerSocket inside = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    Thread door = new Thread(() -> count(inside, reached));
    door.start();
    int port = inside.getLocalPort();
    byte[] none = new byte[0];
    for (String url :
        List.of(
            "http://localhost:" + port + "/secret",
            "http://user@localhost:" + provider.getAddress().getPort() + "/",
            "file:///etc/passwd",
            "nonsense")) {
      long conversation = arrives(url, "x.pdf", "application/pdf", none, sha256(none));
      assertThat(comesTo(conversation, "MISSING")).as(url).isTrue();
    }
    long guarded =
        arrives("https://127.0.0.1:" + port + "/", "x.pdf", "application/pdf", none, sha256(none));
    assertThat(isTriedMoreThan(0, guarded)).isTrue();
    assertThat(reached.get()).isZero();
    inside.close();
  }

  private static void count(ServerSocket door, AtomicInteger reached) {
    try {
      while (true) {
        door.accept().close();
        reached.incrementAndGet();
      }
    } catch (IOException closed) {
      // The test is over.
    }
  }

  @Test
  void aFileThatCameAndCanDoHarmIsOnlySaved() {
    byte[] page = Samples.words("<!DOCTYPE html><html><script>alert(1)</script></html>");
    provided.put("/page", page);
    long conversation = arrives(address + "/page", "photo.jpg", "image/jpeg", page, sha256(page));
    assertThat(comesTo(conversation, "HERE")).isTrue();
    JsonNode file = arrived(conversation);
    assertThat(file.path("kind").asString()).isEqualTo("OTHER");
    assertThat(file.path("shown").asBoolean()).isFalse();
    Answer answer = priya.get("/api/attachments/" + id(file)).require(200);
    assertThat(answer.header("Content-Type")).contains("application/octet-stream");
    assertThat(answer.header("Content-Disposition").orElseThrow()).startsWith("attachment");
  }

  @Test
  void filesNobodyNamesAreSweptAwayAndLostOnesAreTold() throws IOException {
    long conversation = conversation();
    long kept = id(put(priya, conversation, "kept.pdf", Samples.words("%PDF-1.4 kept")));
    long gone = id(put(priya, conversation, "gone.pdf", Samples.words("%PDF-1.4 gone")));
    Path left = stored(gone);
    Path stays = stored(kept);
    priya.call("DELETE", paper(conversation) + "/" + gone, null).require(204);
    Path torn = Files.createFile(data().resolve("files/parts/torn"));
    FileSweep sweep = fabulum.context.getBean(FileSweep.class);
    // What is young may have a row on its way.
    sweep.sweep(fabulum.clock.instant().minus(Duration.ofDays(1)));
    assertThat(left).exists();
    Files.setLastModifiedTime(
        torn, java.nio.file.attribute.FileTime.from(fabulum.clock.instant().minusSeconds(9)));
    sweep.sweep(fabulum.clock.instant().plusSeconds(1));
    assertThat(left).doesNotExist();
    assertThat(torn).doesNotExist();
    assertThat(stays).exists();
    Files.delete(stays);
    sweep.sweep(fabulum.clock.instant());
    assertThat(maren.get("/api/office/troubles").body()).contains("attachment is missing");
    Files.write(stays, Samples.words("%PDF-1.4 kept"));
    sweep.sweep(fabulum.clock.instant());
    assertThat(maren.get("/api/office/troubles").body()).doesNotContain("missing on the server");
  }

  @Test
  void aBackupHasTheFiles() throws IOException {
    if (fabulum.context.getEnvironment().getProperty("fabulum.database.url") != null) {
      return;
    }
    long plan = id(put(priya, conversation(), "plan.pdf", Samples.words("%PDF-1.4 backed up")));
    String made = fabulum.context.getBean(fabulum.server.platform.Backup.class).make().file();
    String name = data().resolve("files").relativize(stored(plan)).toString();
    try (FileSystem zip = FileSystems.newFileSystem(Path.of(made))) {
      assertThat(Files.readString(zip.getPath("/files/" + name))).isEqualTo("%PDF-1.4 backed up");
      assertThat(Files.exists(zip.getPath("/files/parts"))).isFalse();
    }
  }

  @Test
  void whatGoesWithATextWaitsWithItForASecondLook() {
    maren
        .put(
            "/api/setup/people/" + office.id("tom"),
            Map.of(
                "role",
                "STAFF",
                "permissions",
                Set.of("TEXT"),
                "teams",
                Set.of(1),
                "secondLook",
                true))
        .require(204);
    Browser tom = fabulum.signedIn("tom");
    long conversation = conversation();
    long plan = id(put(tom, conversation, "plan.pdf", Samples.pdf()));
    send(tom, conversation, "The plan", plan).require(200);
    assertThat(attached(tom, conversation)).isEmpty();
    String looks = "/api/conversations/" + conversation + "/second-looks";
    JsonNode look = maren.get(looks).require(200).json().get(0);
    assertThat(look.path("attachments").get(0).path("name").asString()).isEqualTo("plan.pdf");
    assertThat(maren.get("/api/attachments/" + plan).status()).isEqualTo(200);
    String of = "/api/second-looks/" + id(look);
    maren.post(of + "/return", Map.of("why", "The other plan, please")).require(204);
    assertThat(attached(tom, conversation)).hasSize(1);
    send(tom, conversation, "The other plan", plan).require(200);
    JsonNode again = maren.get(looks).require(200).json().get(0);
    maren
        .post("/api/second-looks/" + id(again) + "/approve", Map.of("words", "The plan"))
        .require(200);
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from attachment where id = ? and entry_id is not null",
                Integer.class,
                plan))
        .isEqualTo(1);
  }

  @Test
  void aBrowserThatIsClosedInTheMiddleOfAnUploadLeavesNothing() throws IOException {
    long conversation = conversation();
    priya.closedWhileUploading(paper(conversation), "sea.jpg", new byte[3_000_000]);
    assertThat(attached(priya, conversation)).isEmpty();
    // It may have been closed before anything of it was kept.
    assertThat(data().resolve("files/parts").toFile().list()).isNullOrEmpty();
    put(priya, conversation, "plan.pdf", Samples.pdf());
    assertThat(attached(priya, conversation)).hasSize(1);
  }

  @Test
  void onAFullDiskNothingIsAddedAndItSaysSo() {
    long conversation = conversation();
    fabulum.room.set(0);
    fabulum.becomes(() -> maren.get("/api/office/troubles").body().contains("almost full"));
    Answer refused = priya.upload(paper(conversation), "plan.pdf", Samples.pdf());
    fabulum.room.set(Long.MAX_VALUE);
    fabulum.becomes(() -> !maren.get("/api/office/troubles").body().contains("almost full"));
    assertThat(refused.problem()).isEqualTo("no-space");
    assertThat(attached(priya, conversation)).isEmpty();
  }
}
