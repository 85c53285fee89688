package fabulum.server.platform;

import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.regex.Pattern;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.apache.ibatis.type.StringTypeHandler;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Strings as every database can keep them: half of a surrogate pair is no character, and PostgreSQL
 * has no place for U+0000. Both become U+FFFD, as in the Unicode Standard, section 5.22.
 */
@Component
@MappedTypes(String.class)
public class WordsTypeHandler extends StringTypeHandler {
  /** Whole pairs of surrogates are one character here, and stay. */
  private static final Pattern NONE = Pattern.compile("[\\x00\\p{Cs}]");

  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, String value, @Nullable JdbcType type)
      throws SQLException {
    statement.setString(i, kept(value));
  }

  /** A string as it will be read again. */
  static String kept(String value) {
    return NONE.matcher(value).replaceAll("\uFFFD");
  }
}
