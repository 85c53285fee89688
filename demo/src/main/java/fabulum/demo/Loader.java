package fabulum.demo;

import fabulum.core.access.Role;
import fabulum.demo.DemoData.Conversation;
import fabulum.demo.DemoData.Customer;
import fabulum.demo.DemoData.Entry;
import fabulum.demo.DemoData.Number;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.topics.TopicSetup;
import fabulum.server.topics.Topics;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Puts the demonstration into an empty database, all of it or nothing, and tells the stand-ins who
 * there is.
 */
final class Loader {
  private static final long SEED = 1907;

  private final People people;
  private final Teams teams;
  private final Lines lines;
  private final Topics topics;
  private final JdbcTemplate tables;
  private final TransactionTemplate transactions;
  private final JsonMapper json;
  private final Path folder;
  private final DemoSettings size;

  Loader(
      People people,
      Teams teams,
      Lines lines,
      Topics topics,
      JdbcTemplate tables,
      TransactionTemplate transactions,
      JsonMapper json,
      Path folder,
      DemoSettings size) {
    this.people = people;
    this.teams = teams;
    this.lines = lines;
    this.topics = topics;
    this.tables = tables;
    this.transactions = transactions;
    this.json = json;
    this.folder = folder;
    this.size = size;
  }

  /** Loads when there is nobody yet; false when there is. */
  boolean loadInto(Instant now) {
    if (!people.isEmpty()) {
      return false;
    }
    DemoData data = new Generator(SEED, now, size).generate();
    transactions.executeWithoutResult(status -> {
      insertBusiness();
      insertCustomers(data);
      insertConversations(data);
      insertAgreements();
      insertCosts(now.atZone(Quillhaven.ZONE).toLocalDate());
      insertAbsence(now);
      insertRead(now);
    });
    people.forget();
    writeDirectory(data);
    return true;
  }

  private void insertBusiness() {
    for (Quillhaven.StaffOf staff : Quillhaven.STAFF) {
      Role role = staff.lead() ? Role.LEAD : Role.STAFF;
      people.add(
          new NewStaff(
              staff.signInName(),
              staff.name(),
              staff.initials(),
              role,
              Quillhaven.PASSWORD,
              false));
      tables.update(
          "update staff set email = ?, zone = ?, shape = ?, ink = ? where sign_in_name = ?",
          staff.signInName() + "@quillhaven.example",
          Quillhaven.ZONE.getId(),
          staff.mark().shape().name(),
          staff.mark().ink().name(),
          staff.signInName());
    }
    tables.update(
        "insert into staff_permission (staff_id, permission) select id, 'SEE_ALL_LINES' from staff where role = 'LEAD'");
    tables.update("delete from escalation_step");
    tables.update("delete from team");
    for (Quillhaven.TeamOf team : Quillhaven.TEAMS) {
      TeamId id = teams.named(team.name());
      team.members().forEach(member -> teams.join(id, new StaffId(member + 1L)));
    }
    tables.update(
        "insert into escalation_step (team_id, after_minutes, told) select id, 0, 'LEADS' from team");
    tables.update(
        "insert into escalation_step (team_id, after_minutes, told) select id, -15, 'TEAM' from team");
    for (Quillhaven.LineOf line : Quillhaven.LINES) {
      LineId id = lines.add(line.line(Quillhaven.ZONE));
      tables.update(
          "update line set holiday_country = 'US', way = ? where id = ?",
          line.way().name(),
          id.value());
    }
    for (Quillhaven.TopicOf topic : Quillhaven.TOPICS) {
      topics.add(
          teams.named(topic.team()),
          new TopicSetup(topic.name(), topic.colour(), topic.promiseMinutes(), false));
    }
  }

  /** Everybody has read all but what came within the last forty minutes. */
  private void insertRead(Instant now) {
    tables.update(
        "insert into seen (staff_id, conversation_id, at)"
            + " select s.id, c.id, c.last_at from staff s cross join conversation c"
            + " where c.box in ('OUR_TURN', 'THEIR_TURN', 'SET_ASIDE') and c.last_at < ?",
        now.minus(Duration.ofMinutes(40)).toString());
  }

