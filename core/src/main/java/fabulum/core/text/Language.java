package fabulum.core.text;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** A language in which customers write. */
public enum Language {
  /** English. */
  EN,
  /** Spanish. */
  ES,
  /** French. */
  FR,
  /** German. */
  DE,
  /** Portuguese. */
  PT,
  /** Italian. */
  IT,
  /** Dutch. */
  NL,
  /** Polish. */
  PL;

  /** Its code by ISO 639-1, such as {@code es}. */
  public String code() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The language with a code; empty for one that is not known. */
  public static Optional<Language> find(String code) {
    return Arrays.stream(values()).filter(one -> one.code().equals(code)).findFirst();
  }

  /** The language that a person means by its code or its name in English; empty for none. */
  public static Optional<Language> read(String words) {
    String plain = words.strip().toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(one -> one.code().equals(plain) || one.english().equals(plain))
        .findFirst();
  }

  private String english() {
    return new Locale(code()).getDisplayLanguage(Locale.ENGLISH).toLowerCase(Locale.ROOT);
  }

  /** The codes of all of them, as a sentence lists them. */
  public static String codes() {
    return Arrays.stream(values()).map(Language::code).collect(Collectors.joining(", "));
  }
}
