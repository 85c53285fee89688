package fabulum.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikenessTest {
  @ParameterizedTest
  @CsvSource({
    "kowalski, kowalsky, true",
    "solberg, solburg, true",
    "hyeonu, hyunwoo, true",
    "kovalchik, kowalczyk, true",
    "almsry, elmasry, true",
    "venkatraman, venkataraman, true",
    "mark, mike, false",
    "ann, ana, false",
    "dale, sale, false",
    "whitcombe, whitfield, false"
  })
  void slipsSoundsAndConsonants(String text, String name, boolean alike) {
    assertThat(Likeness.of(text, name) > 0.5).isEqualTo(alike);
  }

  @ParameterizedTest
  @CsvSource({
    "ada, ada, 1",
    "od, odd, 0",
    "hyeonu, hyunwoo, 0.8",
    "katherine, catherine, 0.8",
    "philip, filip, 0.8",
    "oster, ostar, 0.8",
    "oster, aster, 0.8",
    "oster, buster, 0",
    "lindgren, rindgren, 0.8",
    "linder, rinder, 0.8",
    "linde, rinde, 0",
    "lindqvist, lindkvisk, 0.65",
    "lindqvist, rindkvisk, 0",
    "marti, morto, 0.6",
    "almsry, elmasry, 0.65",
    "abcde, abcdefghij, 0"
  })
  void howAlikeTwoWordsAre(String text, String name, double likeness) {
    assertThat(Likeness.of(text, name)).isEqualTo(likeness);
    assertThat(Likeness.of(name, text)).isEqualTo(likeness);
  }

  /** Spellings that one hears alike, and the sound in letters. */
  @ParameterizedTest
  @CsvSource({
    "wojcik, vojsik",
    "voycik, vosik",
    "hyunwoo, hunu",
    "schaefer, saefer",
    "cathy, kati",
    "celia, selia",
    "quincy, kuinsi",
    "xanthe, ksant",
    "yates, iates",
    "zoe, soe",
    "kyle, kl",
    "owen, oven",
    "edward, edard",
    "ahmad, amad",
    "rosemarie, rosemari",
    "lee, li",
    "joe, joe",
    "brooke, bruk"
  })
  void aWordSoundsAsItsLettersSay(String word, String sound) {
    assertThat(Likeness.sound(word)).isEqualTo(sound);
  }

  /** Against the plain recurrence over all pairs, without limit and without reusing rows. */
  @Test
  void theDistanceIsThatOfThePlainRecurrence() {
    Random random = new Random(3);
    for (int i = 0; i < 3_000; i++) {
      String a = word(random);
      String b = word(random);
      assertThat(Likeness.distance(a, b, 2)).as("%s %s", a, b).isEqualTo(Math.min(3, plain(a, b)));
    }
  }

  private static String word(Random random) {
    StringBuilder word = new StringBuilder();
    for (int n = random.nextInt(7); n > 0; n--) {
      word.append((char) ('a' + random.nextInt(3)));
    }
    return word.toString();
  }

  private static int plain(String a, String b) {
    int[][] d = new int[a.length() + 1][b.length() + 1];
    for (int i = 0; i <= a.length(); i++) {
      for (int j = 0; j <= b.length(); j++) {
        if (i == 0 || j == 0) {
          d[i][j] = i + j;
          continue;
        }
        int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
        d[i][j] = Math.min(Math.min(d[i - 1][j], d[i][j - 1]) + 1, d[i - 1][j - 1] + change);
        boolean swapped =
            i > 1
                && j > 1
                && a.charAt(i - 1) == b.charAt(j - 2)
                && a.charAt(i - 2) == b.charAt(j - 1);
        d[i][j] = swapped ? Math.min(d[i][j], d[i - 2][j - 2] + 1) : d[i][j];
      }
    }
    return d[a.length()][b.length()];
  }
}
