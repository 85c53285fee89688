package fabulum.server.people;

import fabulum.server.access.StaffId;
import fabulum.server.mail.Mail;
import fabulum.server.people.store.InvitationMapper;
import fabulum.server.people.store.InvitationRow;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.Kind;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Links of invitations: each works once and ends after three days. Only its hash is kept. */
@Component
class InvitationLinks {
  private static final Duration LASTS = Duration.ofDays(3);
  private static final int SECRET_OCTETS = 32;

  private final InvitationMapper invitations;
  private final People people;
  private final Mail mail;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  InvitationLinks(InvitationMapper invitations, People people, Mail mail, Clock clock) {
    this.invitations = invitations;
    this.people = people;
    this.mail = mail;
    this.clock = clock;
  }

  /**
   * Makes a link and mails it; earlier links of the same person end.
   *
   * @param page where the application is found
   * @return the link where there is no mail server to bring it; null when it was mailed
   */
  @Nullable String send(StaffRow row, StaffId by, String page) {
    byte[] octets = new byte[SECRET_OCTETS];
    random.nextBytes(octets);
    String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
    Instant now = clock.instant();
    invitations.endAllOf(row.id(), now);
    invitations.insert(row.id(), hash(secret), by.value(), now, now.plus(LASTS));
    String link = page + "/invitation/" + secret;
    String words =
        """
        Hello %s,

        %s asks you to join the front office on Fabulum. Follow this link to choose your password:

        %s

        The link works once, and for three days.
        """
            .formatted(row.fullName(), people.get(by).name(), link);
    mail.send(
        String.valueOf(row.email()), "Join the front office", words, "invitation-" + hash(secret));
    return mail.isSetUp() ? null : link;
  }

  private static String hash(String secret) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException missing) {
      throw new IllegalStateException(missing);
    }
  }

  /**
   * The invitation that a link is for. Refuses a link that does not work any more, with the reason.
   */
  InvitationRow standing(String secret) {
    InvitationRow row =
        invitations.find(hash(secret)).orElseThrow(() -> Problem.notFound("invitation"));
    if (row.usedAt() != null) {
      throw Problem.conflict(
          Kind.ENDED, "This link was used already. Sign in, or ask a lead for a new one.");
    }
    if (!clock.instant().isBefore(row.endsAt())) {
      throw Problem.conflict(Kind.ENDED, "This link has expired. Ask a lead for a new one.");
    }
    return row;
  }

  /** Uses an invitation up. Whether it still could be. */
  boolean use(InvitationRow invitation) {
    return invitations.use(invitation.id(), clock.instant()) == 1;
  }
}
