package fabulum.standins;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/**
 * Says of numbers whether they can receive texts, who carries them, and sometimes the name they are
 * registered under. What was not said of a number is made up of its digits, always the same.
 */
@RestController
class NumberCheckController {
  private static final int MOST = 100;
  private static final List<String> CARRIERS =
      List.of("Lakeshore Mobile", "Tern Wireless", "Northline");

  private final Settings settings;
  private final Map<String, Entry> said = new ConcurrentHashMap<>();
  private final AtomicInteger failures = new AtomicInteger();
  private final AtomicInteger asked = new AtomicInteger();

  NumberCheckController(Settings settings) {
    this.settings = settings;
  }

  /** What is known of a number. */
  record Entry(String reach, @Nullable String carrier, @Nullable String registeredTo) {}

  record Question(List<String> numbers) {}

  record Checked(
      String number, String reach, @Nullable String carrier, @Nullable String registeredTo) {}

  record Answer(List<Checked> numbers) {}

  record CheckFaults(int fail) {}

  record Asked(int numbers) {}

  @PostMapping("/number-checks")
  ResponseEntity<Answer> check(
      @RequestHeader(name = HttpHeaders.AUTHORIZATION, defaultValue = "") String shown,
      @RequestBody Question question) {
    byte[] expected = ("Bearer " + settings.key()).getBytes(StandardCharsets.UTF_8);
    if (!MessageDigest.isEqual(expected, shown.getBytes(StandardCharsets.UTF_8))) {
      return ResponseEntity.status(401).build();
    }
    if (question.numbers().size() > MOST) {
      return ResponseEntity.status(413).build();
    }
    if (failures.getAndUpdate(left -> Math.max(0, left - 1)) > 0) {
      return ResponseEntity.status(503).build();
    }
    asked.addAndGet(question.numbers().size());
    return ResponseEntity.ok(new Answer(question.numbers().stream().map(this::checked).toList()));
  }

  private Checked checked(String number) {
    Entry entry = said.getOrDefault(number, madeUp(number));
    return new Checked(number, entry.reach(), entry.carrier(), entry.registeredTo());
  }

  /** Of ten numbers one is a landline and one belongs to nobody. */
  private static Entry madeUp(String number) {
    char last = number.charAt(number.length() - 1);
    int sum = number.chars().filter(Character::isDigit).map(digit -> digit - '0').sum();
    if (last == '9') {
      return new Entry("UNREACHABLE", null, null);
    }
    return last == '7'
        ? new Entry("LANDLINE", "Lakeshore Telephone", null)
        : new Entry("MOBILE", CARRIERS.get(sum % CARRIERS.size()), null);
  }

  /** Says something else of a number from now on. */
  @PutMapping("/number-checks/{number}")
  void say(@PathVariable String number, @RequestBody Entry entry) {
    said.put(number, entry);
  }

  /** Refuses the next questions: as many as this. */
  @PutMapping("/number-checks/faults")
  void misbehave(@RequestBody CheckFaults faults) {
    failures.set(faults.fail());
  }

  /** About how many numbers it was asked, those asked about again included. */
  @GetMapping("/number-checks/asked")
  Asked asked() {
    return new Asked(asked.get());
  }
}