  /** Hattie is away for three days, and Samir covers; Wen is given no more than six. */
  private void insertAbsence(Instant now) {
    LocalDate today = now.atZone(Quillhaven.ZONE).toLocalDate();
    tables.update(
        "insert into absence (staff_id, first_day, last_day, cover_id)"
            + " select h.id, ?, ?, s.id from staff h, staff s where h.sign_in_name = 'hattie' and s.sign_in_name = 'samir'",
        today,
        today.plusDays(2));
    tables.update("update staff set work_limit = 6 where sign_in_name = 'wen'");
    tables.update(
        "update staff set last_answer_at ="
            + " (select max(e.at) from entry e where e.speaker_id = staff.id and e.kind = 'OUT')");
  }

  private void insertCustomers(DemoData data) {
    List<Object[]> customers = new ArrayList<>();
    List<Object[]> details = new ArrayList<>();
    List<Object[]> appointments = new ArrayList<>();
    List<Object[]> jobs = new ArrayList<>();
    for (int i = 0; i < data.customers().size(); i++) {
      Customer customer = data.customers().get(i);
      long id = i + 1L;
      customers.add(new Object[] {id, customer.name(), customer.email(), customer.site()});
      details.add(new Object[] {id, 1, customer.boat()});
      details.add(new Object[] {id, 2, customer.length()});
      details.add(new Object[] {id, 3, customer.berth()});
      if (customer.appointment() != null) {
        appointments.add(
            new Object[] {
              id,
              customer.appointment().what(),
              customer.appointment().startsAt().atOffset(ZoneOffset.UTC)
            });
      }
      if (customer.job() != null) {
        jobs.add(new Object[] {id, customer.job(), "in work"});
      }
    }
    tables.batchUpdate(
        "insert into customer (id, name, email, site_id) values (?, ?, ?, ?)", customers);
    tables.update(
        "insert into detail_kind (id, name, type, place) values (1, 'Boat', 'TEXT', 1), (2, 'Length', 'TEXT', 2), (3, 'Berth', 'TEXT', 3)");
    restart("detail_kind", 3);
    tables.batchUpdate(
        "insert into detail (customer_id, kind_id, words) values (?, ?, ?)", details);
    tables.batchUpdate(
        "insert into appointment (customer_id, what, starts_at) values (?, ?, ?)", appointments);
    tables.batchUpdate("insert into job (customer_id, what, standing) values (?, ?, ?)", jobs);
    restart("customer", customers.size());
    insertNumbers(data.numbers());
    insertRegisters();
  }

  /** What the office has put together over the years: kinds, lists, contacts of firms, notes. */
  private void insertRegisters() {
    tables.update(
        "update customer set outside_id = 'Q-' || (1000 + id), kind = case when mod(id, 40) = 8 then 'Trade'"
            + " when mod(id, 11) = 4 then 'Winter storage' else 'Berth holder' end");
    tables.update(
        "insert into customer_list (id, name, made_by, made_at) values (1, 'Outer berths', 1, current_timestamp),"
            + " (2, 'Launch in May', 1, current_timestamp)");
    tables.update(
        "insert into on_list (customer_id, list_id) select customer_id, 1 from detail where kind_id = 3 and words like 'E%'");
    tables.update(
        "insert into on_list (customer_id, list_id) select id, 2 from customer where mod(id, 9) = 5");
    restart("customer_list", 2);
    tables.update("update job set number = 'R-' || (200 + id)");
    tables.update(
        "update holding set preferred = true, kind = 'mobile' where id in (select min(id) from holding group by customer_id)");
    List<Object[]> contacts = new ArrayList<>();
    List<Object[]> notes = new ArrayList<>();
    for (int i = 0; i < Quillhaven.CONTACTS.size(); i++) {
      contacts.add(new Object[] {8L + 40L * (i % 10), Quillhaven.CONTACTS.get(i)});
    }
    for (int i = 0; i < Quillhaven.CUSTOMER_NOTES.size(); i++) {
      notes.add(new Object[] {1L + 23L * i, Quillhaven.CUSTOMER_NOTES.get(i), 1L + i % 5});
    }
    tables.batchUpdate("insert into contact (customer_id, name) values (?, ?)", contacts);
    tables.batchUpdate(
        "insert into customer_note (customer_id, words, staff_id) values (?, ?, ?)", notes);
  }

