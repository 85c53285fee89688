package fabulum.standins;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the stand-ins. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class StandinsApplication {

  /** Runs until stopped. */
  public static void main(String[] args) {
    SpringApplication.run(StandinsApplication.class, args);
  }
}
