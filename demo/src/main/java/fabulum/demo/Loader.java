package fabulum.demo;

import fabulum.demo.DemoData.Conversation;
import fabulum.demo.DemoData.Customer;
import fabulum.demo.DemoData.Entry;
import fabulum.demo.DemoData.Number;
import fabulum.server.lines.NewLine;
import fabulum.server.people.People;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
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
  private final Business business;
  private final JdbcTemplate tables;
  private final TransactionTemplate transactions;
  private final JsonMapper json;
  private final Path folder;
  private final DemoSettings size;

  Loader(
      People people,
      Business business,
      JdbcTemplate tables,
      TransactionTemplate transactions,
      JsonMapper json,
      Path folder,
      DemoSettings size) {
    this.people = people;
    this.business = business;
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
      business.insert();
      insertCustomers(data);
      insertConversations(data);
      business.insertAround(now);
    });
    people.forget();
    writeDirectory(data);
    return true;
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
      AnswerWaits waited = new AnswerWaits(i + 1L, lineOf(conversation));
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
