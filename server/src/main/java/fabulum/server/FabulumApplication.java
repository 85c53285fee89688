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
    SpringApplication.run(FabulumApplication.class, args);
  }
}
