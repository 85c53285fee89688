package fabulum.core.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.phone.Region;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WrittenTimeTest {
  private static final ZoneId CHICAGO = ZoneId.of("America/Chicago");

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2026-06-09T14:05:00Z|US|2026-06-09T14:05:00Z",
        "2026-06-09 14:05:00+02:00|US|2026-06-09T12:05:00Z",
        "2026-06-09 14:05|US|2026-06-09T19:05:00Z",
        "2026-06-09T14:05:30.250|US|2026-06-09T19:05:30Z",
        "2026-01-09|US|2026-01-09T06:00:00Z",
        "6/9/2026 2:05 PM|US|2026-06-09T19:05:00Z",
        "06/09/26, 12:05 a.m.|US|2026-06-09T05:05:00Z",
        "6/9/2026 12:05 pm|US|2026-06-09T17:05:00Z",
        "9/6/2026 14:05|GB|2026-06-09T19:05:00Z",
        "09.06.2026 14:05|US|2026-06-09T19:05:00Z",
        "09.06.2026 14.05|DE|2026-06-09T19:05:00Z",
      })
  void timesAreReadAsProgramsWriteThem(String words, String region, Instant at) {
    assertThat(WrittenTime.read(words, CHICAGO, new Region(region))).contains(at);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "soon",
        "2026-02-30",
        "2026-06-09 25:00",
        "13/13/2026",
        "6/9/2026 14:05 pm",
        "6/9/2026 0:05 am",
        "123-06-09",
        "2026-06/09",
        "14:05"
      })
  void anythingElseIsNoTime(String words) {
    assertThat(WrittenTime.read(words, CHICAGO, new Region("US"))).isEqualTo(Optional.empty());
  }
}
