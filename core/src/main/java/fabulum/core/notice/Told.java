package fabulum.core.notice;

/** Whom an escalation step alerts. */
public enum Told {
  /** Whoever owns the conversation; nobody while it is nobody's. */
  OWNER,
  /** Everybody of the team in whose hands it is. */
  TEAM,
  /** All leads. */
  LEADS,
  /** One person, whoever has the conversation. */
  PERSON
}
