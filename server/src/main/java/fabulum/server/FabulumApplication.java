package fabulum.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts Fabulum. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class FabulumApplication {
  private static final String CARRIERS = "jdk.virtualThreadScheduler.parallelism";
  private static final int FEWEST_CARRIERS = 16;

  /** Runs until stopped. */
  public static void main(String[] args) {
    start(new SpringApplication(FabulumApplication.class), args);
  }

  /** Runs until stopped. A start that fails says why in a sentence, and what to do. */
  public static void start(SpringApplication application, String... args) {
    provideCarriers();
    try {
      application.run(args);
    } catch (RuntimeException failure) {
      System.err.println(StartFailure.explain(failure));
      System.exit(1);
    }
  }

  /**
   * Gives virtual threads more platform threads to run on than the machine has processors, unless
   * the start of the JVM says how many. A virtual thread that waits while a class is loaded or
   * initialized keeps its platform thread: with as many as processors, two such requests on a small
   * machine would stop all others. Works only before the first virtual thread of the process.
   */
  public static void provideCarriers() {
    if (System.getProperty(CARRIERS) == null) {
      int processors = Runtime.getRuntime().availableProcessors();
      System.setProperty(CARRIERS, String.valueOf(Math.max(FEWEST_CARRIERS, processors)));
    }
  }
}
