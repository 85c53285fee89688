package fabulum.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.TypeHandler;
import org.jspecify.annotations.Nullable;

/**
 * Makes a value from a whole row, by the position of its columns; for rows that come by the
 * hundred.
 */
public abstract class RowHandler<T> implements TypeHandler<T> {

  /** The value of this row. */
  protected abstract T read(Columns row) throws SQLException;

  @Override
  public final T getResult(ResultSet rows, String firstColumn) throws SQLException {
    return read(new Columns(rows));
  }

  @Override
  public final T getResult(ResultSet rows, int column) throws SQLException {
    return read(new Columns(rows));
  }

  @Override
  public final T getResult(CallableStatement call, int column) {
    throw new UnsupportedOperationException("Rows are read from queries.");
  }

  @Override
  public final void setParameter(
      PreparedStatement statement, int i, @Nullable T value, @Nullable JdbcType type) {
    throw new UnsupportedOperationException("Rows are only read.");
  }
}
