package fabulum.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.sentence.HistorySentence;
import fabulum.server.access.StaffId;
import fabulum.server.inbox.Place;
import fabulum.server.testing.Fabulum;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.BiPredicate;
import org.jspecify.annotations.Nullable;

/** History against a plain scan of the tables, for random sentences. */
public final class PlainHistory {
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");
  private static final List<String> KINDS =
      List.of("", "sent; ", "received; ", "notes; ", "events; ", "everything; ");
  private static final List<String> WORDS =
      List.of(
          "",
          "bilge",
          "\"bilge pump\"",
          "\"pump bilge\"",
          "pump -bilge",
          "inv*",
          "tow",
          "-berth",
          "50",
          "INVOICE",
          "nowhere",
          "bilge berth tow");

  private final Fabulum fabulum;
  private final History history;
  private final Random random;

  public PlainHistory(Fabulum fabulum, Random random) {
    this.fabulum = fabulum;
    this.history = fabulum.context.getBean(History.class);
    this.random = random;
  }

  private record Said(
      long id,
      long conversation,
      long line,
      Instant at,
      String kind,
      String words,
      @Nullable Long speaker,
      boolean automatic,
      @Nullable String delivery) {}

  /**
   * Compares some random sentences.
   *
   * @param people who ask
   * @param sees whether somebody sees a conversation
   */
  public void compare(String when, int cases, long people, BiPredicate<Long, Long> sees) {
    List<Said> all =
        fabulum.tables.query(
            "select e.*, c.line_id from entry e join conversation c on c.id = e.conversation_id"
                + " where not e.withdrawn",
            (row, i) -> read(row));
    List<String> about =
        fabulum.tables.query(
            "select * from conversation_topic",
            (row, i) -> row.getLong("topic_id") + " " + row.getLong("conversation_id"));
    for (int i = 0; i < cases; i++) {
      String text = sentence();
      HistorySentence sentence = HistorySentence.read(text);
      long me = 1 + random.nextLong(people);
      List<Long> plain =
          all.stream()
              .filter(said -> sees.test(said.conversation(), me))
              .filter(said -> fits(sentence, said))
              .filter(said ->
                  sentence.topic().isEmpty()
                      || about.contains(sentence.topic().getAsLong() + " " + said.conversation()))
              .sorted(Comparator.comparing(Said::at).thenComparing(Said::id).reversed())
              .map(Said::id)
              .toList();
      String asked = when + ", asked by " + me + ": " + text;
      assertThat(pages(sentence, new StaffId(me))).as(asked).isEqualTo(plain);
      // Told before anything is looked at again, so it must be right by itself.
      assertThat(history.page(sentence, null, 1, new StaffId(me)).count())
          .as("count " + asked)
          .isEqualTo(plain.size());
    }
  }

  private static Said read(ResultSet row) throws SQLException {
    String words = row.getString("words");
    long speaker = row.getLong("speaker_id");
    return new Said(
        row.getLong("id"),
        row.getLong("conversation_id"),
        row.getLong("line_id"),
        row.getObject("at", OffsetDateTime.class).toInstant(),
        row.getString("kind"),
        words == null || row.getString("kind").equals("EVENT") ? "" : words,
        speaker == 0 ? null : speaker,
        row.getBoolean("automatic"),
        row.getString("delivery"));
  }

  private String sentence() {
    StringBuilder text = new StringBuilder(KINDS.get(random.nextInt(KINDS.size())));
    text.append(one(4, "line " + (1 + random.nextInt(3))));
    text.append(one(8, "site " + (1 + random.nextInt(3))));
    text.append(one(8, "team " + (1 + random.nextInt(3))));
    text.append(one(6, "by " + (1 + random.nextInt(4))));
    text.append(one(6, random.nextBoolean() ? "automatic" : "by a person"));
    text.append(one(8, random.nextBoolean() ? "state sent" : "state waiting"));
    text.append(one(6, "topic " + (1 + random.nextInt(4))));
    text.append(
        switch (random.nextInt(4)) {
          case 0 -> "ever; ";
          case 1 -> "last " + (1 + random.nextInt(20)) + "; ";
          case 2 -> "from " + day(30) + "; to " + day(0) + "; ";
          default -> "";
        });
    text.append(one(3, "any"));
    String words = WORDS.get(random.nextInt(WORDS.size()));
    return text + (words.isEmpty() ? "" : "mention " + words);
  }

