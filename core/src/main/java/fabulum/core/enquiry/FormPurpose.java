package fabulum.core.enquiry;

/** What a form on the web site asks for. */
public enum FormPurpose {
  /** A question, which becomes a text conversation. */
  ENQUIRY,
  /** Only that we may text; nothing is said. */
  AGREEMENT
}