  private void insertNumbers(List<Number> numbers) {
    List<Object[]> rows = new ArrayList<>();
    List<Object[]> holders = new ArrayList<>();
    for (int i = 0; i < numbers.size(); i++) {
      long id = i + 1L;
      rows.add(new Object[] {id, numbers.get(i).address()});
      numbers.get(i).holders().forEach(holder -> holders.add(new Object[] {id, holder + 1}));
    }
    tables.batchUpdate("insert into number (id, address) values (?, ?)", rows);
    tables.batchUpdate("insert into holding (number_id, customer_id) values (?, ?)", holders);
    restart("number", rows.size());
  }

  private void insertConversations(DemoData data) {
    List<Object[]> rows = new ArrayList<>();
    List<Object[]> entries = new ArrayList<>();
    List<Object[]> topicsOf = new ArrayList<>();
    List<Object[]> waits = new ArrayList<>();
    for (int i = 0; i < data.conversations().size(); i++) {
      Conversation conversation = data.conversations().get(i);
      rows.add(Rows.conversation(i + 1L, conversation, data.numbers().get(conversation.number())));
      for (String topic : conversation.topics()) {
        topicsOf.add(new Object[] {i + 1L, topicId(conversation.line(), topic)});
      }
      Waits waited = new Waits(i + 1L, lineOf(conversation));
      for (Entry entry : conversation.entries()) {
        entries.add(
            joined(Rows.entry(i + 1L, conversation, entry, entries.size()), waited.columns(entry)));
      }
      waits.addAll(waited.ended());
    }
    tables.batchUpdate(
        "insert into conversation (id, line_id, number_id, began_with, customer_id, owner_id, box, turn, since, sort_at, finished_unanswered,"
            + " to_identify, last_at, last_words, last_speaker, opened_at, aside_until, back)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        rows);
    tables.update(
        "insert into participant (conversation_id, number_id) select id, number_id from conversation");
    restart("conversation", rows.size());
    tables.batchUpdate(
        "insert into conversation_topic (conversation_id, topic_id) values (?, ?)", topicsOf);
    tables.batchUpdate(
        "insert into entry (conversation_id, number_id, at, kind, words, event, speaker_id, network_id, reference, delivery, parts,"
            + " working_seconds, promise_seconds, first_answer, answered_since)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        entries);
    tables.batchUpdate(
        "insert into ended_wait (conversation_id, since, ended_at) values (?, ?, ?)", waits);
    tables.update(
        "insert into topic_span (conversation_id, topic_id, from_at) select t.conversation_id, t.topic_id, min(e.at)"
            + " from conversation_topic t join entry e on e.conversation_id = t.conversation_id"
            + " group by t.conversation_id, t.topic_id");
    tables.update(
        "update conversation set heard_at = (select max(e.at) from entry e"
            + " where e.conversation_id = conversation.id and e.kind = 'IN')");
    tables.update(
        "merge into number n using (select number_id, min(at) as first_at from entry where kind = 'IN' group by number_id) w"
            + " on n.id = w.number_id when matched then update set first_wrote_at = w.first_at");
  }

  private static NewLine lineOf(Conversation conversation) {
    return Quillhaven.LINES.stream()
        .filter(one -> one.line() == conversation.line())
        .map(one -> one.line(Quillhaven.ZONE))
        .findFirst()
        .orElseThrow();
  }

  private static @Nullable Object[] joined(@Nullable Object[] one, @Nullable Object[] other) {
    @Nullable Object[] both = Arrays.copyOf(one, one.length + other.length);
    System.arraycopy(other, 0, both, one.length, other.length);
    return both;
  }

  /**
   * How the business is called, and who agreed to its news: every third number, by the berth form.
   */
  private void insertAgreements() {
    tables.update(
        "update send_settings set business = 'Quillhaven Boatyard',"
            + " contact = 'call the dock office at (920) 555-0101.'");
    tables.update(
        "insert into agreement_change (number_id, noted_at, given, service, news, ground, words)"
            + " select id, first_wrote_at, true, true, true, 'FORM', 'berth form' from number"
            + " where first_wrote_at is not null and mod(id, 3) = 0");
  }

  /** What texts have cost since the season before last, what was bought ahead, and an allowance. */
  private void insertCosts(LocalDate today) {
    tables.update(
        "insert into price (kind, from_day, amount) values ('PART', ?, 0.0079), ('PART', ?, 0.0083), ('TEXT_IN', ?, 0.0025)",
        today.minusYears(2),
        today.withDayOfYear(1),
        today.minusYears(2));
    tables.update(
        "update entry set currency = 'USD', cost = case when kind = 'IN' then 0.0025"
            + " when cast(at as date) < ? then 0.0079 * parts else 0.0083 * parts end"
            + " where kind in ('IN', 'OUT')",
        today.withDayOfYear(1));
    tables.update(
        "insert into parts_sent (on_day, line_id, team_id, staff_id, texts, parts)"
            + " select cast(e.at as date), c.line_id, l.team_id, coalesce(e.speaker_id, 0), count(*), sum(e.parts)"
            + " from entry e join conversation c on c.id = e.conversation_id join line l on l.id = c.line_id"
            + " where e.kind = 'OUT' group by cast(e.at as date), c.line_id, l.team_id, coalesce(e.speaker_id, 0)");
    tables.update(
        "insert into parts_bought (on_day, parts, price, currency, remark, staff_id) values (?, 2500, 19.75, 'USD', 'for the spring', 2)",
        today.minusDays(70));
    tables.update("insert into allowance (span, parts) values ('MONTH', 1500)");
    tables.update(
        "insert into price_plan (name, currency, fee, included, over_price)"
            + " values ('Flat 1,000', 'USD', 7.50, 1000, 0.011), ('Large 3,000', 'USD', 18, 3000, 0.009)");
  }

  /** Of the team that has the line. */
  private long topicId(Situation.Line line, String name) {
    Long id =
        tables.queryForObject(
            "select t.id from topic t join line l on l.team_id = t.team_id where l.id = ? and t.name = ?",
            Long.class,
            Rows.lineId(line),
            name);
    return Objects.requireNonNull(id);
  }

  private void restart(String table, int rows) {
    tables.execute("alter table " + table + " alter column id restart with " + (rows + 1));
  }

  record Named(String number, String name) {}

  record Directory(List<Named> lines, List<Named> people) {}

  /**
   * An open file of names for the handsets page: those who are in the middle of something first.
   */
  private void writeDirectory(DemoData data) {
    List<Named> lines =
        Quillhaven.LINES.stream().map(line -> new Named(line.number(), line.name())).toList();
    List<Named> named = new ArrayList<>();
    List<Conversation> latest = new ArrayList<>(data.conversations());
    latest.sort((a, b) -> b.state().since().compareTo(a.state().since()));
    for (Conversation conversation : latest) {
      Number number = data.numbers().get(conversation.number());
      String name = name(number, data);
      if (named.stream().noneMatch(n -> n.number().equals(number.address()))) {
        named.add(new Named(number.address(), name));
      }
    }
    try {
      Files.writeString(
          folder.resolve("handsets.json"), json.writeValueAsString(new Directory(lines, named)));
    } catch (IOException e) {
      throw new UncheckedIOException("The names for the handsets cannot be written", e);
    }
  }

  private static String name(Number number, DemoData data) {
    return switch (number.holders().size()) {
      case 0 -> "a stranger";
      case 1 -> data.customers().get(number.holders().get(0)).name();
      default -> "shared by " + number.holders().size();
    };
  }
}
