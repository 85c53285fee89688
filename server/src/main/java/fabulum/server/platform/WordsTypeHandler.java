package fabulum.server.platform;

import java.nio.charset.StandardCharsets;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.apache.ibatis.type.StringTypeHandler;
import org.jspecify.annotations.Nullable;

/**
 * Strings as every database can keep them: half of a surrogate pair is no character, and PostgreSQL
 * has no place for U+0000. Both become U+FFFD, as in the Unicode Standard, section 5.22.
 */
@MappedTypes(String.class)
public class WordsTypeHandler extends StringTypeHandler {
  private static final String REPLACED = "\uFFFD";

  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, String value, @Nullable JdbcType type)
      throws SQLException {
    statement.setString(i, kept(value));
  }

  /** A string as it will be read again. */
  static String kept(String value) {
    String whole =
        StandardCharsets.UTF_8.newEncoder().canEncode(value) ? value : withoutHalves(value);
    return whole.indexOf('\0') < 0 ? whole : whole.replace("\0", REPLACED);
  }

  private static String withoutHalves(String value) {
    StringBuilder kept = new StringBuilder(value.length());
    value
        .codePoints()
        .forEach(point -> {
          boolean half = point <= Character.MAX_VALUE && Character.isSurrogate((char) point);
          kept.append(half ? REPLACED : Character.toString(point));
        });
    return kept.toString();
  }
}
