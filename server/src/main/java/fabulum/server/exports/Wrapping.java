package fabulum.server.exports;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** Words in lines of a width, with what a font can show. */
final class Wrapping {
  private static final float THOUSANDTHS = 1_000;

  private final PDFont font;
  private final Map<Integer, String> shown = new HashMap<>();
  private final Map<Integer, Float> widths = new HashMap<>();

  Wrapping(PDFont font) {
    this.font = font;
  }

  /** The text with the characters the font lacks as their names in brackets, by Unicode. */
  String known(String words) {
    StringBuilder known = new StringBuilder();
    words.codePoints().forEach(point -> known.append(shown.computeIfAbsent(point, this::show)));
    return known.toString();
  }

  private String show(int point) {
    String one = Character.toString(point);
    if (point == '\n') {
      return one;
    }
    if (Character.isISOControl(point) || Character.isSpaceChar(point)) {
      return " ";
    }
    if (Character.getType(point) == Character.FORMAT || isVariation(point)) {
      return "";
    }
    try {
      font.encode(one);
      return one;
    } catch (IOException | IllegalArgumentException lacking) {
      String name = Character.getName(point);
      return "["
          + (name == null ? "U+" + Integer.toHexString(point) : name.toLowerCase(Locale.ROOT))
          + "]";
    }
  }

  /** It only says how the character before it looks. */
  private static boolean isVariation(int point) {
    return point >= 0xFE00 && point <= 0xFE0F;
  }

  /** Lines no wider than a width; a word that is wider is broken. */
  List<String> lines(String words, float width, float size) throws IOException {
    List<String> lines = new ArrayList<>();
    for (String paragraph : known(words).split("\n", -1)) {
      StringBuilder line = new StringBuilder();
      for (String word : paragraph.split(" ")) {
        String rest = word;
        if (!line.isEmpty() && width(line + " " + rest, size) > width) {
          lines.add(line.toString());
          line.setLength(0);
        }
        while (line.isEmpty() && width(rest, size) > width) {
          int fits = fitting(rest, width, size);
          lines.add(rest.substring(0, fits));
          rest = rest.substring(fits);
        }
        line.append(line.isEmpty() ? "" : " ").append(rest);
      }
      lines.add(line.toString());
    }
    return lines;
  }

  /** The beginning of words that is no wider than a width. */
  String cut(String words, float width, float size) throws IOException {
    String known = known(words).replace('\n', ' ');
    return width(known, size) <= width ? known : known.substring(0, fitting(known, width, size));
  }

  private int fitting(String word, float width, float size) throws IOException {
    int fits = 1;
    while (fits < word.length() && width(word.substring(0, fits + 1), size) <= width) {
      fits++;
    }
    return Character.isHighSurrogate(word.charAt(fits - 1)) && fits < word.length()
        ? fits + 1
        : fits;
  }

  /** No two characters are set closer than they are wide, so the widths add up. */
  float width(String words, float size) throws IOException {
    float sum = 0;
    int at = 0;
    while (at < words.length()) {
      int point = words.codePointAt(at);
      Float known = widths.get(point);
      if (known == null) {
        known = font.getStringWidth(Character.toString(point));
        widths.put(point, known);
      }
      sum += known;
      at += Character.charCount(point);
    }
    return sum * size / THOUSANDTHS;
  }
}
