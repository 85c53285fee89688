package fabulum.server.people;

import fabulum.core.access.Permission;
import fabulum.core.attendance.Presence;
import fabulum.server.accounts.AccountState;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A member of staff as leads see them.
 *
 * @param limit of open conversations on our turn; with this number they are given no more
 * @param secondLook whether their texts wait for a colleague's yes
 * @param invitationEnds while they are invited, until when the link works
 * @param in whether they are in now
 * @param why that is so
 * @param until when that will change by itself
 */
public record PersonView(
    StaffView staff,
    AccountState standing,
    @Nullable String email,
    List<Permission> permissions,
    List<Long> teams,
    @Nullable Integer limit,
    boolean secondLook,
    @Nullable Instant invitationEnds,
    boolean in,
    Presence.Why why,
    @Nullable Instant until) {}
