package fabulum.core.attachment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PictureTest {

  @Test
  void aPictureOfTooManyPixelsIsNotRead() {
    assertThat(new PictureSize(12_000, 10_000).isReadable()).isTrue();
    assertThat(new PictureSize(12_000, 10_001).isReadable()).isFalse();
    // More pixels than an int counts.
    assertThat(new PictureSize(65_500, 65_500).isReadable()).isFalse();
    assertThat(new PictureSize(20_000, 10_000).megapixels()).isEqualTo(200);
    assertThatThrownBy(() -> new PictureSize(0, 5)).isInstanceOf(IllegalArgumentException.class);
  }

  /**
   * Law: it fits, keeps its shape to a pixel, never grows; and what is read of it is enough for
   * that.
   */
  @Test
  void aPictureFitsAndKeepsItsShape() {
    Random random = new Random(62);
    for (int i = 0; i < 5_000; i++) {
      PictureSize size = new PictureSize(1 + random.nextInt(20_000), 1 + random.nextInt(20_000));
      int side = 1 + random.nextInt(3_000);
      PictureSize fit = size.within(side);
      assertThat(Math.max(fit.width(), fit.height())).isLessThanOrEqualTo(Math.max(1, side));
      assertThat(fit.width()).isLessThanOrEqualTo(size.width());
      assertThat(fit.height()).isLessThanOrEqualTo(size.height());
      double by =
          (double) Math.max(fit.width(), fit.height()) / Math.max(size.width(), size.height());
      assertThat(Math.abs(fit.width() - size.width() * by)).isLessThanOrEqualTo(1);
      assertThat(Math.abs(fit.height() - size.height() * by)).isLessThanOrEqualTo(1);
      int every = size.everyPixel(side);
      long pixels = (long) size.width() * size.height();
      assertThat(pixels / every / every).isLessThanOrEqualTo(PictureSize.MOST_READ);
      int longest = Math.max(size.width(), size.height());
      if (pixels <= PictureSize.MOST_READ) {
        assertThat(longest / every).isGreaterThanOrEqualTo(Math.min(side, longest));
      }
      if (every > 1 && pixels <= PictureSize.MOST_READ) {
        assertThat(longest / every).isLessThan(4 * side + 4);
      }
    }
  }

  @Test
  void eachWayToMakeItSmallerIsNoLargerThanTheOneBefore() {
    List<PictureSize.Reduction> steps = PictureSize.reductions();
    for (int i = 1; i < steps.size(); i++) {
      PictureSize.Reduction before = steps.get(i - 1);
      PictureSize.Reduction after = steps.get(i);
      assertThat(after.longestSide()).isLessThanOrEqualTo(before.longestSide());
      assertThat(after.longestSide() * after.quality())
          .isLessThan(before.longestSide() * before.quality());
    }
  }

  /**
   * Where the first row and the first column of what was stored lie once it stands upright, by the
   * table of Exif 2.32, 4.6.4: for example 6 is "right side, top".
   */
  @ParameterizedTest
  @CsvSource({
    "1, top, left",
    "2, top, right",
    "3, bottom, right",
    "4, bottom, left",
    "5, left, top",
    "6, right, top",
    "7, right, bottom",
    "8, left, bottom",
    "0, top, left",
    "9, top, left",
  })
  void aPictureIsTurnedAsTheCameraNoted(int orientation, String firstRow, String firstColumn) {
    Rotation turn = Rotation.ofExif(orientation);
    assertThat(turned("top", turn)).isEqualTo(firstRow);
    assertThat(turned("left", turn)).isEqualTo(firstColumn);
    assertThat(turn.isSideways()).isEqualTo(orientation >= 5 && orientation <= 8);
  }

  private static String turned(String side, Rotation turn) {
    List<String> clockwise = List.of("top", "right", "bottom", "left");
    String mirrored = turn.mirrored() && side.equals("left") ? "right" : side;
    return clockwise.get((clockwise.indexOf(mirrored) + turn.quarters()) % 4);
  }
}
