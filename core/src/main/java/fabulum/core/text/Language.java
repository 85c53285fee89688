package fabulum.core.text;

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
  PL
}
