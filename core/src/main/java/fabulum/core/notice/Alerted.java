package fabulum.core.notice;

/** Whom an escalation step alerts. */
public enum Alerted {
  /** The owner of the conversation; nobody while it is nobody's. */
  OWNER,
  /** Everybody of the team in whose hands it is. */
  TEAM,
  /** All leads. */
  LEADS,
  /** One person, no matter who has the conversation. */
  PERSON
}
