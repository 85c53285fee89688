package fabulum.server.mail.store;

/** A row of mail that is still to go. */
public record MailRow(
    long id, String reference, String address, String subject, String words, int attempts) {

  @Override
  public String toString() {
    return "MailRow[" + id + "]";
  }
}
