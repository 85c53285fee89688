package fabulum.server.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

class InstantWriterTest {
  private static final long SEED = 20_261_130;

  private final JsonMapper json =
      JsonMapper.builder().addModule(new SimpleModule().addSerializer(new InstantWriter())).build();

  @ParameterizedTest
  @ValueSource(
      strings = {
        "2026-06-09T19:05:00Z",
        "2026-06-09T19:05:00.100Z",
        "2026-06-09T19:05:00.000001Z",
        "2026-06-09T19:05:00.000000001Z",
        "1969-12-31T23:59:59.999Z",
        "0000-01-01T00:00:00Z",
        "9999-12-31T23:59:59.999999999Z",
        "-0001-12-31T23:59:59Z",
        "+10000-01-01T00:00:00Z",
        "+1000000000-12-31T23:59:59.999999999Z"
      })
  void anInstantIsWrittenAsItSaysItself(String text) {
    assertThat(json.writeValueAsString(Instant.parse(text))).isEqualTo('"' + text + '"');
  }

  /** Its number of days has more than 32 bits, and the lower of them are those of a day of 2024. */
  @Test
  void aYearFarAwayIsNotTakenForOneOfOurTime() {
    Instant far = Instant.ofEpochSecond(((1L << 32) + 19_800) * 86_400);
    assertThat(json.writeValueAsString(far)).isEqualTo('"' + far.toString() + '"');
  }

  @Test
  void soIsEveryOther() {
    Random random = new Random(SEED);
    for (int i = 0; i < 20_000; i++) {
      long nanos = random.nextInt(1_000_000_000) / (long) Math.pow(1_000, i % 4);
      Instant at =
          Instant.ofEpochSecond(
              random.nextLong(-70_000_000_000L, 260_000_000_000L),
              nanos * (long) Math.pow(1_000, i % 4));
      assertThat(json.writeValueAsString(at)).isEqualTo('"' + at.toString() + '"');
    }
  }
}
