package fabulum.core.agreement;

/** On what ground an agreement was given or withdrawn. */
public enum Ground {
  /** They wrote first, which allows answers. */
  WROTE_FIRST,
  /** A form that they filled in. */
  FORM,
  /** They said so to a member of staff. */
  BY_WORD,
  /** It came with imported data. */
  IMPORT,
  /** They texted a keyword. */
  KEYWORD
}
