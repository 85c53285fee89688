package fabulum.core.search;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import fabulum.core.text.Tokens;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The words of a text as they are searched. {@code Lift-out at 555-0142, señor 🙂} has {@code lift
 * out at 555 0142 senor 🙂}, and the number {@code #5550142} where its first piece stands.
 */
public final class Terms {
  /** Digits people write in pieces: 7 to 15 of them, as E.164 has at most 15. */
  private static final Pattern IN_PIECES =
      Pattern.compile(
          "(?<![\\p{L}\\p{N}])\\+?\\(?\\p{Nd}(?:[\\s.()/\\-\\u2010-\\u2013]{0,2}\\p{Nd}){6,14}(?![\\p{L}\\p{N}])");

  private static final Pattern THOUSANDS =
      Pattern.compile(
          "(?<![\\p{N}.,])\\p{Nd}{1,3}(?:[,.'\\u2019\\u00a0\\u202f]\\p{Nd}{3})+(?!\\p{N}|[.,'\\u2019]\\p{N}{3})");

  private static final Pattern WRITTEN =
      Pattern.compile(
          "[\\p{L}\\p{N}][\\p{L}\\p{N}\\p{M}\\p{Cf}]*(?:['\\u2018\\u2019\\u02bc\\u00b4`](?=\\p{L})[\\p{L}\\p{N}\\p{M}\\p{Cf}]+)*");

  private static final int NATIONAL = 10;
  private static final int LOCAL = 7;

  private final String text;
  private final List<Term> terms = new ArrayList<>();

  private Terms(String text) {
    this.text = text;
  }

  /** The terms of a text, in order. */
  public static List<Term> of(String text) {
    Terms read = new Terms(text);
    read.walk();
    return List.copyOf(read.terms);
  }

  private void walk() {
    Matcher written = WRITTEN.matcher(text);
    Numbers numbers = new Numbers(text);
    int at = 0;
    while (at < text.length()) {
      if (written.find()) {
        emojiUntil(at, written.start());
        word(written.start(), written.end(), numbers);
        at = written.end();
      } else {
        emojiUntil(at, text.length());
        at = text.length();
      }
    }
  }

  private int next() {
    return terms.isEmpty() ? 0 : terms.get(terms.size() - 1).position() + 1;
  }

  private void word(int from, int to, Numbers numbers) {
    int first = next();
    numbers
        .beginningAt(from)
        .forEach(digits -> terms.add(new Term(digits, digits, first, from, numbers.end(from, to))));
    String written = text.substring(from, to);
    int position = first;
    for (String plain : Tokens.of(written)) {
      terms.add(new Term(withDigits(plain), lower(written), position++, from, to));
    }
  }

  /** Digits of every script as those of ASCII. */
  private static String withDigits(String plain) {
    if (plain.chars().noneMatch(c -> c > '9' && Character.isDigit(c))) {
      return plain;
    }
    StringBuilder same = new StringBuilder();
    plain
        .codePoints()
        .map(point -> Character.isDigit(point) ? '0' + Character.digit(point, 10) : point)
        .forEach(same::appendCodePoint);
    return same.toString();
  }

  private static String lower(String written) {
    boolean same = Normalizer.isNormalized(written, Normalizer.Form.NFKC);
    return (same ? written : Normalizer.normalize(written, Normalizer.Form.NFKC))
        .toLowerCase(Locale.ROOT);
  }

  private void emojiUntil(int from, int to) {
    int at = from;
    while (at < to) {
      int end = Emoji.end(text, at, to);
      if (end > at) {
        String plain = Emoji.plain(text.substring(at, end));
        terms.add(new Term(plain, plain, next(), at, end));
        at = end;
      } else {
        at += Character.charCount(text.codePointAt(at));
      }
    }
  }

  /** A number however it was written, as it is compared: its digits. */
  static String number(String written) {
    String digits = digits(written);
    return Term.NUMBER
        + (digits.length() > NATIONAL ? digits.substring(digits.length() - NATIONAL) : digits);
  }

  /** The digits of a number that has marks between its thousands; empty for anything else. */
  static Optional<String> thousands(String words) {
    return THOUSANDS.matcher(words).matches() ? Optional.of(digits(words)) : Optional.empty();
  }

  /** Numbers in pieces in what was typed, with where they stand. */
  static Matcher numbersIn(String typed) {
    return IN_PIECES.matcher(typed);
  }

  private static String digits(String written) {
    StringBuilder digits = new StringBuilder();
    written
        .codePoints()
        .filter(Character::isDigit)
        .forEach(point -> digits.append(Character.digit(point, 10)));
    return digits.toString();
  }

  /** Numbers of the text that are written in pieces. */
  private static final class Numbers {
    private record Found(int from, int to, List<String> plain) {}

    private final List<Found> found = new ArrayList<>();

    Numbers(String text) {
      if (text.codePoints().noneMatch(Character::isDigit)) {
        return;
      }
      Matcher pieces = IN_PIECES.matcher(text);
      while (pieces.find()) {
        String digits = digits(pieces.group());
        List<String> plain = new ArrayList<>(List.of(Term.NUMBER + digits));
        for (int length : new int[] {NATIONAL, LOCAL}) {
          if (digits.length() > length) {
            plain.add(Term.NUMBER + digits.substring(digits.length() - length));
          }
        }
        found.add(new Found(firstDigit(text, pieces.start()), pieces.end(), plain));
      }
      Matcher thousands = THOUSANDS.matcher(text);
      while (thousands.find()) {
        found.add(
            new Found(thousands.start(), thousands.end(), List.of(digits(thousands.group()))));
      }
    }

    private static int firstDigit(String text, int from) {
      int at = from;
      while (!Character.isDigit(text.charAt(at))) {
        at++;
      }
      return at;
    }

    List<String> beginningAt(int from) {
      return found.stream()
          .filter(one -> one.from() == from)
          .flatMap(one -> one.plain().stream())
          .toList();
    }

    int end(int from, int usual) {
      return found.stream()
          .filter(one -> one.from() == from)
          .mapToInt(Found::to)
          .max()
          .orElse(usual);
    }
  }

  /** Pictures among the words (Unicode Technical Standard 51). */
  private static final class Emoji {
    /** The copyright sign is the first of them. */
    private static final int FIRST = 0xA9;

    private static final int JOINER = 0x200D;
    private static final int AS_PICTURE = 0xFE0F;

    private Emoji() {}

    /** Where the emoji at a place ends; that place where none begins. */
    static int end(String text, int from, int to) {
      int first = text.codePointAt(from);
      if (!begins(first)) {
        return from;
      }
      int at = from + Character.charCount(first);
      if (isFlag(first) && at < to && isFlag(text.codePointAt(at))) {
        return at + Character.charCount(text.codePointAt(at));
      }
      while (at < to && goesOn(text, at)) {
        at += Character.charCount(text.codePointAt(at));
      }
      return at;
    }

    private static boolean begins(int point) {
      return point >= FIRST
          && (UCharacter.hasBinaryProperty(point, UProperty.EXTENDED_PICTOGRAPHIC)
              || isFlag(point));
    }

    private static boolean isFlag(int point) {
      return UCharacter.hasBinaryProperty(point, UProperty.REGIONAL_INDICATOR);
    }

    private static boolean goesOn(String text, int at) {
      int point = text.codePointAt(at);
      return point == JOINER
          || point == AS_PICTURE
          || UCharacter.hasBinaryProperty(point, UProperty.EMOJI_MODIFIER)
          || text.codePointBefore(at) == JOINER;
    }

    /** Without the colour of skin, which nobody searches for. */
    static String plain(String emoji) {
      return emoji
          .codePoints()
          .filter(point -> point != AS_PICTURE)
          .filter(point -> !UCharacter.hasBinaryProperty(point, UProperty.EMOJI_MODIFIER))
          .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
          .toString();
    }
  }
}
