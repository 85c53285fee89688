package fabulum.server.people.store;

import fabulum.core.access.Role;
import fabulum.server.accounts.AccountState;
import fabulum.server.people.Mark;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of staff. */
public record StaffRow(
    long id,
    String signInName,
    String fullName,
    String initials,
    Role role,
    String passwordHash,
    boolean mustChangePassword,
    AccountState standing,
    @Nullable String email,
    Mark.Shape shape,
    Mark.Ink ink,
    @Nullable Integer workLimit,
    @Nullable String zone,
    @Nullable Boolean inByHand,
    @Nullable Instant byHandAt,
    @Nullable Long coverId,
    @Nullable Instant lastAnswerAt,
    boolean letterKeys,
    String inbox,
    boolean stays,
    @Nullable Integer pauseSeconds,
    boolean looksFirst,
    boolean enterSends,
    boolean secondLook) {

  /** Whether they may come in. */
  public boolean isActive() {
    return standing == AccountState.ACTIVE;
  }

  @Override
  public String toString() {
    return "StaffRow[" + id + "]";
  }
}
