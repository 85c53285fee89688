package fabulum.server.testing;

import fabulum.core.access.Role;
import fabulum.core.delivery.Gateway;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.FabulumApplication;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.DetailKinds;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.SettableClock;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.PreparedStatement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.jdbc.support.KeyHolder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.FileSystemUtils;

/**
 * The real application on a free port with a fresh database file, a clock that stands, and a
 * network inside the test.
 */
public final class Fabulum implements AutoCloseable {
  public static final String PASSWORD = "nine grey herons";
  public static final String DOCK = "+19205550101";
  public static final String YARD = "+19205550102";
  public static final String SECRET = "a secret for tests";
  public static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");

  private static final long PATIENCE_NANOS = 180_000_000_000L;
  private static final long FIRST_PAUSE_NANOS = 5_000_000L;
  private static final long LONGEST_PAUSE_NANOS = 100_000_000L;

  public final ConfigurableApplicationContext context;
  public final FakeNetwork network;
  public final SettableClock clock;
  public final JdbcTemplate tables;

  /** Octets that are free on the disk, as the program is told. */
  public final AtomicLong room;

  private int nextNumber = 100;
  private boolean deletes;

  private Fabulum(ConfigurableApplicationContext context) {
    this.context = context;
    this.network = context.getBean(FakeNetwork.class);
    this.clock = (SettableClock) context.getBean(Clock.class);
    this.tables = context.getBean(JdbcTemplate.class);
    this.room = context.getBean(AtomicLong.class);
  }

  @Configuration(proxyBeanMethods = false)
  static class Inside {
    @Bean
    @Primary
    Gateway fakeNetwork() {
      return new FakeNetwork();
    }

    /** Room on the disk as the test says. */
    @Bean
    @Primary
    DiskReserve.Room testRoom(AtomicLong room) {
      return room::get;
    }

    @Bean
    AtomicLong roomLeft() {
      return new AtomicLong(Long.MAX_VALUE);
    }

    /** The same hashes in the fewest rounds: tests sign in hundreds of times. */
    @Bean
    @Primary
    PasswordEncoder quickHashes() {
      return new BCryptPasswordEncoder(4);
    }
  }

