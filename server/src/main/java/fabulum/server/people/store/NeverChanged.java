package fabulum.server.people.store;

import java.sql.Connection;
import java.sql.SQLException;
import org.h2.api.Trigger;
import org.jspecify.annotations.Nullable;

/** Stands before a table whose rows are added and never touched again. */
public final class NeverChanged implements Trigger {

  @Override
  public void fire(Connection connection, Object @Nullable [] before, Object @Nullable [] after)
      throws SQLException {
    throw new SQLException("What is in the record stays as it is.");
  }
}
