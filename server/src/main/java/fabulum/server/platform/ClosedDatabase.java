package fabulum.server.platform;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;
import org.h2.api.ErrorCode;

/**
 * A database that met a full disk while it wrote closes itself for good, and connections to it stay
 * in the pool as if they were sound. They are thrown away; the next one opens the file again, as it
 * was after the last commit.
 */
final class ClosedDatabase implements SQLExceptionOverride {
  private static final Set<Integer> CLOSED =
      Set.of(ErrorCode.DATABASE_IS_CLOSED, ErrorCode.DATABASE_CALLED_AT_SHUTDOWN);

  private final Runnable throwAllAway;

  ClosedDatabase(Runnable throwAllAway) {
    this.throwAllAway = throwAllAway;
  }

  @java.lang.Override
  public Override adjudicate(SQLException failure) {
    if (!CLOSED.contains(failure.getErrorCode())) {
      return Override.CONTINUE_EVICT;
    }
    throwAllAway.run();
    return Override.MUST_EVICT;
  }
}
