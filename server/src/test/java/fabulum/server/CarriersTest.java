package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.core.task.SimpleAsyncTaskExecutor;

@OnSharedProgram
class CarriersTest {
  private static final int FIRST_JDK_WITH_VIRTUAL_THREADS = 21;
  private static final CountDownLatch HELD = new CountDownLatch(1);
  private static final CountDownLatch LET_GO = new CountDownLatch(1);

  private final Fabulum fabulum;

  CarriersTest(Fabulum fabulum) {
    this.fabulum = fabulum;
  }

  /** A class that takes long to initialize. */
  private static final class Slow {
    private static final int VALUE = initialized();

    private static int initialized() {
      HELD.countDown();
      try {
        LET_GO.await();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      return 1;
    }
  }

  @Test
  void requestsAreAnsweredWhileOthersWaitForAClass() throws Exception {
    assumeTrue(Runtime.version().feature() >= FIRST_JDK_WITH_VIRTUAL_THREADS);
    SimpleAsyncTaskExecutor virtual = new SimpleAsyncTaskExecutor();
    virtual.setVirtualThreads(true);
    try {
      for (int i = 0; i < Runtime.getRuntime().availableProcessors(); i++) {
        virtual.execute(() -> assertThat(Slow.VALUE).isEqualTo(1));
      }
      HELD.await();
      assertThat(
              CompletableFuture.supplyAsync(
                      () -> fabulum.signedIn("priya").get("/api/session").status())
                  .get(1, TimeUnit.MINUTES))
          .isEqualTo(200);
    } finally {
      LET_GO.countDown();
    }
  }
}
