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

  /** Runs until stopped. */
  public static void main(String[] args) {
    start(new SpringApplication(FabulumApplication.class), args);
  }

  /** Runs until stopped. A start that fails says why in a sentence, and what to do. */
  public static void start(SpringApplication application, String... args) {
    try {
      application.run(args);
    } catch (RuntimeException failure) {
      System.err.println(StartFailure.explain(failure));
      System.exit(1);
    }
  }
}