  /** Starts with nothing in it. */
  public static Fabulum startEmpty(String... more) {
    try {
      Fabulum fabulum = start(Files.createTempDirectory("fabulum-test"), more);
      fabulum.deletes = true;
      return fabulum;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Starts on a folder. */
  public static Fabulum start(Path folder, String... more) {
    FabulumApplication.provideCarriers();
    SpringApplication application =
        new SpringApplication(FabulumApplication.class, Inside.class, ApiText.class);
    List<String> arguments = arguments(folder, more);
    application.setApplicationContextFactory(
        type -> new RememberingContext(othersThanOurs(arguments)));
    return new Fabulum(application.run(arguments.toArray(String[]::new)));
  }

  /** Fabulum's own settings decide over no bean, nor does where the database lies. */
  private static List<String> othersThanOurs(List<String> arguments) {
    return arguments.stream()
        .filter(one -> !one.startsWith("--fabulum.") && !one.startsWith("--spring.datasource."))
        .toList();
  }

  private static List<String> arguments(Path folder, String... more) {
    List<String> arguments =
        new ArrayList<>(
            Stream.of(
                    "--server.port=0",
                    // Nothing here kills the process, and each commit is much quicker so.
                    "--fabulum.write-delay=500ms",
                    "--fabulum.people.pause=0s",
                    "--springdoc.api-docs.enabled=true",
                    "--fabulum.data=" + folder,
                    "--fabulum.clock.at=2026-06-09T14:05:00-05:00",
                    "--fabulum.network.url=http://localhost:1",
                    "--fabulum.network.key=unused",
                    "--fabulum.network.secret=" + SECRET)
                .filter(usual -> !isSaidIn(usual, more))
                .toList());
    if (PostgresCluster.isWanted()) {
      arguments.addAll(PostgresCluster.arguments(folder));
    } else {
      EmptyDatabase.putInto(folder);
    }
    arguments.addAll(List.of(more));
    return List.copyOf(arguments);
  }

  private static boolean isSaidIn(String usual, String... more) {
    String name = usual.substring(0, usual.indexOf('=') + 1);
    return Stream.of(more).anyMatch(one -> one.startsWith(name));
  }

  /** Starts with a small business in it: two lines, two colleagues. */
  public static Fabulum startInBusiness() {
    return startInNewBusiness();
  }

  /** The same with settings of its own. */
  public static Fabulum startInNewBusiness(String... more) {
    return inBusiness(startEmpty(more));
  }

  /** The same on a folder that stays. */
  public static Fabulum startInBusiness(Path folder, String... more) {
    return inBusiness(start(folder, more));
  }

  private static Fabulum inBusiness(Fabulum fabulum) {
    People people = fabulum.context.getBean(People.class);
    Teams teams = fabulum.context.getBean(Teams.class);
    TeamId team = teams.named(NewLine.FIRST_TEAM);
    people.add(new NewStaff("maren", "Maren Oduya", "MO", Role.LEAD, PASSWORD, false));
    people.add(new NewStaff("priya", "Priya Nandakumar", "PN", Role.STAFF, PASSWORD, false));
    people.list().forEach(staff -> teams.join(team, new StaffId(staff.id())));
    Lines lines = fabulum.context.getBean(Lines.class);
    Region region = new Region("US");
    Hours always = Hours.always(ZoneId.of("America/Chicago"));
    Promise hour = new Promise(Duration.ofHours(1));
    lines.add(
        new NewLine(
            "North Dock",
            NewLine.FIRST_TEAM,
            "Dock office",
            new PhoneNumber(DOCK),
            region,
            always,
            hour));
    lines.add(
        new NewLine(
            "North Dock",
            NewLine.FIRST_TEAM,
            "Yard and lift",
            new PhoneNumber(YARD),
            region,
            always,
            hour));
    return fabulum;
  }

  public int port() {
    return Integer.parseInt(
        String.valueOf(context.getEnvironment().getProperty("local.server.port")));
  }

  /** A stranger's browser. */
  public Browser browser() {
    return new Browser(port());
  }

  /** The browser of a colleague who is signed in. */
  public Browser signedIn(String name) {
    Browser browser = browser();
    browser.signIn(name, PASSWORD).require(200);
    return browser;
  }

  /** What the network's webhook call does. */
  public Webhook webhook() {
    return new Webhook(port(), SECRET, clock);
  }

  /**
   * Looks again and again until a query gives a value; for what the program does by itself. Between
   * two looks the machine is the program's.
   */
  public boolean comesTo(String query, String wanted) {
    return becomes(() -> wanted.equals(tables.queryForObject(query, String.class)));
  }

  /** The same with less patience, where it may well not. */
  public boolean comesToWithin(String query, String wanted, int millis) {
    return becomes(
        () -> wanted.equals(tables.queryForObject(query, String.class)), millis * 1_000_000L);
  }

  /** Looks again and again until something is so. */
  public boolean becomes(BooleanSupplier so) {
    return becomes(so, PATIENCE_NANOS);
  }

  private static boolean becomes(BooleanSupplier so, long patience) {
    long began = System.nanoTime();
    long waited = 0;
    while (waited < patience) {
      if (so.getAsBoolean()) {
        return true;
      }
      // What takes long is looked at less often: looking costs the processor it waits for.
      LockSupport.parkNanos(Math.min(Math.max(waited / 8, FIRST_PAUSE_NANOS), LONGEST_PAUSE_NANOS));
      waited = System.nanoTime() - began;
    }
    return false;
  }

  /** A number nobody has used in this run, in the reserved block. */
  public synchronized String freshNumber() {
    int n = nextNumber++;
    return "+1" + (312 + n / 100 - 1) + "5550" + (100 + n % 100);
  }

  /** Makes a customer who holds numbers. */
  public long customer(String name, String... numbers) {
    KeyHolder made = new GeneratedKeyHolder();
    tables.update(
        connection -> {
          PreparedStatement insert =
              connection.prepareStatement(
                  "insert into customer (name, site_id) values (?, 1)", new String[] {"id"});
          insert.setString(1, name);
          return insert;
        },
        made);
    long id = Objects.requireNonNull(made.getKey()).longValue();
    for (String number : numbers) {
      tables.update(
          "insert into number (address) select n.address from (values (?)) n (address)"
              + " where not exists (select 1 from number o where o.address = n.address)",
          number);
      tables.update(
          "insert into holding (number_id, customer_id) select id, ? from number where address = ?",
          id,
          number);
    }
    changed(id);
    return id;
  }

  /** Says something of a customer in an extra field, made when there is none of this name. */
  public long detail(long customer, String name, String words) {
    tables.update(
        "insert into detail_kind (name, type, place) select n.name, 'TEXT', 1 from (values (?)) n (name)"
            + " where not exists (select 1 from detail_kind o where o.name = n.name)",
        name);
    context.getBean(DetailKinds.class).forget();
    Long kind =
        tables.queryForObject("select id from detail_kind where name = ?", Long.class, name);
    tables.update(
        "insert into detail (customer_id, kind_id, words) values (?, ?, ?)", customer, kind, words);
    changed(customer);
    return kind == null ? 0 : kind;
  }

  private void changed(long customer) {
    context
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            status -> context.getBean(CustomerChanges.class).tell(new CustomerId(customer)));
  }

  /** Closed and started again on its folder; fresh numbers go on where they were. */
  public Fabulum again(String... more) {
    Path folder = Path.of(context.getEnvironment().getRequiredProperty("fabulum.data"));
    context.close();
    Fabulum again = start(folder, more);
    again.deletes = deletes;
    again.nextNumber = nextNumber;
    return again;
  }

  public static String reference() {
    return UUID.randomUUID().toString();
  }

  @Override
  public void close() {
    String folder = context.getEnvironment().getRequiredProperty("fabulum.data");
    context.close();
    if (deletes) {
      FileSystemUtils.deleteRecursively(new File(folder));
    }
  }
}
