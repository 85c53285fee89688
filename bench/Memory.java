import fabulum.core.access.Role;
import fabulum.demo.Volume;
import fabulum.demo.VolumeClient;
import fabulum.server.FabulumApplication;
import fabulum.server.access.StaffId;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * How much memory the packed server holds with many texts while many people work in it, each with a live stream, lists, scripts and
 * searches. Started by bench/memory with the server's jar and the options that docs/running.md gives it.
 */
public final class Memory {
  private static final int OPEN = 6_000;
  private static final int LONG_SCRIPT = 5_000;
  private static final int ROUNDS = 60;
  private static final int LIMIT = 768;
  private static final int MOST_LINES = 200;

  public static void main(String[] arguments) throws Exception {
    Path jar = Path.of(arguments[0]);
    List<String> options = List.of(arguments[1].split(" "));
    int texts = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 1_000_000;
    int staff = arguments.length > 3 ? Integer.parseInt(arguments[3]) : 50;
    Path folder = Files.createTempDirectory("fabulum-bench");
    try {
      fill(folder, texts, staff);
      measure(folder, jar, options, texts, staff);
    } finally {
      try (Stream<Path> files = Files.walk(folder)) {
        files.sorted((a, b) -> b.compareTo(a)).forEach(file -> file.toFile().delete());
      }
    }
  }

  private static void fill(Path folder, int texts, int staff) {
    try (ConfigurableApplicationContext program =
        new SpringApplication(FabulumApplication.class)
            .run("--server.port=0", "--fabulum.data=" + folder, "--fabulum.meaning.used=false", "--logging.level.root=error", "--logging.level.fabulum=error")) {
      Volume.fill(program, Instant.now(), texts, OPEN, 200, LONG_SCRIPT);
      People people = program.getBean(People.class);
      Teams teams = program.getBean(Teams.class);
      for (int i = 0; i < staff; i++) {
        StaffId one = people.add(new NewStaff(name(i), "Person " + i, "P" + i % 10, Role.LEAD, Volume.PASSWORD, false));
        teams.join(teams.named("Pier"), one);
      }
      program
          .getBean(JdbcTemplate.class)
          .update("insert into staff_permission (staff_id, permission) select id, 'SEE_ALL_LINES' from staff where sign_in_name like 'person%'");
      people.forget();
    }
  }

  private static String name(int i) {
    return "person" + i;
  }

  private static void measure(Path folder, Path jar, List<String> options, int texts, int staff) throws Exception {
    int port;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
    command.addAll(options);
    command.addAll(List.of("-jar", jar.toString(), "--server.port=" + port, "--fabulum.data=" + folder, "--fabulum.meaning.used=false"));
    Path said = folder.resolve("said.txt");
    Process server = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(said.toFile()).start();
    try {
      VolumeClient first = patient(server, port);
      System.out.printf(Locale.ROOT, "%,d texts; just started: %d MB resident%n", texts, megabytes(server, "VmRSS"));
      work(port, staff, first, server);
    } catch (ExecutionException e) {
      Files.readString(said).lines().limit(MOST_LINES).forEach(System.out::println);
      throw e;
    } finally {
      server.destroy();
      server.waitFor();
    }
  }

  private static VolumeClient patient(Process server, int port) throws Exception {
    while (server.isAlive()) {
      try {
        return new VolumeClient(port, name(0));
      } catch (IOException notYet) {
        Thread.sleep(200);
      }
    }
    throw new IllegalStateException("The server ended: " + server.exitValue());
  }

  private static void work(int port, int staff, VolumeClient first, Process server) throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(staff);
    List<Future<?>> all = new ArrayList<>();
    for (int i = 0; i < staff; i++) {
      int nth = i;
      all.add(people.submit(() -> {
        VolumeClient web = nth == 0 ? first : new VolumeClient(port, name(nth));
        web.listen("/api/live");
        dayOf(web, new Random(nth));
        return null;
      }));
    }
    for (Future<?> one : all) {
      one.get();
    }
    people.shutdown();
    people.awaitTermination(1, TimeUnit.MINUTES);
    int most = megabytes(server, "VmHWM");
    System.out.printf(
        Locale.ROOT, "%d people at work: %d MB resident, %d MB at most (limit %d): %s%n", staff, megabytes(server, "VmRSS"), most, LIMIT, most <= LIMIT ? "kept" : "NOT KEPT");
  }

  private static void dayOf(VolumeClient web, Random random) throws Exception {
    for (int round = 0; round < ROUNDS; round++) {
      web.get("/api/conversations?group=OUR_TURN");
      web.get("/api/conversations/counts");
      web.get("/api/conversations/ribbon");
      int id = round == 0 ? 2 : 1 + random.nextInt(50_000);
      web.get("/api/conversations/" + id);
      web.get("/api/conversations/" + id + "/script");
      if (round % 10 == 0) {
        web.get("/api/conversations?group=DONE");
        web.get("/api/conversations/jump?words=" + random.nextInt(1_000));
        web.get("/api/conversations/1/find?words=lift");
        web.get("/api/history");
      }
    }
  }

  private static int megabytes(Process server, String what) throws Exception {
    try (Stream<String> lines = Files.lines(Path.of("/proc", String.valueOf(server.pid()), "status"))) {
      String line = lines.filter(each -> each.startsWith(what + ":")).findFirst().orElseThrow();
      return Integer.parseInt(line.replaceAll("\\D", "")) / 1024;
    }
  }
}
