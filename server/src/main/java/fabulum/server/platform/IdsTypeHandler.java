package fabulum.server.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Ids as one SQL array, for {@code id = any(?)}. The statement is the same however many there are,
 * so that the database keeps its plan, where each length of an IN list is a statement of its own.
 * Only for parameters, where a mapper names it.
 */
@Component
@MappedTypes(IdsTypeHandler.class)
public class IdsTypeHandler extends BaseTypeHandler<List<Long>> {
  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, List<Long> ids, @Nullable JdbcType type)
      throws SQLException {
    statement.setArray(i, statement.getConnection().createArrayOf("bigint", ids.toArray()));
  }

  @Override
  public List<Long> getNullableResult(ResultSet row, String column) {
    throw new UnsupportedOperationException("Ids are only given, not read.");
  }

  @Override
  public List<Long> getNullableResult(ResultSet row, int column) {
    throw new UnsupportedOperationException("Ids are only given, not read.");
  }

  @Override
  public List<Long> getNullableResult(CallableStatement call, int column) {
    throw new UnsupportedOperationException("Ids are only given, not read.");
  }
}
