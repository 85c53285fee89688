package fabulum.core.agreement;

/** What a text is for. Customers agree to each by itself. */
public enum TextKind {
  /** Answers, and what belongs to something agreed: appointments, jobs, berths. */
  SERVICE,
  /** News and offers. */
  NEWS
}
