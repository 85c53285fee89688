package fabulum.server.platform.store;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.ParameterMapping;
import org.apache.ibatis.mapping.SqlSource;
import org.apache.ibatis.parsing.XNode;
import org.apache.ibatis.scripting.xmltags.XMLLanguageDriver;
import org.apache.ibatis.session.Configuration;
import org.jspecify.annotations.Nullable;

/**
 * Words a dynamic statement once for all parameters of the same shape. Wording one that walks some
 * lines asks dozens of small expressions, which takes as long as a third of the walk itself. All
 * its parameters are {@link Shaped}; within {@code foreach} it binds by place ({@code
 * #{choice.walked[${i}]}}), never the item itself, whose value would be part of what is remembered.
 */
public final class TextByShape extends XMLLanguageDriver {
  /** More are worded each time; there are as many as there are sizes of lists in use. */
  private static final int MOST_REMEMBERED = 1_000;

  private record Text(String sql, List<ParameterMapping> parameters) {}

  @Override
  public SqlSource createSqlSource(
      Configuration configuration, XNode script, @Nullable Class<?> parameterType) {
    SqlSource worded = super.createSqlSource(configuration, script, parameterType);
    Map<Object, Text> remembered = new ConcurrentHashMap<>();
    return parameter -> {
      Object shape = shape(parameter);
      Text text = shape == null ? null : remembered.get(shape);
      if (text != null) {
        return new BoundSql(configuration, text.sql(), text.parameters(), parameter);
      }
      BoundSql fresh = worded.getBoundSql(parameter);
      if (shape != null && remembered.size() < MOST_REMEMBERED) {
        remembered.put(shape, text(fresh));
      }
      return fresh;
    };
  }

  private static Text text(BoundSql fresh) {
    for (ParameterMapping one : fresh.getParameterMappings()) {
      if (fresh.hasAdditionalParameter(one.getProperty())) {
        throw new IllegalStateException(
            "A value of its own is bound for " + one.getProperty() + ": " + fresh.getSql());
      }
    }
    return new Text(fresh.getSql(), List.copyOf(fresh.getParameterMappings()));
  }

  private static @Nullable Object shape(Object parameter) {
    List<Object> shapes = new ArrayList<>();
    for (Object one : ((Map<?, ?>) parameter).values()) {
      Object shape = ((Shaped) one).shape();
      if (shape == null) {
        return null;
      }
      shapes.add(shape);
    }
    return shapes;
  }
}
