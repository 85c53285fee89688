package fabulum.demo;

import fabulum.core.access.Role;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.access.StaffId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fills an empty database with as many texts as someone wants to measure with. The same seed gives
 * the same data. Numbers are from the reserved block under every possible area code.
 */
public final class Volume {
  /** Whom to sign in as. */
  public static final String NAME = "measurer";

  /** Who sees one quiet line only. */
  public static final String QUIET = "quiet";

  /** Their password. */
  public static final String PASSWORD = "nine grey herons";

  private static final long SEED = 41;
  private static final int TEXTS_A_CONVERSATION = 10;
  private static final int CHUNK = 2_000;

  /** How many lines share the conversations. */
  public static final int LINES = 5;

  private static final int STAFF = 8;
  private static final Duration HOUR = Duration.ofHours(1);
  private static final String[] WORDS = {
    "Is there a berth free for tonight?",
    "We would like to bring her out on Friday, if the lift is free then.",
    "Thank you, that is all we wanted to know.",
    "The invoice shows both berths, but we gave one up in spring. Could you look again, please?",
    "Yes. Nine o’clock at the lift dock, with fenders on both sides.",
    "We are on our way.",
  };

  private final JdbcTemplate tables;
  private final TransactionTemplate transactions;
  private final Instant now;
  private final Random random = new Random(SEED);

  private Volume(ApplicationContext program, Instant now) {
    this.tables = program.getBean(JdbcTemplate.class);
    this.transactions = program.getBean(TransactionTemplate.class);
    this.now = now;
  }

  /**
   * Fills it: five lines that are always open, eight colleagues, a tenth as many conversations as
   * texts, and two long ones.
   *
   * @param texts in all, roughly
   * @param open conversations that are not done, at most a tenth of the texts
   * @param longOnes lengths of the long conversations, which come first
   */
  public static void fill(
      ApplicationContext program, Instant now, int texts, int open, int... longOnes) {
    new Volume(program, now).fill(program, texts, open, longOnes);
  }

  private void fill(ApplicationContext program, int texts, int open, int... longOnes) {
    People people = program.getBean(People.class);
    for (int i = 0; i < STAFF; i++) {
      String name = i == 0 ? NAME : "colleague" + i;
      people.add(new NewStaff(name, "Colleague " + i, "C" + i, Role.LEAD, PASSWORD, false));
    }
    Lines lines = program.getBean(Lines.class);
    for (int i = 1; i <= LINES; i++) {
      lines.add(
          new NewLine(
              "Pier",
              NewLine.FIRST_TEAM,
              "Line " + i,
              new PhoneNumber("+1920555010" + i),
              new Region("US"),
              Hours.always(ZoneOffset.UTC),
              new Promise(HOUR)));
    }
    tables.update(
        "insert into staff_permission (staff_id, permission) select id, 'SEE_ALL_LINES' from staff where sign_in_name = ?",
        NAME);
    people.forget();
    int conversations = texts / TEXTS_A_CONVERSATION;
    for (int from = 0; from < conversations; from += CHUNK) {
      int begin = from;
      int end = Math.min(conversations, from + CHUNK);
      transactions.executeWithoutResult(status -> chunk(begin, end, open, longOnes));
    }
    for (String table : List.of("number", "conversation")) {
      tables.execute(
          "alter table " + table + " alter column id restart with " + (conversations + 1));
    }
    quietLine(program, people, lines);
    tables.execute("analyze");
  }

  /**
   * Everybody has long been told of what waits since then; telling of it all at once is not what is
   * measured. In the transaction that makes them, or the program begins to tell.
   */
  private void told(long after) {
    for (String step : List.of("-15 O", "0 O", "0 L")) {
      tables.update(
          "insert into escalation_step_taken (conversation_id, wait, step)"
              + " select id, since, ? from conversation where box = 'OUR_TURN' and id > ?",
          step,
          after);
    }
  }

  /** One more line with next to nothing on it, and a person who sees no other. */
  private void quietLine(ApplicationContext program, People people, Lines lines) {
    StaffId quiet =
        people.add(new NewStaff(QUIET, "Quiet Colleague", "QC", Role.STAFF, PASSWORD, false));
    PhoneNumber number = new PhoneNumber("+19205550199");
    Hours always = Hours.always(ZoneOffset.UTC);
    lines.add(
        new NewLine(
            "Pier",
            "Quiet team",
            "Quiet line",
            number,
            new Region("US"),
            always,
            new Promise(HOUR)));
    Teams teams = program.getBean(Teams.class);
    teams.join(teams.named("Quiet team"), quiet);
    Long last = tables.queryForObject("select max(id) from conversation", Long.class);
    transactions.executeWithoutResult(status -> {
      quietConversations();
      told(Objects.requireNonNull(last));
    });
    people.forget();
  }

