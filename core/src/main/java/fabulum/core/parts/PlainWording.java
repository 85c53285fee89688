package fabulum.core.parts;

import java.util.HashMap;
import java.util.Map;

/**
 * Plain wording for the typographic characters that writing programs put in unasked. Letters with
 * accents are left alone: they belong to words and names.
 */
public final class PlainWording {
  private static final Map<Integer, String> PLAIN = table();

  private PlainWording() {}

  public static String of(String text) {
    StringBuilder plain = new StringBuilder(text.length());
    text.codePoints()
        .forEach(c -> {
          String instead = PLAIN.get(c);
          if (instead == null) {
            plain.appendCodePoint(c);
          } else {
            plain.append(instead);
          }
        });
    return plain.toString();
  }

  private static Map<Integer, String> table() {
    Map<Integer, String> table = new HashMap<>();
    put(table, "'", "‘’‚‛′‹›`´ʼ");
    put(table, "\"", "“”„‟″«»");
    put(table, "-", "‐‑‒–—―−•·");
    put(table, "...", "…");
    put(
        table,
        " ",
        "\u00a0\u1680\u2000\u2001\u2002\u2003\u2004\u2005\u2006\u2007\u2008\u2009\u200a\u202f\u205f\u3000\t");
    put(table, "", "\u00ad\u200b\u200c\u2060\ufeff");
    put(table, "\n", "\u2028\u2029\u0085");
    put(table, "fi", "ﬁ");
    put(table, "fl", "ﬂ");
    put(table, "1/2", "½");
    put(table, "1/4", "¼");
    put(table, "3/4", "¾");
    put(table, "x", "×");
    put(table, "/", "⁄∕");
    return Map.copyOf(table);
  }

  private static void put(Map<Integer, String> table, String plain, String characters) {
    characters.codePoints().forEach(c -> table.put(c, plain));
  }
}
