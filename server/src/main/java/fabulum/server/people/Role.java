package fabulum.server.people;

/** What somebody is in the front office. */
public enum Role {
  LEAD,
  STAFF
}
