package fabulum.server.mail;

/** There is mail to go. */
record MailFilled() {}