  private LocalDate day(int before) {
    LocalDate today = fabulum.clock.instant().atZone(ZONE).toLocalDate();
    return today.minusDays(before + random.nextInt(15));
  }

  private String one(int in, String clause) {
    return random.nextInt(in) == 0 ? clause + "; " : "";
  }

  private boolean fits(HistorySentence sentence, Said said) {
    boolean kind =
        switch (sentence.what()) {
          case TEXTS -> said.kind().equals("IN") || said.kind().equals("OUT");
          case SENT -> said.kind().equals("OUT");
          case RECEIVED -> said.kind().equals("IN");
          case NOTES -> said.kind().equals("NOTE");
          case EVENTS -> said.kind().equals("EVENT");
          case EVERYTHING -> true;
        };
    boolean origin =
        sentence
            .origin()
            .map(one -> said.automatic() == (one == HistorySentence.Origin.PROGRAM))
            .orElse(true);
    boolean state =
        sentence
            .state()
            .map(one -> said.kind().equals("OUT") && one.name().equals(said.delivery()))
            .orElse(true);
    LocalDate day = said.at().atZone(ZONE).toLocalDate();
    LocalDate today = fabulum.clock.instant().atZone(ZONE).toLocalDate();
    return kind
        && origin
        && state
        && (sentence.line().isEmpty() || sentence.line().getAsLong() == said.line())
        && isAny(sentence.site(), "site_id", said.line())
        && isAny(sentence.team(), "team_id", said.line())
        && (sentence.by().isEmpty()
            || Long.valueOf(sentence.by().getAsLong()).equals(said.speaker()))
        && sentence.when().first(today).filter(day::isBefore).isEmpty()
        && sentence.when().last().filter(day::isAfter).isEmpty()
        && hasWords(sentence, said.words());
  }

  private boolean isAny(java.util.OptionalLong wanted, String column, long line) {
    return wanted.isEmpty()
        || Long.valueOf(wanted.getAsLong())
            .equals(
                fabulum.tables.queryForObject(
                    "select " + column + " from line where id = ?", Long.class, line));
  }

  private static boolean hasWords(HistorySentence sentence, String words) {
    String text = " " + words.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", " ").strip() + " ";
    List<String> typed =
        Arrays.stream(
                sentence
                    .mention()
                    .toLowerCase(Locale.ROOT)
                    .split(" (?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)"))
            .filter(word -> !word.isEmpty())
            .toList();
    boolean without =
        typed.stream()
            .filter(word -> word.startsWith("-"))
            .noneMatch(word -> has(text, word.substring(1)));
    List<String> with = typed.stream().filter(word -> !word.startsWith("-")).toList();
    return without
        && (sentence.match() == HistorySentence.Match.ANY
            ? with.isEmpty() || with.stream().anyMatch(word -> has(text, word))
            : with.stream().allMatch(word -> has(text, word)));
  }

  private static boolean has(String text, String word) {
    String plain = word.replace("\"", "");
    return plain.endsWith("*")
        ? text.contains(" " + plain.substring(0, plain.length() - 1))
        : text.contains(" " + plain + " ");
  }

  private List<Long> pages(HistorySentence sentence, StaffId me) {
    List<Long> ids = new ArrayList<>();
    Place next = null;
    do {
      HistoryPage page = history.page(sentence, next, 37, me);
      page.rows().forEach(row -> ids.add(row.entry().id()));
      next = page.next() == null ? null : Place.read(page.next());
    } while (next != null);
    return ids;
  }
}
