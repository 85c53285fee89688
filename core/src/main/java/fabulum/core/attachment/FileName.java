package fabulum.core.attachment;

import fabulum.core.text.OneLine;

/** Names of files as they came from elsewhere. */
public final class FileName {
  /** In characters, as UTF-16 counts them. */
  public static final int LONGEST = 100;

  private static final int LONGEST_ENDING = 10;

  private FileName() {}

  /**
   * A name that is safe to show and to save under: without folders, control characters and marks
   * that turn the direction of words (with which {@code gpj.exe} reads as a picture), and not too
   * long; then its ending is kept. {@code ../../etc/passwd} is {@code passwd}.
   *
   * @param nameless what a file is called that has no name
   */
  public static String clean(String name, String nameless) {
    String last = name.substring(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
    StringBuilder kept = new StringBuilder();
    last.codePoints()
        .filter(one -> OneLine.is(Character.toString(one)))
        .filter(one -> "<>:\"|?*".indexOf(one) < 0)
        .filter(one -> Character.getType(one) != Character.SURROGATE)
        .forEach(kept::appendCodePoint);
    String clean = kept.toString().strip().replaceFirst("^[.\\s]+", "");
    return clean.isEmpty() ? nameless : cut(clean);
  }

  private static String cut(String name) {
    if (name.length() <= LONGEST) {
      return name;
    }
    String ending = ending(name);
    int end = LONGEST - ending.length();
    if (Character.isHighSurrogate(name.charAt(end - 1))) {
      end--;
    }
    return name.substring(0, end).stripTrailing() + ending;
  }

  /** The ending with its full stop, such as {@code .pdf}; empty when there is none. */
  static String ending(String name) {
    int stop = name.lastIndexOf('.');
    return stop <= 0 || name.length() - stop > LONGEST_ENDING ? "" : name.substring(stop);
  }

  /** The same name with another ending; {@code heron.webp} as {@code .jpg} is {@code heron.jpg}. */
  public static String as(String name, String ending) {
    String base = name.substring(0, name.length() - ending(name).length());
    return cut(base + ending);
  }
}
