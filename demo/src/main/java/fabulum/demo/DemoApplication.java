package fabulum.demo;

import fabulum.server.FabulumApplication;
import org.springframework.boot.SpringApplication;

/** Starts Fabulum with the demonstration business in it. */
public final class DemoApplication {

  private DemoApplication() {}

  /** Runs until stopped. */
  public static void main(String[] args) {
    FabulumApplication.start(
        new SpringApplication(FabulumApplication.class, DemoConfiguration.class), args);
  }
}
