package fabulum.core.attachment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FileNameTest {

  @ParameterizedTest
  @CsvSource({
    "estimate.pdf, estimate.pdf",
    "../../etc/passwd, passwd",
    "C:\\Users\\Maren\\lift plan.docx, lift plan.docx",
    "' .hidden', hidden",
    "a<b>:c|d?.txt, abcd.txt",
    "photo\u202egpj.exe, photogpj.exe",
    "/, file",
    "..., file",
    "'', file",
  })
  void aNameIsSafeToShowAndToSaveUnder(String came, String clean) {
    assertThat(FileName.clean(came, "file")).isEqualTo(clean);
  }

  @Test
  void aLongNameKeepsItsEnding() {
    String clean = FileName.clean("a".repeat(496) + ".pdf", "file");
    assertThat(clean).hasSize(FileName.LONGEST).endsWith("aaa.pdf");
    // A character of two units is not cut in the middle.
    String wide = FileName.clean("x" + "\ud83d\udea4".repeat(300) + ".png", "file");
    assertThat(wide).endsWith(".png").hasSizeLessThanOrEqualTo(FileName.LONGEST);
    assertThat(wide.codePoints().filter(one -> Character.getType(one) == Character.SURROGATE))
        .isEmpty();
  }

  @Test
  void anotherEndingTakesThePlaceOfTheOneThatWasThere() {
    assertThat(FileName.as("heron.webp", ".jpg")).isEqualTo("heron.jpg");
    assertThat(FileName.as("heron", ".jpg")).isEqualTo("heron.jpg");
    assertThat(FileName.as(".webp", ".jpg")).isEqualTo(".webp.jpg");
    assertThat(FileName.as("v1.2 of the plan of it all", ".pdf"))
        .isEqualTo("v1.2 of the plan of it all.pdf");
  }

  /**
   * Law: whatever came, what is kept is short, of one line, and names no folder; cleaned again it
   * stays.
   */
  @Test
  void everyNameIsCleanOnce() {
    Random random = new Random(61);
    String pool = "ab. /\\\u0000\n\u202e\ud83d\udea4\ud800:?é漢";
    for (int i = 0; i < 3_000; i++) {
      StringBuilder made = new StringBuilder();
      for (int length = random.nextInt(250); length > 0; length--) {
        made.append(pool.charAt(random.nextInt(pool.length())));
      }
      String clean = FileName.clean(made.toString(), "file");
      assertThat(clean).isNotBlank().hasSizeLessThanOrEqualTo(FileName.LONGEST);
      assertThat(clean).doesNotContain("/", "\\", "\n", "\u0000", "\u202e", ":", "?");
      assertThat(clean).doesNotStartWith(".");
      assertThat(FileName.clean(clean, "file")).isEqualTo(clean);
    }
  }
}
