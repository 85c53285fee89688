package fabulum.server.inbox;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Sight;
import fabulum.core.sentence.Sentence;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.boot.web.server.context.WebServerApplicationContext;

@OnSharedProgram
class CountersTest {
  private static final int TEXTS = 120;
  private static final int COUNTINGS = 60;
  private static final int CROWD = 24;
  private static final int SECONDS = 20;

  private final Fabulum fabulum;

  CountersTest(Fabulum fabulum) {
    this.fabulum = fabulum;
  }

  /** More of them than connections: nobody may wait for a connection while others wait for them. */
  @Test
  void countingAnewWhileTextsArriveHoldsUpNobodyAndCountsRight() throws Exception {
    Counters tally = fabulum.context.getBean(Counters.class);
    Webhook webhook = fabulum.webhook();
    List<Callable<Integer>> acts = new ArrayList<>();
    for (int i = 0; i < TEXTS; i++) {
      String from = fabulum.freshNumber();
      acts.add(() -> webhook.text(from, Fabulum.DOCK, "all at once").status());
      if (i < COUNTINGS) {
        acts.add(() -> {
          tally.load();
          return 200;
        });
      }
    }
    ExecutorService crowd = Executors.newFixedThreadPool(CROWD);
    for (Future<Integer> act : crowd.invokeAll(acts, SECONDS, TimeUnit.SECONDS)) {
      assertThat(act.isCancelled()).as("done in time").isFalse();
      assertThat(act.get()).isEqualTo(200);
    }
    crowd.shutdown();

    Integer rows =
        fabulum.tables.queryForObject("select count(*) from conversation", Integer.class);
    assertThat(
            tally.count(Sentence.EVERYTHING, Sight.everything(1)).values().stream()
                .mapToInt(Integer::intValue)
                .sum())
        .isEqualTo(rows);
  }

  /** After a restart all browsers ask at once, and each would count everything for itself. */
  @Test
  void everythingIsCountedBeforeTheFirstRequestIsAnswered() {
    Counters tally = fabulum.context.getBean(Counters.class);
    assertThat(tally.isRunning()).isTrue();
    assertThat(tally.getPhase()).isLessThan(WebServerApplicationContext.START_STOP_LIFECYCLE_PHASE);
  }
}
