package fabulum.standins;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the stand-ins. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class StandinsApplication {

  /** Runs until stopped. */
  public static void main(String[] args) {
    SpringApplication.run(StandinsApplication.class, args);
  }
}
