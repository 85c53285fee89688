package fabulum.server.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.NumberId;
import fabulum.server.identify.HeldNumbers.Described;
import fabulum.server.identify.Identify.Reason;
import fabulum.server.identify.Identify.Scope;
import fabulum.server.platform.Problem;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/**
 * Taking back what was said of who writes, against a replay without it: the same sequence on
 * numbers and customers of its own, by the same two people at the same times.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
// Begun first: it takes longest.
@Order(1)
class IdentifyLawsTest {
  private static final long SEED = 20261127;
  private static final int SEQUENCES = Integer.getInteger("identify.sequences", 120);
  private static final int LONGEST = 6;

  /** Of steps; those behind the last act are texts. */
  private static final int KINDS = 10;

  private static final int IMPORT = 7;

  private static final String IMPORTS = "/api/imports";
  private static final List<String> BOATS = List.of("Kittiwake", "Tansy", "Plover");

  private TwoTeams office;
  private Fabulum fabulum;
  private Identify identify;
  private IdentifyUndo undo;
  private CustomerJoining joining;
  private HeldNumbers numbersOf;
  private List<StaffId> people;
  private Browser lead;
  private int made;

  @BeforeAll
  void begin() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    identify = fabulum.context.getBean(Identify.class);
    undo = fabulum.context.getBean(IdentifyUndo.class);
    joining = fabulum.context.getBean(CustomerJoining.class);
    numbersOf = fabulum.context.getBean(HeldNumbers.class);
    people = List.of(new StaffId(office.id("priya")), new StaffId(office.id("tom")));
    lead = fabulum.signedIn("maren");
    fabulum.tables.update("update line set promise_minutes = 43000");
  }

  @AfterAll
  void end() {
    office.close();
  }

  /** What happens: an act, or a text that comes. */
  private record Step(int kind, int number, int customer, int other, int by) {}

  /** Two numbers and three customers, of whom the first holds the first number. */
  private final class World {
    private final List<String> numbers = List.of(fabulum.freshNumber(), fabulum.freshNumber());
    private final long[] customers = new long[3];
    private final long[] conversations = new long[2];
    private final Map<Integer, Runnable> acts = new LinkedHashMap<>();

    World() {
      customers[0] = fabulum.customer("Ada " + made++, numbers.get(0));
      customers[1] = fabulum.customer("Ben " + made++, fabulum.freshNumber());
      customers[2] = fabulum.customer("Cem " + made++, fabulum.freshNumber());
      fabulum.detail(customers[1], "Boat", "Kittiwake");
      fabulum.detail(customers[2], "Boat", "Tansy");
      fabulum.detail(customers[2], "Berth", "B12");
      fabulum.tables.update(
          "update customer set email = 'ben@example.com', kind = 'Regular' where id = ?",
          customers[1]);
      for (int i = 0; i < 2; i++) {
        text(i);
      }
    }

    private void text(int number) {
      fabulum.webhook().text(numbers.get(number), Fabulum.DOCK, "text " + made++).require(200);
      Long id =
          fabulum.tables.queryForObject(
              "select c.id from conversation c join number n on n.id = c.number_id where n.address = ?",
              Long.class,
              numbers.get(number));
      conversations[number] = id == null ? 0 : id;
    }

    private List<Long> seen(int number) {
      return fabulum.tables.queryForList(
          "select h.customer_id from holding h join number n on n.id = h.number_id"
              + " where n.address = ? and h.held_until is null order by 1",
          Long.class,
          numbers.get(number));
    }

    private NumberId id(int number) {
      Long id =
          fabulum.tables.queryForObject(
              "select id from number where address = ?", Long.class, numbers.get(number));
      return new NumberId(id == null ? 0 : id);
    }

    void go(int place, Step step) {
      ConversationId id = new ConversationId(conversations[step.number]);
      CustomerId customer = new CustomerId(customers[step.customer]);
      StaffId by = people.get(step.by);
      List<Long> seen = seen(step.number);
      try {
        switch (step.kind) {
          case 0 -> did(place, identify.customer(id, customer, true, null, seen, by).act());
          case 1 -> {
            NumberId given = step.other == 0 ? id(1 - step.number) : null;
            did(place, identify.customer(id, customer, false, given, seen, by).act());
          }
          case 2 -> {
            Scope scope = Scope.values()[step.other];
            did(place, identify.oneOfSeveral(id, customer, scope, null, seen, by).act());
          }
          case 3 ->
              did(place, identify.notForUs(id, Reason.values()[step.other % 2], seen, by).act());
          case 4 -> {
            CustomerId next = new CustomerId(customers[(step.customer + 1) % 3]);
            did(place, joining.join(customer, next, by).act());
          }
          case 5 -> did(place, numbersOf.giveUp(customer, id(step.number), by).act());
          case 6 -> {
            Described home = new Described("home", "");
            did(place, numbersOf.add(customer, numbers.get(step.number), home, by).act());
          }
          case IMPORT -> imported(place, step);
          default -> text(step.number);
        }
      } catch (Problem refused) {
        // Refused in both worlds, or it shows in what is compared.
      }
    }

    private void did(int place, long act) {
      acts.put(place, () -> undo.undo(act, people.get(0)));
    }

    /** A file has the customer with the number, an address and a boat. */
    private void imported(int place, Step step) {
      String name =
          fabulum.tables.queryForObject(
              "select name from customer where id = ?", String.class, customers[step.customer]);
      String row =
          "%s,%s,%d@example.com,%s\n"
              .formatted(name, numbers.get(step.number), step.other, BOATS.get(step.other));
      long file =
          lead.upload(IMPORTS, "customers.csv", "Name,Phone,E-mail,Boat\n" + row)
              .require(200)
              .json()
              .path("id")
              .asLong();
      lead.post(IMPORTS + "/" + file + "/run", Map.of("onlyGood", true)).require(200);
      if (settled(file).path("added").asInt() + settled(file).path("changed").asInt() > 0) {
        acts.put(place, () -> takeBack(file));
      }
    }

    private void takeBack(long file) {
      lead.post(IMPORTS + "/" + file + "/undo", Map.of()).require(200);
      String stays = settled(file).path("why").asString("");
      if (!stays.isEmpty()) {
        throw Problem.conflict(Problem.Kind.CHANGED_MEANWHILE, stays);
      }
    }

    private JsonNode settled(long file) {
      String path = IMPORTS + "/" + file;
      assertThat(
              fabulum.becomes(
                  () -> !lead.get(path).json().path("state").asString().matches("RUNNING|UNDOING")))
          .isTrue();
      return lead.get(path).require(200).json();
    }

    /** Everything but the record, with names in place of ids that differ between worlds. */
    List<String> state() {
      List<String> rows = new ArrayList<>();
      for (int i = 0; i < 2; i++) {
        long number = id(i).value();
        rows.add("number " + i);
        add(
            rows,
            "select customer_id, held_from, weak_before, held_until, word from holding where number_id = "
                + number
                + " order by customer_id, word nulls first, weak_before nulls first, held_until nulls first");
        add(
            rows,
            "select customer_id, said_from, case when entry_id is null then 0 else 1 end from writer_said where number_id = "
                + number
                + " order by customer_id, said_from nulls first, 3");
        add(rows, "select count(*) from not_for_us where number_id = " + number);
        add(
            rows,
            "select customer_id, to_identify, apart, box, stands, turn, since, opened_at, due_at from conversation where number_id = "
                + number);
      }
      for (int i = 0; i < customers.length; i++) {
        rows.add("customer " + i);
        long customer = customers[i];
        add(
            rows,
            "select words, kind_id from detail where customer_id = " + customer + " order by 2");
        add(
            rows,
            "select email, kind, site_id, case when joined_into is null then 0 else 1 end as joined from customer where id = "
                + customer);
        add(
            rows,
            "select kind, word, preferred, held_until from holding where customer_id = "
                + customer
                + " order by id");
      }
      return rows;
    }

    private void add(List<String> rows, String query) {
      fabulum
          .tables
          .queryForList(query)
          .forEach(row -> {
            String text = row.toString();
            for (int i = 0; i < customers.length; i++) {
              text =
                  text.replace(
                          "CUSTOMER_ID=" + customers[i] + ",", "CUSTOMER_ID=customer " + i + ",")
                      .replace(
                          "customer_id=" + customers[i] + ",", "customer_id=customer " + i + ",");
            }
            rows.add(text);
          });
    }
  }

  @Test
  void takingBackIsAsIfItHadNeverBeenDone() {
    Random random = new Random(SEED);
    int compared = 0;
    int imports = 0;
    int refused = 0;
    for (int sequence = 0; sequence < SEQUENCES; sequence++) {
      Step[] steps = new Step[2 + random.nextInt(LONGEST - 1)];
      for (int i = 0; i < steps.length; i++) {
        steps[i] =
            new Step(
                random.nextInt(KINDS),
                random.nextInt(2),
                random.nextInt(3),
                random.nextInt(3),
                random.nextInt(2));
      }
      int left = random.nextInt(steps.length);
      World world = new World();
      World replay = new World();
      for (int i = 0; i < steps.length; i++) {
        fabulum.clock.advance(Duration.ofMinutes(1 + random.nextInt(2_000)));
        world.go(i, steps[i]);
        if (i != left || !world.acts.containsKey(i)) {
          replay.go(i, steps[i]);
        }
      }
      boolean sameActs =
          world.acts.keySet().stream()
              .filter(i -> i != left)
              .toList()
              .equals(List.copyOf(replay.acts.keySet()));
      if (!world.acts.containsKey(left) || !sameActs) {
        // What followed was possible only because of it, or only without it.
        continue;
      }
      try {
        world.acts.get(left).run();
      } catch (Problem reliedOn) {
        refused++;
        continue;
      }
      assertThat(world.state())
          .as(
              "seed %s, sequence %s, without step %s of %s",
              SEED, sequence, left, Arrays.toString(steps))
          .isEqualTo(replay.state());
      compared++;
      imports += steps[left].kind == IMPORT ? 1 : 0;
    }
    assertThat(compared).isGreaterThan(SEQUENCES / 3);
    assertThat(imports).isGreaterThan(SEQUENCES / 60);
    assertThat(refused).isLessThan(SEQUENCES / 6);
  }
}
