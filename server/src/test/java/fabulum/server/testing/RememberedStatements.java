package fabulum.server.testing;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The statements of all mappers, as the first program of a test run has read them from their files:
 * a quarter of a start goes into that. A statement keeps nothing of the program that runs it.
 */
final class RememberedStatements implements BeanPostProcessor {
  private static final Map<List<String>, Configuration> READ = new ConcurrentHashMap<>();

  private final List<String> settings;

  /** For programs that are set up alike. */
  RememberedStatements(List<String> settings) {
    this.settings = settings;
  }

  /** Remembers what a program has read that has started. */
  static void of(List<String> settings, ConfigurableApplicationContext started) {
    READ.putIfAbsent(settings, started.getBean(SqlSessionFactory.class).getConfiguration());
  }

  @Override
  public Object postProcessAfterInitialization(Object bean, String name) {
    Configuration read = READ.get(settings);
    if (read != null && bean instanceof SqlSessionFactory factory) {
      putInto(factory.getConfiguration(), read);
    }
    return bean;
  }

  private static void putInto(Configuration configuration, Configuration read) {
    // Each stands there under its short name too; where two have the same, that is no statement.
    for (Object one : new HashSet<Object>(read.getMappedStatements())) {
      if (one instanceof MappedStatement statement) {
        configuration.addMappedStatement(statement);
      }
    }
    for (Object one : new HashSet<Object>(read.getResultMaps())) {
      if (one instanceof ResultMap map) {
        configuration.addResultMap(map);
      }
    }
    // Its file counts as read.
    read.getMapperRegistry()
        .getMappers()
        .forEach(mapper -> configuration.addLoadedResource(mapper.toString()));
  }
}
