package fabulum.server.platform;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/**
 * The columns of a row, read from left to right. Asked for by name, each value costs the driver a
 * search and the mapper a look at its type; over a list that is more than the query itself.
 */
public final class Columns {
  private final ResultSet row;
  private int last;

  Columns(ResultSet row) {
    this.row = row;
  }

  /** The next column, which is never null. */
  public long number() throws SQLException {
    return row.getLong(++last);
  }

  /** The next column. */
  public @Nullable Long numberOrNull() throws SQLException {
    long value = row.getLong(++last);
    return row.wasNull() ? null : value;
  }

  /** The next column, which is never null. */
  public boolean flag() throws SQLException {
    return row.getBoolean(++last);
  }

  /** The next column, which is never null. */
  public String words() throws SQLException {
    return row.getString(++last);
  }

  /** The next column. */
  public @Nullable String wordsOrNull() throws SQLException {
    return row.getString(++last);
  }

  /** The next column, which is never null. */
  public Instant instant() throws SQLException {
    return row.getObject(++last, OffsetDateTime.class).toInstant();
  }

  /** The next column. */
  public @Nullable Instant instantOrNull() throws SQLException {
    OffsetDateTime value = row.getObject(++last, OffsetDateTime.class);
    return value == null ? null : value.toInstant();
  }

  /** The next column as a constant of an enum, which is never null. */
  public <E extends Enum<E>> E constant(Class<E> type) throws SQLException {
    return Enum.valueOf(type, words());
  }

  /** The next column as a constant of an enum. */
  public <E extends Enum<E>> @Nullable E constantOrNull(Class<E> type) throws SQLException {
    String name = wordsOrNull();
    return name == null ? null : Enum.valueOf(type, name);
  }
}