  private void quietConversations() {
    for (String box : List.of("OUR_TURN", "DONE")) {
      tables.update(
          "insert into conversation (line_id, number_id, began_with, owner_id, box, turn, since, opened_at, due_at, sort_at, aside_until,"
              + " to_identify, last_at, last_words, last_speaker)"
              + " select (select max(id) from line), number_id, began_with, owner_id, box, turn, since, opened_at, due_at, sort_at,"
              + " aside_until, true, last_at, last_words, last_speaker from conversation"
              + " where line_id = 1 and box = ? order by line_id, box, sort_at, id fetch first 20 rows only",
          box);
    }
    tables.update(
        "insert into participant (conversation_id, number_id) select id, number_id from conversation");
  }

  private void chunk(int begin, int end, int open, int... longOnes) {
    List<Object[]> numbers = new ArrayList<>();
    List<@Nullable Object[]> conversations = new ArrayList<>();
    List<@Nullable Object[]> entries = new ArrayList<>();
    for (int i = begin; i < end; i++) {
      long id = i + 1L;
      if (i % LINES == 0) {
        numbers.add(new Object[] {i / LINES + 1L, number(i / LINES)});
      }
      int length = i < longOnes.length ? longOnes[i] : TEXTS_A_CONVERSATION;
      String box =
          i >= open ? "DONE" : i % 10 < 6 ? "OUR_TURN" : i % 10 < 9 ? "THEIR_TURN" : "SET_ASIDE";
      Instant last = last(box, i);
      conversations.add(conversation(id, i, box, last));
      for (int e = 0; e < length; e++) {
        entries.add(entry(id, i, e, length, last));
      }
    }
    tables.batchUpdate("insert into number (id, address) values (?, ?)", numbers);
    tables.batchUpdate(
        "insert into conversation (id, line_id, number_id, began_with, owner_id, box, turn, since, opened_at, due_at,"
            + " sort_at, aside_until, to_identify, last_at, last_words, last_speaker)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, true, ?, ?, ?)",
        conversations);
    told(begin);
    tables.batchUpdate(
        "insert into entry (conversation_id, at, kind, words, speaker_id, network_id, reference, delivery, parts)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
        entries);
  }

  private static String number(int i) {
    return "+1" + (200 + i / 100) + "55501" + i / 10 % 10 + i % 10;
  }

  private Instant last(String box, int i) {
    return box.equals("DONE")
        ? now.minusSeconds(86_400L + i * 97L % 47_000_000L)
        : now.minusSeconds(60 + random.nextInt(90_000));
  }

  private @Nullable Object[] conversation(long id, int i, String box, Instant last) {
    boolean ours = box.equals("OUR_TURN");
    boolean aside = box.equals("SET_ASIDE");
    Instant place = ours ? last.plus(HOUR) : aside ? now.plusSeconds(86_400 + i) : last;
    return new @Nullable Object[] {
      id,
      1 + i % LINES,
      i / LINES + 1,
      number(i / LINES),
      i % 3 == 0 ? null : 1 + i % STAFF,
      box,
      ours ? "OURS" : "THEIRS",
      utc(last),
      utc(last.minusSeconds(3_600)),
      ours ? utc(last.plus(HOUR)) : null,
      utc(place),
      aside ? utc(place) : null,
      utc(last),
      words(i),
      ours ? "CUSTOMER" : "US"
    };
  }

  private static String words(int i) {
    return WORDS[i % WORDS.length];
  }

  private static Object utc(Instant at) {
    return at.atOffset(ZoneOffset.UTC);
  }

  private static @Nullable Object[] entry(long id, int i, int e, int length, Instant last) {
    boolean in = e % 2 == 0;
    String name = "v-" + id + "-" + e;
    return new @Nullable Object[] {
      id,
      utc(last.minusSeconds(600L * (length - 1 - e))),
      in ? "IN" : "OUT",
      words(i + e),
      in ? null : 1 + i % STAFF,
      name,
      in ? null : name,
      in ? null : "DELIVERED",
      in ? null : 1
    };
  }
}
