package fabulum.demo;

import fabulum.server.platform.SettableClock;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Lets time pass in a demonstration that was started at a made-up moment. */
@RestController
class DemoClock {
  private static final int MOST_MINUTES = 60 * 24 * 31;

  private final Clock clock;

  DemoClock(Clock clock) {
    this.clock = clock;
  }

  record ClockAnswer(Instant now) {}

  @PostMapping("/demo/clock")
  ResponseEntity<ClockAnswer> letPass(@RequestParam int minutes) {
    if (!(clock instanceof SettableClock settable) || minutes < 0 || minutes > MOST_MINUTES) {
      return ResponseEntity.badRequest().build();
    }
    settable.advance(Duration.ofMinutes(minutes));
    return ResponseEntity.ok(new ClockAnswer(clock.instant()));
  }
}
