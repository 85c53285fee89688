package fabulum.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Instants as timestamps in UTC. The built-in handler goes by way of local time and is an hour off
 * when clocks go back. A time outside the years 1 to 9999 is kept as the nearest one that SQL has
 * (ISO/IEC 9075-2, 4.6.2); the network may claim any.
 */
@Component
@MappedTypes(Instant.class)
public class InstantTypeHandler extends BaseTypeHandler<Instant> {
  private static final Instant FIRST = Instant.parse("0001-01-01T00:00:00Z");
  private static final Instant LAST = Instant.parse("9999-12-31T23:59:59.999Z");

  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, Instant value, @Nullable JdbcType type)
      throws SQLException {
    statement.setObject(i, within(value).atOffset(ZoneOffset.UTC));
  }

  private static Instant within(Instant value) {
    return value.isBefore(FIRST) ? FIRST : value.isAfter(LAST) ? LAST : value;
  }

  @Override
  public @Nullable Instant getNullableResult(ResultSet rows, String column) throws SQLException {
    return instant(rows.getObject(column, OffsetDateTime.class));
  }

  @Override
  public @Nullable Instant getNullableResult(ResultSet rows, int column) throws SQLException {
    return instant(rows.getObject(column, OffsetDateTime.class));
  }

  @Override
  public @Nullable Instant getNullableResult(CallableStatement call, int column)
      throws SQLException {
    return instant(call.getObject(column, OffsetDateTime.class));
  }

  private static @Nullable Instant instant(@Nullable OffsetDateTime value) {
    return value == null ? null : value.toInstant();
  }
}
