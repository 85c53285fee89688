package fabulum.core.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.imports.PastTextReader.PastText;
import fabulum.core.imports.PastTextReader.Terms;
import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.Target.What;
import fabulum.core.phone.NamedSender;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PastTextReaderTest {
  private static final PhoneNumber DOCK = new PhoneNumber("+19205550101");
  private static final PhoneNumber YARD = new PhoneNumber("+19205550102");

  private static final List<Target> COLUMNS =
      Stream.of(What.LINE, What.NUMBER, What.AT, What.DIRECTION, What.WORDS, What.AUTHOR)
          .map(Target::of)
          .toList();

  private static PastTextReader reader(Map<PhoneNumber, Long> lines) {
    return new PastTextReader(
        new Terms(
            Map.of("dock office", 1L),
            lines,
            ZoneId.of("America/Chicago"),
            new Region("US"),
            Instant.parse("2026-06-09T19:05:00Z")));
  }

  private final PastTextReader reader = reader(Map.of(DOCK, 1L, YARD, 2L));

  private List<String> why(String... cells) {
    return ((Refused) reader.read(COLUMNS, List.of(cells))).why();
  }

  @ParameterizedTest
  @CsvSource({
    "Dock Office,1,received,true",
    "(920) 555-0102,2,OUT,false",
    "+19205550101,1,Inbound,true"
  })
  void theLineIsNamedOrNumbered(String line, long id, String direction, boolean in) {
    PastText text =
        (PastText)
            reader.read(
                COLUMNS, List.of(line, "920 555 0134", "2025-06-09 14:05", direction, "hi", "Jo"));
    assertThat(text.line()).isEqualTo(id);
    assertThat(text.in()).isEqualTo(in);
    assertThat(text.other()).isEqualTo(new PhoneNumber("+19205550134"));
    assertThat(text.author())
        .as("only what we sent has a writer of ours")
        .isEqualTo(in ? "" : "Jo");
  }

  @Test
  void theOnlyLineNeedsNoName() {
    PastText text =
        (PastText)
            reader(Map.of(DOCK, 1L))
                .read(COLUMNS, List.of("", "PARCELS", "2025-06-09", "in", "hi", ""));
    assertThat(text.line()).isEqualTo(1);
    assertThat(text.other()).isEqualTo(new NamedSender("PARCELS"));
    assertThat(why("", "9205550134", "2025-06-09", "in", "hi"))
        .containsExactly("On which of our lines? Its name or number is needed.");
  }

  @Test
  void whatCannotBeIsRefusedWithEveryReason() {
    assertThat(why("Moon", "920 555 0102", "2026-06-09 14:06", "sideways", ""))
        .containsExactly(
            "Line: we have no line “Moon”.",
            "Number “920 555 0102” is one of our own lines.",
            "Time: it lies in the future.",
            "Direction: “sideways” is neither received nor sent.",
            "There are no words.");
    assertThat(why("Dock office", "", "", "", "x".repeat(40_001))).hasSize(4);
  }

  private RowReader.Row read(String words, String author, String id) {
    List<Target> targets =
        Stream.concat(COLUMNS.stream(), Stream.of(Target.of(What.OUTSIDE_ID))).toList();
    return reader.read(
        targets, List.of("Dock office", "920 555 0134", "2025-06-09", "sent", words, author, id));
  }

  @Test
  void whatJustFitsIsTaken() {
    PastText text = (PastText) read("w".repeat(40_000), "a".repeat(160), "i".repeat(255));
    assertThat(text.words()).hasSize(40_000);
    assertThat(text.toString()).doesNotContain("www");
    Refused refused = (Refused) read("w".repeat(40_001), "a".repeat(161), "i".repeat(256));
    assertThat(refused.why())
        .containsExactly(
            "Words: at most 40,000 characters.",
            "By: at most 160 characters.",
            "Id: at most 255 characters.");
  }

  @Test
  void whatIsTooLongForASenderIsNone() {
    assertThat(why("Dock office", "P".repeat(41), "2025-06-09", "in", "hi", ""))
        .singleElement()
        .asString()
        .startsWith("Number “PPP");
  }
}
